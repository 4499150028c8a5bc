// @vitest-environment happy-dom
import { describe, expect, it } from 'vitest'
import { faultOf, printout } from './printout'

describe('what the app says of 500 random joints and plans', () => {
  it(
    'has no broken sentence in it: no word twice, no value that is none, no bare number, no exponent',
    { timeout: 400_000 },
    () => {
      const seen = new Set<string>()
      const faults = new Set<string>()
      for (let seed = 1; seed <= 500; seed++)
        for (const { at, text } of printout(seed)) {
          if (seen.has(text)) continue
          seen.add(text)
          const fault = faultOf(text)
          if (fault) faults.add(`${fault}: ${at}: ${text}`)
        }
      expect([...faults]).toEqual([])
      // Enough different ones that the look is worth something.
      expect(seen.size).toBeGreaterThan(4000)
    },
  )

  it('and would be found if there were one', () => {
    const broken = {
      'a word twice': 'It grips on the the face.',
      'a value that is none': 'It takes undefined to cure.',
      'an exponent': 'It lets go at 1.3e+2 N.',
      'two spaces, or a space before a mark': 'It grips , and holds.',
      'two marks': 'Wipe it dry,. then glue.',
      'an article before a vowel': 'Take a even film.',
      'an article that stands alone': 'Prepare a.',
      'one of many': 'There are 1 cautions.',
      'a template that was not filled': 'It takes ${time}.',
      'a degree without its sign': 'Warm it to 80 C.',
      'a number without its unit: 0.32': 'It holds about 0.32 here.',
    }
    for (const [fault, text] of Object.entries(broken)) expect(faultOf(text), text).toBe(fault)
    for (const text of ['It holds 0.32 MPa, 12.5 to 18.2 N at 80 °C.', 'a 3 mm gap', 'a user', 'side A, felt'])
      expect(faultOf(text), text).toBeNull()
  })
})

import { describe, expect, it } from 'vitest'
import { familyOf } from '../knowledge/families'
import { schools } from '../screening/schools'
import { usualSteps } from './draft/usual'
import { stepsOfWay } from './ways'

const waysOf = (id: string) => schools.find((one) => one.id === id)!.ways!
const stepsOf = (family: string) => usualSteps(familyOf(family), null, null)

describe('a procedure as one school does it', () => {
  it('waits as long as that school, and only the wait differs', () => {
    const usual = stepsOf('contact-solvent')
    const [short, long] = waysOf('contact-wait').map((way) => stepsOfWay(usual, way))
    const wait = (steps: typeof usual) => steps.find(({ kind }) => kind === 'wait')!
    expect([wait(short!).minS, wait(long!).minS]).toEqual([120, 1200])
    expect(wait(long!).maxS).toBe(1320)
    const rest = (steps: typeof usual) => steps.filter(({ kind }) => kind !== 'wait')
    expect(rest(short!)).toEqual(rest(usual))
  })
  it('gets a wait before closing where the usual steps have none', () => {
    const steps = stepsOfWay(stepsOf('pva-wood'), { what: 'wait', value: '60', words: '' })
    expect(steps.findIndex(({ kind }) => kind === 'wait')).toBe(steps.findIndex(({ kind }) => kind === 'close') - 1)
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length)
  })
  it('has its own words at one step', () => {
    const usual = stepsOf('hotmelt-low')
    const [thin, bead] = waysOf('hotmelt-bend').map((way) => stepsOfWay(usual, way))
    const apply = (steps: typeof usual) => steps.find(({ kind }) => kind === 'apply')!.text
    expect(apply(thin!)).toMatch(/thin film/)
    expect(apply(bead!)).toMatch(/round bead/)
    const [warm, cold] = waysOf('hotmelt-smooth').map((way) => stepsOfWay(usual, way))
    expect(warm!.find(({ kind }) => kind === 'prepare-b')!.text).toMatch(/^Side B: clean, dry and scuff it\. Warm the/)
    expect(cold).toEqual(usual)
  })
  it('leaves the steps alone where another glue or a helper is the way', () => {
    const usual = stepsOf('ca-thin')
    for (const way of [...waysOf('instant-grade'), ...waysOf('filler-how')])
      expect(stepsOfWay(usual, way)).toEqual(usual)
  })
})

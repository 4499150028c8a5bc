import { describe, expect, it } from 'vitest'
import type { Procedure, Step } from '../records/procedure'
import { plainProcedure } from './__tests__/plain'
import { differences, differenceWords, varied } from './difference'

const step = (kind: Step['kind'], patch: Partial<Step> = {}): Step =>
  ({ id: `s-${kind}`, kind, text: `Do ${kind}`, minS: 60, maxS: null, ...patch }) as Step
const steps = [step('prepare-a'), step('apply'), step('wait'), step('cure')]
const one = (patch: Partial<Procedure> = {}) => plainProcedure('A', 'contact-solvent', { name: 'Tin', steps, ...patch })
const with_ = (patch: Partial<Procedure>) => differences(one(patch), one())

describe('what one procedure does otherwise', () => {
  it('nothing where they are the same, whatever they are called', () => {
    expect(with_({ id: 'pB', letter: 'B', name: 'Tin again', anyway: true })).toEqual([])
    expect(differenceWords(one({ letter: 'B' }), one())).toBeNull()
  })

  it('another glue, by its kind or by its product', () => {
    expect(with_({ family: 'ca-gel' })).toEqual(['another glue'])
    expect(with_({ adhesive: 'tin' })).toEqual(['another glue'])
  })

  it('helpers that one has and the other has not', () => {
    expect(with_({ helpers: ['activator'] })).toEqual(['with activator'])
    expect(differences(one(), one({ helpers: ['activator'] }))).toEqual(['without activator'])
    expect(differences(one({ helpers: ['activator'] }), one({ helpers: ['activator'] }))).toEqual([])
  })

  it('a second glue', () => {
    const second = { family: 'ca-thin', adhesive: null, role: 'rim' as const, share: 0.1, where: '' }
    expect(with_({ second })).toEqual(['with a second glue'])
    expect(differences(one(), one({ second }))).toEqual(['without its second glue'])
    expect(differences(one({ second }), one({ second: { ...second, role: 'part' } }))).toEqual(['with a second glue'])
    expect(differences(one({ second }), one({ second: { ...second } }))).toEqual([])
  })

  it('coats and amounts; an amount of another glue says nothing', () => {
    expect(with_({ coats: 2 })).toEqual(['2 coats instead of 1'])
    expect(differences(one(), one({ coats: 2 }))).toEqual(['1 coat instead of 2'])
    expect(with_({ spreadGm2: 200 })).toEqual(['200 g/m² instead of the usual'])
    expect(differences(one(), one({ spreadGm2: 200 }))).toEqual(['the usual g/m² instead of 200'])
    expect(with_({ family: 'ca-gel', spreadGm2: 200 })).toEqual(['another glue'])
  })

  it('water and blends', () => {
    const parts = [
      { name: 'milky', parts: 2 },
      { name: 'textile', parts: 3 },
    ]
    expect(with_({ dilution: { glue: 3, water: 1 } })).toEqual(['diluted 3:1 with water'])
    expect(with_({ blend: { parts, batch: '' } })).toEqual(['blended 2 milky to 3 textile'])
    expect(differences(one(), one({ blend: { parts, batch: '' } }))).toEqual(['undiluted'])
  })

  it('a step that is new, longer, worded otherwise, or left out', () => {
    const steps = one().steps
    expect(with_({ steps: [...steps, step('clamp', { text: 'Weigh it down' })] })).toEqual([
      'fix in place: Weigh it down',
    ])
    expect(with_({ steps: steps.map((each) => (each.kind === 'wait' ? { ...each, minS: 120 } : each)) })).toEqual([
      'wait 2 min instead of 60 s',
    ])
    expect(
      with_({ steps: steps.map((each) => (each.kind === 'prepare-a' ? { ...each, text: 'Sand it' } : each)) }),
    ).toEqual(['prepare A: sand it'])
    expect(with_({ steps: steps.filter(({ kind }) => kind !== 'wait') })).toEqual(['without “wait”'])
  })

  it('a second step of a kind is told from the first', () => {
    const twice = [
      ...one().steps.slice(0, 2),
      step('apply', { id: 'again', text: 'Do apply' }),
      ...one().steps.slice(2),
    ]
    expect(with_({ steps: twice })).toEqual(['apply: Do apply'])
    expect(differences(one(), one({ steps: twice }))).toEqual(['without “apply”'])
    expect(differences(one({ steps: twice }), one({ steps: twice }))).toEqual([])
  })

  it('the same steps in another order', () => {
    const [a, b, ...rest] = one().steps
    expect(with_({ steps: [b!, a!, ...rest] })).toEqual(['its steps in another order'])
    // Said only where nothing else is.
    expect(with_({ coats: 2, steps: [b!, a!, ...rest] })).toEqual(['2 coats instead of 1'])
  })

  it('of another glue only how the faces are prepared', () => {
    const steps = one().steps.map((each) => (each.kind === 'cure' ? { ...each, minS: 999 } : each))
    expect(with_({ family: 'ca-gel', steps })).toEqual(['another glue'])
    const sanded = steps.map((each) => (each.kind === 'prepare-a' ? { ...each, text: 'Sand it' } : each))
    expect(with_({ family: 'ca-gel', steps: sanded })).toEqual(['another glue', 'prepare A: sand it'])
    const bare = steps.filter(({ kind }) => kind !== 'prepare-a' && kind !== 'wait')
    expect(with_({ family: 'ca-gel', steps: bare })).toEqual(['another glue', 'without “prepare A”'])
  })

  it('in one sentence, and none for a fresh copy', () => {
    expect(differenceWords(one({ letter: 'B', coats: 2, helpers: ['activator'] }), one())).toBe(
      'same as A, but with activator; 2 coats instead of 1',
    )
    const copy = varied(one({ helpers: ['activator'] }), 'pC', 'C')
    expect(copy).toMatchObject({ id: 'pC', letter: 'C', name: 'Tin, varied' })
    expect(differences(copy, one({ helpers: ['activator'] }))).toEqual([])
    expect(copy.steps[0]).not.toBe(one().steps[0])
  })
})

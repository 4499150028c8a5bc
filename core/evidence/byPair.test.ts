import { describe, expect, it } from 'vitest'
import { byPair, saidTested } from './byPair'
import type { PairEvidence } from './pairEvidence'

const evidence = (patch: Partial<PairEvidence> = {}): PairEvidence => ({
  family: 'epoxy-slow',
  adhesive: null,
  sides: [
    { material: 'wood', state: null },
    { material: 'metal', state: 'sanded' },
  ],
  test: 'lap-shear',
  exposure: null,
  owner: null,
  joint: 'j',
  round: 'r',
  procedure: 'p',
  arm: 'a1',
  pulls: 4,
  valid: 4,
  typical: 8,
  between: { low90: 6, high90: 10 },
  weakJoint: { median: 5, low95: 4 },
  atLeast: false,
  posterior: { mean: Math.log(8), sd: 0.125 },
  unit: 'MPa',
  limit: 3,
  from: ['H1-A1'],
  points: [],
  ...patch,
})

describe('evidence pair by pair', () => {
  it('takes both orders of a pair as one, the pair with the most pulls first, one’s own before others', () => {
    const card = [
      { material: 'card', state: null },
      { material: 'wood', state: null },
    ] as PairEvidence['sides']
    const groups = byPair(
      [
        evidence({ sides: card, pulls: 1 }),
        evidence({ owner: 'm2', pulls: 9, valid: 9 }),
        evidence({ sides: [evidence().sides[1], evidence().sides[0]] }),
      ],
      [{ a: 'felt', b: 'card', loads: null }],
      [],
    )
    expect(groups.map(({ a, b, pulled }) => [a, b, pulled.length])).toEqual([
      ['metal', 'wood', 2],
      ['card', 'wood', 1],
      ['card', 'felt', 0],
    ])
    expect(groups[0]!.pulled.map(({ owner }) => owner)).toEqual([null, 'm2'])
  })

  it('lends to the pairs of the joints, in the unit of their load, what was not pulled there', () => {
    const asked = [
      { a: 'wood', b: 'card', loads: ['peel' as const] },
      { a: 'wood', b: 'metal', loads: ['shear' as const] },
    ]
    const groups = byPair([evidence()], asked, ['epoxy-slow', 'pva-white', 'pva-white'])
    const of = (a: string) => groups.find((one) => one.a === a)!.lent.map(({ family, unit }) => `${family} ${unit}`)
    expect(of('card').sort()).toEqual(['epoxy-slow N/mm', 'pva-white N/mm'])
    expect(of('metal')).toEqual(['pva-white MPa'])
    expect(byPair([], asked, ['epoxy-slow']).flatMap(({ lent }) => lent)).toEqual([])
  })
})

describe('what was said', () => {
  const said = { says: 'holds' as const, family: 'epoxy-slow', adhesive: null, a: 'metal', b: 'wood', exposure: null }
  const of = (patch: object, all: PairEvidence[] = [evidence()]) => saidTested({ ...said, ...patch }, all, (id) => id)
  it('agrees, disagrees or cannot be told by own dry pulls against their limit', () => {
    expect(of({})).toEqual({ pulls: 4, outcome: 'agrees' })
    expect(of({ says: 'fails' })).toEqual({ pulls: 4, outcome: 'disagrees' })
    expect(of({}, [evidence({ weakJoint: { median: 2, low95: 1 } })]).outcome).toBe('disagrees')
    expect(of({}, [evidence({ weakJoint: { median: 5, low95: 1 } })]).outcome).toBe('cannot tell')
    expect(of({}, [evidence({ limit: null })]).outcome).toBe('cannot tell')
    expect(of({ says: 'something else' }).outcome).toBe('cannot tell')
  })
  it('is not tested by another pair, another glue, an exposure or another maker', () => {
    expect(of({ a: 'card' }).outcome).toBe('not tested')
    expect(of({ a: 'wood' }).outcome).toBe('not tested')
    expect(of({ family: 'pva-white' }).outcome).toBe('not tested')
    expect(of({ adhesive: 'tin' }).outcome).toBe('not tested')
    expect(of({ family: null }).outcome).toBe('not tested')
    expect(of({}, [evidence({ owner: 'm2' })]).outcome).toBe('not tested')
    expect(of({}, [evidence({ exposure: { kind: 'wash', amount: 1, hours: 2 } })]).outcome).toBe('not tested')
    expect(of({ exposure: 'wash' }).outcome).toBe('not tested')
    const washed = evidence({ exposure: { kind: 'wash', amount: 1, hours: 2 } })
    expect(of({ exposure: 'wash' }, [washed]).outcome).toBe('agrees')
    expect(of({ b: null }).outcome).toBe('agrees')
  })
})

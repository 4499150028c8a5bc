import { describe, expect, it } from 'vitest'
import { heatOnWetFilm } from '../../care/heat'
import { careFor } from '../../care/care'
import { families, familyOf } from '../../knowledge/families'
import { materialClasses, materialClassOf } from '../../knowledge/materials'
import { plainSetting } from '../__tests__/plain'
import { secondRoleIds, stepSchema, type Second, type Step } from '../../records/procedure'
import { pick, randomBrief } from '../../screening/__tests__/randomBrief'
import type { Setting } from '../../screening/shortlist'
import { glueShare, secondShare } from '../mix'
import { seededRandom } from '../random'
import { adviceOn, adviceOnSecond, draftOf } from './procedure'
import { redrafted } from './redraft'
import { placeOf } from './slots'

const setting = (a: string, b: string, more: Partial<Setting> = {}) =>
  plainSetting(materialClassOf(a), materialClassOf(b), more)
const second = (family: string, role: Second['role'], more: Partial<Second> = {}): Second => ({
  family,
  adhesive: null,
  role,
  share: 0.5,
  where: '',
  ...more,
})
const glued = (family: string, with_: Second | null) => ({ family, adhesive: null, helpers: [], second: with_ })
const step = (steps: readonly Step[], kind: Step['kind']) => steps.find((one) => one.kind === kind)

describe('a second glue', () => {
  it('is laid where its role says: before, on its part, along the rim', () => {
    const on = setting('card', 'card')
    const book = draftOf(glued('pva-white', second('pva-bookbinding', 'part', { where: 'the cover' })), on)
    expect(step(book, 'apply')!.text).toMatch(/on the cover, before it is closed/)
    const gel = draftOf(glued('ca-gel', second('ca-thin', 'rim')), setting('wood', 'wood'))
    expect(step(gel, 'fillet')!.text).toMatch(/wick in along the rim/)
    expect(placeOf('fillet')).toBeGreaterThan(placeOf('close'))
    const sized = draftOf(glued('contact-solvent', second('pva-white', 'first-coat')), setting('wood', 'leather'))
    expect(step(sized, 'prime')).toMatchObject({ minS: expect.any(Number) as number })
    expect(step(sized, 'prime')!.minS).toBeGreaterThanOrEqual(familyOf('pva-white').handlingS)
  })

  it('keeps its own cure: the slower of the two counts', () => {
    const on = setting('wood', 'wood')
    const slow = draftOf(glued('ca-gel', second('epoxy-slow', 'rim')), on)
    const fast = draftOf(glued('epoxy-slow', second('ca-gel', 'rim')), on)
    const alone = draftOf(glued('epoxy-slow', null), on)
    expect(step(slow, 'cure')!.minS).toBe(step(alone, 'cure')!.minS)
    expect(step(fast, 'cure')!.minS).toBe(step(alone, 'cure')!.minS)
  })

  it('brings its own hazards, and is judged on the faces by itself', () => {
    const of = glued('pva-white', second('ca-thin', 'rim'))
    const on = setting('foam-xps', 'card')
    const hazards = careFor(adviceOn(of, on)!.situation).hazards
    const fromSecond = hazards.filter(({ from }) => from.includes(familyOf('ca-thin').name)).map(({ id }) => id)
    expect(fromSecond).toEqual(familyOf('ca-thin').hazards.filter((code) => fromSecond.includes(code)))
    expect(fromSecond).toContain('skin-bond')
    expect(adviceOnSecond(of, on)!.screening.verdict).toBe('block')
    expect(adviceOn(of, on)!.screening.verdict).toBe(adviceOn(glued('pva-white', null), on)!.screening.verdict)
  })

  it('costs what it spreads: a rim of a tenth at half the spread is a twentieth', () => {
    const laid = { spreadGm2: 200, faces: 1, coats: 1 }
    const thin = { spreadGm2: 100, faces: 'one' as const }
    expect(secondShare(second('ca-thin', 'rim', { share: 0.1 }), thin, laid)).toBeCloseTo(0.05, 12)
    // A first coat on both faces is laid twice; a glue in two coats makes it half of the whole.
    expect(secondShare(second('x', 'first-coat', { share: 1 }), thin, { ...laid, coats: 2 })).toBeCloseTo(0.5, 12)
    expect(glueShare({ dilution: null, blend: null, second: second('x', 'part', { share: 0.3 }) })).toBeCloseTo(0.7, 12)
    expect(glueShare({ dilution: null, blend: null, second: second('x', 'rim', { share: 0.3 }) })).toBe(1)
  })

  it('makes steps that hold together, with 600 random pairs of glues', () => {
    const random = seededRandom(600)
    for (let i = 0; i < 600; i++) {
      const [a, b] = [pick(random, materialClasses), pick(random, materialClasses)]
      const on = setting(a.id, b.id, { brief: randomBrief(random) })
      const [one, two] = [pick(random, families), pick(random, families)]
      const of = glued(one.id, second(two.id, pick(random, secondRoleIds)))
      const name = `${one.id} with ${two.id} ${of.second!.role} on ${a.id} and ${b.id}`
      const steps = draftOf(of, on)
      const places = steps.map(({ kind }) => placeOf(kind))
      expect(places, name).toEqual([...new Set(places)].sort((x, y) => x - y))
      for (const one of steps) expect(stepSchema.safeParse(one).success, `${name}: ${one.text}`).toBe(true)
      const { situation } = adviceOn(of, on)!
      const hazards = careFor(situation).hazards.map(({ id }) => id)
      expect(heatOnWetFilm(steps, { waitMinS: situation.family.waitMinS, hazards }), name).toEqual([])
    }
  })
})

describe('steps that follow a change of the draft', () => {
  const on = setting('wood', 'wood')
  const [alone, both] = [draftOf(glued('ca-gel', null), on), draftOf(glued('ca-gel', second('epoxy-slow', 'rim')), on)]
  it('come to the draft where the maker has changed nothing, and back again', () => {
    const bare = (steps: readonly Step[]) => steps.map(({ kind, text, minS }) => ({ kind, text, minS }))
    const there = redrafted(alone, alone, both)
    expect(bare(there)).toEqual(bare(both))
    expect(bare(redrafted(there, both, alone))).toEqual(bare(alone))
    expect(new Set(there.map(({ id }) => id)).size).toBe(there.length)
  })
  it('keep the maker’s own words, times and steps', () => {
    const mine = alone.map((one) =>
      one.kind === 'cure' ? { ...one, minS: 99 } : one.kind === 'apply' ? { ...one, text: 'Three dots. Wait' } : one,
    )
    const there = redrafted(mine, alone, both)
    expect(step(there, 'cure')!.minS).toBe(99)
    expect(step(there, 'apply')!.text).toBe('Three dots. Wait')
    const back = redrafted(there, both, alone)
    expect(back.map(({ kind }) => kind)).toEqual(alone.map(({ kind }) => kind))
    const written = there.map((one) => (one.kind === 'fillet' ? { ...one, text: `${one.text}. With a card` } : one))
    expect(step(redrafted(written, both, alone), 'fillet')!.text).toBe('With a card')
  })
})

import { beforeAll, describe, expect, it } from 'vitest'
import { families, familyOf } from '../../knowledge/families'
import { labelFactIds } from '../../knowledge/labelFactIds'
import { materialClassOf, materialClasses } from '../../knowledge/materials'
import { faceStates } from '../../knowledge/faceStates'
import { faceTraits, geometries, helpers, loadModes } from '../../knowledge/vocabulary'
import { briefWords, contractShape, contractWords } from '../../records/briefWords'
import { seededRandom, type Random } from '../../planning/random'
import { maybe, pick, randomBrief, some } from './randomBrief'
import { answerQuestion, type Question } from '../question'
import { rules, screen } from '../screen'
import { situationOf } from '../../situation/situation'

type Needs = NonNullable<Question['joint']['needs']>
/** Every need with values from mild to harsh. */
const own: { [K in Exclude<keyof Needs, keyof typeof contractShape>]-?: NonNullable<Needs[K]>[] } = {
  clear: [true],
  neat: [true],
  white: [true],
  flex: ['must-flex'],
  heatC: [25, 45, 60, 90],
  coldC: [15, 0, -15, -35],
  wash: [true],
  wet: [true],
  soak: [true],
  sun: [true],
  carve: [true],
  sand: [true],
  hotWire: [true],
  heatForm: [true],
  paintOver: [true],
  boxed: [true],
  indoorsNoVentilation: [true],
  heatNear: [true],
  skinContact: [true],
  children: [true],
  sensitised: [true],
  archival: [true],
  temporary: [true],
  stakes: [['overhead']],
  maxCureH: [72, 24, 4, 0.5],
  repositionS: [5, 30, 120],
  noClamp: [true],
  oneFaceOnly: [true],
  inShell: [true],
  gapMm: [0.3, 0.8, 2, 6],
  roughFit: [true],
  curveMm: [300, 40],
  areaCm2: [4, 60, 500, 4000],
  edgeMm: [4, 12, 40, 200],
  weightKg: [0.01, 0.5, 20],
  roomC: [20, 12, 4],
  roomRH: [50, 80],
}
/** Words that the contract asks as the brief does, by the answers of their rows. */
const ofRows = Object.fromEntries(contractWords.map(({ word, name }) => [name, briefWords[word].tries ?? [true]]))
const scale = { ...own, ...ofRows } as unknown as Record<keyof Needs, unknown[]>
const needNames = Object.keys(own) as (keyof Needs)[]
const rowNames = Object.keys(ofRows) as (keyof Needs)[]
/** Words of rows are drawn by a chance of their own: one more of them leaves the other questions as they are. */
const beside = seededRandom(77)
const pickNeed = (random: Random): keyof Needs =>
  beside() < rowNames.length / (needNames.length + rowNames.length) ? pick(beside, rowNames) : pick(random, needNames)

function randomQuestion(random: Random): Question {
  const side = () => pick(random, materialClasses).id
  const needs: Record<string, unknown> = {}
  for (const name of needNames) if (random() < 0.12) needs[name] = pick(random, scale[name])
  for (const name of rowNames) if (beside() < 0.12) needs[name] = pick(beside, scale[name])
  if (random() < 0.2) needs['flex'] = pick(random, ['must-flex', 'must-be-stiff', 'band'])
  return {
    joint: {
      a: side(),
      aState: maybe(random, 0.5, () => pick(random, faceStates)),
      aThicknessMm: maybe(random, 0.3, () => pick(random, [0.2, 0.8, 2, 9])),
      b: side(),
      bState: maybe(random, 0.5, () => pick(random, faceStates)),
      bTraits: maybe(random, 0.2, () => some(random, faceTraits, 0.2)),
      geometry: maybe(random, 0.8, () => pick(random, geometries)),
      load: maybe(random, 0.8, () => some(random, [...loadModes, 'steady'] as const, 0.25)),
      needs: needs as Needs,
    },
    adhesive: pick(random, families).id,
    helpers: some(random, helpers, 0.12),
    dab: maybe(random, 0.3, () => pick(random, ['ca-gel', 'hotmelt-low', 'tape-foam'] as const)),
  }
}
const severity = { fit: 0, caution: 1, block: 2 }
const verdictOf = (question: Question) => severity[answerQuestion(question).verdict]
const ROUNDS = 6000

describe('the screening as a whole', () => {
  it('never raises a chance, nor makes a verdict milder, by one more need or a harsher one', () => {
    const random = seededRandom(31)
    for (let i = 0; i < ROUNDS; i++) {
      const question = randomQuestion(random)
      const name = pickNeed(random)
      const steps: unknown[] = scale[name]
      const before = question.joint.needs?.[name]
      const rank = before === undefined ? -1 : steps.indexOf(before)
      // A flexibility is another need, not a harsher one; a part's weight also says what it can carry of glue.
      if (name === 'flex' && before !== undefined) continue
      if (name === 'edgeMm' && before === undefined && question.joint.needs?.areaCm2 !== undefined) continue
      if (name === 'weightKg' && before !== undefined) continue
      // A larger face is harder to glue, and carries more.
      if (name === 'areaCm2' && before !== undefined && question.joint.needs?.weightKg !== undefined) continue
      if (rank + 1 >= steps.length) continue
      const more = {
        ...question,
        joint: { ...question.joint, needs: { ...question.joint.needs, [name]: steps[rank + 1] } },
      } as Question
      expect(verdictOf(more), `${name} in ${JSON.stringify(more)}`).toBeGreaterThanOrEqual(verdictOf(question))
      const [less, db] = [answerQuestion(question).db, answerQuestion(more).db]
      expect(db, `${name} in ${JSON.stringify(more)}`).toBeLessThanOrEqual(less + 1e-9)
    }
  })

  it('blocks nothing for what is not known', () => {
    const random = seededRandom(32)
    for (let i = 0; i < ROUNDS; i++) {
      const question = randomQuestion(random)
      const joint: Record<string, unknown> = { ...question.joint, needs: { ...question.joint.needs } }
      const said = [
        ...Object.keys(question.joint).filter((key) => key !== 'needs'),
        ...Object.keys(joint['needs'] as object),
      ]
      const word = pick(random, said)
      // An area says where the rim is, an edge itself; either alone says it too.
      if (word in question.joint) joint[word] = null
      else (joint['needs'] as Record<string, unknown>)[word] = null
      const less = { ...question, joint } as unknown as Question
      if (answerQuestion(less).verdict === 'block')
        expect(answerQuestion(question).verdict, `${word} in ${JSON.stringify(question)}`).toBe('block')
    }
  })

  it('does not mind the order of words, nor which side is called A', () => {
    const random = seededRandom(33)
    const turned = <T>(list: T[] | null | undefined) => (list ? [...list].reverse() : list)
    for (let i = 0; i < 2000; i++) {
      const question = randomQuestion(random)
      const { a, aState, aThicknessMm, aTraits, b, bState, bThicknessMm, bTraits, load, needs } = question.joint
      const other: Question = {
        helpers: turned(question.helpers),
        dab: question.dab,
        adhesive: question.adhesive,
        joint: {
          needs: Object.fromEntries(Object.entries(needs ?? {}).reverse()),
          load: turned(load),
          geometry: question.joint.geometry,
          a: b,
          aState: bState,
          aThicknessMm: bThicknessMm,
          aTraits: turned(bTraits),
          b: a,
          bState: aState,
          bThicknessMm: aThicknessMm,
          bTraits: turned(aTraits),
        },
      }
      const [one, two] = [answerQuestion(question), answerQuestion(other)]
      expect(two.verdict).toBe(one.verdict)
      expect(two.reasons.map(({ rule, verdict }) => `${rule} ${verdict}`).sort()).toEqual(
        one.reasons.map(({ rule, verdict }) => `${rule} ${verdict}`).sort(),
      )
    }
  })

  it('reads false and null alike: nothing is asked', () => {
    const random = seededRandom(34)
    for (let i = 0; i < 500; i++) {
      const question = randomQuestion(random)
      const flags = needNames.filter((name) => scale[name][0] === true && question.joint.needs?.[name] === undefined)
      const no = { ...question.joint.needs, ...Object.fromEntries(flags.map((name) => [name, false])) }
      expect(answerQuestion({ ...question, joint: { ...question.joint, needs: no } })).toEqual(answerQuestion(question))
    }
  })
})

describe('20,000 random briefs', () => {
  const effects = new Map<string, number>()
  beforeAll(() => {
    const random = seededRandom(20_000)
    for (let i = 0; i < 20_000; i++) {
      const family = familyOf(random() < 0.02 ? 'unknown' : pick(random, families).id)
      const result = screen(
        situationOf(
          randomBrief(random),
          materialClassOf(pick(random, materialClasses).id),
          materialClassOf(pick(random, materialClasses).id),
          family,
          {
            helpers: some(random, helpers, 0.15),
            dab: maybe(random, 0.2, () => pick(random, ['ca-gel', 'hotmelt-low', 'tape-foam'] as const)),
            room: maybe(random, 0.5, () => ({ tempC: pick(random, [2, 12, 20, 30]), rh: pick(random, [25, 50, 85]) })),
            pack: maybe(random, 0.3, () => ({
              daysOpen: pick(random, [5, 200]),
              monthsOld: pick(random, [1, 40]),
              expired: random() < 0.1,
            })),
            packPrice: 6,
            facts: Object.fromEntries(some(random, labelFactIds, 0.1).map((fact) => [fact, random() < 0.5])),
            correction: maybe(random, 0.2, () => ({ factor: pick(random, [0.4, 1, 2]), tested: false, pulls: 5 })),
          },
        ),
      )
      for (const reason of result.reasons) effects.set(reason.rule, (effects.get(reason.rule) ?? 0) + 1)
    }
  })
  it.each(rules.map(({ id }) => id))('%s has an effect on some', (id) =>
    expect(effects.get(id) ?? 0).toBeGreaterThan(0),
  )
})

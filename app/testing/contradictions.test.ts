import { describe, expect, it } from 'vitest'
import { contradictions, places, type Places } from './contradictions'

/** Joints looked through: sixty in the checks, more where it is asked (JOINTS=1000). */
const JOINTS = Number(process.env['JOINTS'] ?? 60)
const FIRST = Number(process.env['SEED'] ?? 1)

describe(`what ${JOINTS} random joints are told from page to page`, () => {
  it('is one story', { timeout: JOINTS * 4000 }, () => {
    const found = new Map<string, string>()
    for (let seed = FIRST; seed < FIRST + JOINTS; seed++)
      for (const { thing, text } of contradictions(seed)) {
        const kind = `${thing}: ${text.replace(/[\d.]+(e-?\d+)?/g, '#')}`
        if (!found.has(kind)) found.set(kind, `seed ${seed}, ${thing}: ${text}`)
      }
    expect([...found.values()]).toEqual([])
  })
})

describe('a contradiction that is planted', () => {
  const planted: Record<string, [thing: string, plant: Partial<Places>]> = {
    'a limit that is twice the need': [
      'limit',
      {
        limitFor: (...args) => {
          const set = places.limitFor(...args)
          return set && { ...set, limit: 2 * set.limit }
        },
      },
    ],
    'a margin over another load': [
      'margin',
      {
        marginOf: (...args) => {
          const margin = places.marginOf(...args)
          return margin && { ...margin, times: 3 * margin.times, dryN: 3 * margin.dryN }
        },
      },
    ],
    'a glue that suits and serves in one of ten': [
      'chance',
      {
        judged: (...args) => {
          const one = places.judged(...args)
          return { ...one, screening: { ...one.screening, chance: one.screening.verdict === 'fit' ? 0.1 : 0.5 } }
        },
      },
    ],
    'a plan that cures for half as long': [
      'time',
      {
        draftOf: (...args) =>
          places
            .draftOf(...args)
            .map((step) => (step.kind === 'cure' ? { ...step, minS: Math.round(step.minS / 2) } : step)),
      },
    ],
    'a card that undoes it otherwise': ['undo', { undo: () => 'Pull it off with tongs.' }],
    'a piece that is ready without its heat or wash': ['ready', { readyFrom: (...args) => places.curedFrom(...args) }],
    'a card without its cautions': ['hazard', { cautions: () => [] }],
    'a lap for an edge': ['test', { testsOf: () => ['lap-shear'] }],
    'a load panel that counts twice': [
      'need',
      { demands: (...args) => places.demands(...args).map((one) => ({ ...one, value: one.value && 2 * one.value })) },
    ],
    'a helper that is praised too much': [
      'helper',
      {
        helpersThatHelp: (...args) =>
          places.helpersThatHelp(...args).map((one) => ({ ...one, screening: { ...one.screening, verdict: 'block' } })),
      },
    ],
  }
  it.each(Object.entries(planted))('%s is found', (_, [thing, plant]) => {
    for (let seed = 1; seed <= 40; seed++)
      if (contradictions(seed, { ...places, ...plant }).some((one) => one.thing === thing)) return
    expect.unreachable(`nothing found of ${thing} in forty joints`)
  })
})

import { describe, expect, it } from 'vitest'
import { families } from '../../knowledge/families'
import { helpers } from '../../knowledge/vocabulary'
import { materialClasses } from '../../knowledge/materials'
import { seededRandom } from '../../planning/random'
import { draftSteps } from '../../planning/draft/draft'
import { situationOf } from '../../situation/situation'
import { likelyPeel, likelyPull } from '../likely'
import { rules, screen } from '../screen'
import { undoing } from '../undoing'
import { maybe, pick, randomBrief, some } from './randomBrief'

const JOINTS = Number(process.env['SWAPS'] ?? 200)

describe('side A and side B', () => {
  it(
    'change places without changing any rule’s finding, push, verdict, likely strength or plan',
    () => {
      const random = seededRandom(34)
      const differ = new Set<string>()
      const spoke = new Set<string>()
      for (let i = 0; i < JOINTS; i++) {
        const brief = randomBrief(random)
        const [a, b] = [
          maybe(random, 0.9, () => pick(random, materialClasses)),
          maybe(random, 0.9, () => pick(random, materialClasses)),
        ]
        const helped = some(random, helpers, 0.1)
        const room = maybe(random, 0.4, () => ({ tempC: pick(random, [8, 20, 28]), rh: pick(random, [20, 50, 80]) }))
        for (const family of families) {
          const around = { helpers: helped, room }
          const one = situationOf(brief, a, b, family, around)
          const other = situationOf({ ...brief, a: brief.b, b: brief.a }, b, a, family, around)
          const [x, y] = [screen(one), screen(other)]
          const told = (of: typeof x) => of.reasons.map(({ rule, verdict, db }) => `${rule} ${verdict} ${db}`).sort()
          const where = `joint ${i}, ${a?.id} and ${b?.id}, ${family.id}`
          for (const { rule } of x.reasons) spoke.add(rule)
          const [tx, ty] = [told(x), told(y)]
          for (const line of tx.filter((each) => !ty.includes(each))) differ.add(`${where}: ${line}, not turned about`)
          for (const line of ty.filter((each) => !tx.includes(each))) differ.add(`${where}: ${line}, only turned about`)
          if (x.verdict !== y.verdict || Math.abs(x.db - y.db) > 1e-9)
            differ.add(`${where}: ${x.verdict} ${x.db}, ${y.verdict} ${y.db}`)
          if (
            JSON.stringify([likelyPeel(one), likelyPull(one)]) !==
            JSON.stringify([likelyPeel(other), likelyPull(other)])
          )
            differ.add(`${where}: likely strength`)
          if (undoing([one]).way?.how !== undoing([other]).way?.how) differ.add(`${where}: undoing`)
          const times = (s: typeof one, of: typeof x) =>
            draftSteps(s, of.reasons)
              .map(({ kind, minS, maxS }) => `${kind.replace(/-[ab]$/, '')} ${minS} ${maxS}`)
              .sort()
              .join()
          if (times(one, x) !== times(other, y)) differ.add(`${where}: steps`)
        }
      }
      expect([...differ].slice(0, 20)).toEqual([])
      // Nearly every rule had something to say.
      expect(spoke.size).toBeGreaterThan(0.85 * rules.length)
    },
    60_000 + 500 * JOINTS,
  )
})

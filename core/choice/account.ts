import type { PairEvidence } from '../evidence/pairEvidence'
import type { Decision } from '../records/decision'
import { heldBy } from './forecasts'

/** One forecast beside what the pulls came to. */
export interface Told {
  decision: string
  joint: string
  procedure: string
  at: number
  /** 0…1, as it was said before its pulls */
  chance: number
  /** whether it served: 19 in 20 hold what was asked */
  served: boolean
  reasons: { rule: string; mode: string; db: number }[]
}

/**
 * Every forecast that a decision kept and the pulls of its round have answered, in the order of time; what cannot be
 * told yet is not counted. Of several decisions on one round and arm the first counts: it kept what was said first.
 * @param evidence as gathered; the limit is the one of the decision, else the arm's
 */
export function toldAndFound(
  decisions: readonly Decision[],
  evidence: readonly PairEvidence[],
): { told: Told[]; unclear: number } {
  const told: Told[] = []
  const seen = new Set<string>()
  let unclear = 0
  for (const { id, joint, round, arm, at, known } of [...decisions].sort((x, y) => x.at - y.at))
    for (const { procedure, chance, reasons = [] } of known.forecasts ?? []) {
      const key = `${round} ${arm} ${procedure}`
      if (seen.has(key)) continue
      seen.add(key)
      const found = evidence.find(
        (one) => one.round === round && one.arm === arm && one.procedure === procedure && one.owner === null,
      )
      const required = known.required ?? found?.limit ?? null
      const held = found?.weakJoint && required !== null ? heldBy(found.weakJoint, required) : 'unclear'
      if (held === 'unclear') unclear += 1
      else told.push({ decision: id, joint, procedure, at, chance, served: held === 'held', reasons })
    }
  return { told, unclear }
}

/**
 * Mean squared difference of chance and outcome (Brier 1950): 0 is perfect, a coin 0.25; null without a forecast.
 */
export function brierScore(told: readonly Pick<Told, 'chance' | 'served'>[]): number | null {
  if (!told.length) return null
  return told.reduce((sum, { chance, served }) => sum + (chance - Number(served)) ** 2, 0) / told.length
}

/** Forecasts of a fifth of the scale: how often what was said came true. */
export interface Bin {
  /** 0…1; the last bin holds 1 itself */
  from: number
  to: number
  count: number
  /** mean of what was said, 0…1; null where the bin is empty */
  said: number | null
  served: number
}

const BINS = 5
/** Which bin a chance falls into, from 0. */
export const binOf = (chance: number): number => Math.min(BINS - 1, Math.floor(chance * BINS))
export function calibration(told: readonly Pick<Told, 'chance' | 'served'>[]): Bin[] {
  return Array.from({ length: BINS }, (_, i) => {
    const inside = told.filter(({ chance }) => binOf(chance) === i)
    return {
      from: i / BINS,
      to: (i + 1) / BINS,
      count: inside.length,
      said: inside.length ? inside.reduce((sum, { chance }) => sum + chance, 0) / inside.length : null,
      served: inside.filter(({ served }) => served).length,
    }
  })
}

/** How a rule did here: what it pushed for or against, and what came. */
export interface RuleAccount {
  rule: string
  mode: string
  /** it spoke for a glue, or against it */
  way: 'for' | 'against'
  count: number
  /** of them, that came out otherwise than it pushed */
  wrong: number
}

/** Rules that were wrong here most often first; what only agreed follows. */
export function accountByRule(told: readonly Pick<Told, 'served' | 'reasons'>[]): RuleAccount[] {
  const rows = new Map<string, RuleAccount>()
  for (const { served, reasons } of told)
    for (const { rule, mode, db } of reasons) {
      const way = db > 0 ? 'for' : 'against'
      const key = `${rule} ${way}`
      const row = rows.get(key) ?? { rule, mode, way, count: 0, wrong: 0 }
      const wrong = way === 'for' ? !served : served
      rows.set(key, { ...row, count: row.count + 1, wrong: row.wrong + Number(wrong) })
    }
  return [...rows.values()].sort((x, y) => y.wrong - x.wrong || y.count - x.count || (x.rule < y.rule ? -1 : 1))
}

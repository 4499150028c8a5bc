import type { LoadMode } from '../knowledge/vocabulary'
import type { Said } from '../records/learned'
import { lentStrengths, type Lent, type StrengthUnit } from './corrections'
import type { PairEvidence } from './pairEvidence'

/** Two material classes, in the order of the alphabet, with all that was pulled on them, and what is lent to them. */
export interface PairGroup {
  a: string
  b: string
  pulled: PairEvidence[]
  /** nobody pulled these: their strength is borrowed from other pulls */
  lent: Lent[]
}

/** What a joint asks of a pair. */
export interface PairAsked {
  a: string
  b: string
  loads: readonly LoadMode[] | null
}

const key = (a: string, b: string) => [a, b].sort().join('|')
/** Loads whose strength is read along a line, N/mm. */
const LINE_LOADS: readonly LoadMode[] = ['peel', 'cleavage', 'flex']
/** Most cells that are lent to one pair: the strongest of them. */
const MOST_LENT = 6

/**
 * Evidence pair by pair: those with the most pulls first, then pairs of joints that nothing was pulled on.
 * @param asked the pairs of the build's joints
 * @param families the glues to lend a strength for: those that were pulled anywhere, and those of the shelf
 */
export function byPair(
  evidence: readonly PairEvidence[],
  asked: readonly PairAsked[],
  families: readonly string[],
): PairGroup[] {
  const groups = new Map<string, PairGroup>()
  const groupOf = (one: string, other: string) => {
    const [a, b] = [one, other].sort() as [string, string]
    const name = key(a, b)
    if (!groups.has(name)) groups.set(name, { a, b, pulled: [], lent: [] })
    return groups.get(name)!
  }
  for (const one of evidence) groupOf(one.sides[0].material, one.sides[1].material).pulled.push(one)
  const wanted = new Map<string, { a: string; b: string; unit: StrengthUnit }>()
  for (const { a, b, loads } of asked) {
    groupOf(a, b)
    const unit = loads?.some((load) => LINE_LOADS.includes(load)) ? 'N/mm' : 'MPa'
    wanted.set(`${key(a, b)} ${unit}`, { a, b, unit })
  }
  const asks = [...wanted.values()].flatMap((one) => [...new Set(families)].map((family) => ({ ...one, family })))
  for (const one of lentStrengths(evidence, asks)) groupOf(one.a, one.b).lent.push(one)
  for (const group of groups.values()) {
    group.pulled.sort((x, y) => Number(x.owner !== null) - Number(y.owner !== null) || y.valid - x.valid)
    group.lent = group.lent.sort((x, y) => y.median - x.median).slice(0, MOST_LENT)
  }
  const pulls = ({ pulled }: PairGroup) => pulled.reduce((sum, one) => sum + one.pulls, 0)
  return [...groups.values()].sort((x, y) => pulls(y) - pulls(x) || (key(x.a, x.b) < key(y.a, y.b) ? -1 : 1))
}

/** What was said, beside what was pulled on it since. */
export interface SaidTested {
  /** own pulls on that glue and pair */
  pulls: number
  outcome: 'not tested' | 'agrees' | 'disagrees' | 'cannot tell'
}

/**
 * Whether what somebody said was tested here: own pulls of the glue on the pair, dry or after what it is about, held
 * against the limit that they were planned with.
 * @param classOf class of a material id; null when unknown
 */
export function saidTested(
  said: Pick<Said, 'says' | 'family' | 'adhesive' | 'a' | 'b' | 'exposure'>,
  evidence: readonly PairEvidence[],
  classOf: (material: string) => string | null,
): SaidTested {
  const sides = [said.a, said.b].flatMap((id) => (id === null ? [] : (classOf(id) ?? [])))
  const on = ({ sides: [x, y] }: PairEvidence) => {
    const there = [x.material, y.material]
    return sides.every((side) => {
      const at = there.indexOf(side)
      if (at >= 0) there.splice(at, 1)
      return at >= 0
    })
  }
  const about = (one: PairEvidence) =>
    (said.adhesive === null || one.adhesive === said.adhesive) && (said.family === null || one.family === said.family)
  const found = evidence.filter(
    (one) =>
      one.owner === null && (one.exposure?.kind ?? null) === said.exposure && one.valid > 0 && about(one) && on(one),
  )
  const named = said.family !== null || said.adhesive !== null
  const pulls = found.reduce((sum, one) => sum + one.valid, 0)
  if (!pulls || !named || !sides.length) return { pulls: 0, outcome: 'not tested' }
  const held = found.flatMap(({ weakJoint, limit }) =>
    weakJoint && limit !== null
      ? [weakJoint.low95 >= limit ? 'holds' : weakJoint.median < limit ? 'fails' : 'open']
      : [],
  )
  if (said.says === 'something else' || !held.length || held.includes('open')) return { pulls, outcome: 'cannot tell' }
  const agree = held.every((one) => one === said.says)
  const disagree = held.every((one) => one !== said.says)
  return { pulls, outcome: agree ? 'agrees' : disagree ? 'disagrees' : 'cannot tell' }
}

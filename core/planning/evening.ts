import type { Family } from '../knowledge/families'
import type { Step, StepKind } from '../records/procedure'
import { coverS } from '../screening/rules/cover'
import { CLOSE_S } from './mixing'
import { HOLD_BY_HAND_S } from './steps'
import { handsOnMin } from './stepWords'

/** The step at which most of a piece's time by hand goes. */
type Binding = 'preparing' | 'laying' | 'holding' | 'fixing'

export interface Evening {
  /** seconds by hand for one piece */
  eachS: number
  /** pieces that an evening holds, at least one */
  pieces: number
  binds: Binding
  /** evenings for all pieces */
  evenings: number
}

/** Seconds by hand for one bead, stone or eye at a step that is done to a tray of them. */
const IN_A_TRAY_S = 3

const partOf: Partial<Record<StepKind, Binding>> = {
  apply: 'laying',
  coat: 'laying',
  fill: 'laying',
  close: 'laying',
  hold: 'holding',
  dab: 'holding',
  light: 'holding',
  press: 'fixing',
  clamp: 'fixing',
  fillet: 'fixing',
}

/** Seconds by hand for one piece at a step: what is held or lit is stood by, what is fixed in place is not. */
function secondsAt(
  { kind, minS }: Pick<Step, 'kind' | 'minS'>,
  family: Family,
  areaCm2: number,
  byTray: boolean,
): number {
  if (kind === 'apply' || kind === 'coat') return coverS(areaCm2, family)
  if (kind === 'close') return CLOSE_S
  if (kind === 'hold' || kind === 'dab' || kind === 'light') return Math.min(minS, HOLD_BY_HAND_S)
  const usual = 60 * handsOnMin[kind]
  return byTray ? Math.min(usual, IN_A_TRAY_S) : usual
}

/**
 * How many pieces an evening holds, by the step that binds. Work that is done once for all pieces is not in it.
 * @param areaCm2 bonded area of one piece, cm²
 * @param pieces to be glued in all
 * @param eveningMin min of an evening
 * @param byTray small pieces that are prepared many at a time
 */
export function eveningOf(
  steps: readonly Pick<Step, 'kind' | 'minS' | 'once'>[],
  family: Family,
  areaCm2: number,
  pieces: number,
  eveningMin: number,
  byTray = false,
): Evening {
  const spent: Record<Binding, number> = { preparing: 0, laying: 0, holding: 0, fixing: 0 }
  for (const step of steps)
    if (!step.once) spent[partOf[step.kind] ?? 'preparing'] += secondsAt(step, family, areaCm2, byTray)
  const eachS = Math.max(
    1,
    Object.values(spent).reduce((sum, one) => sum + one, 0),
  )
  const [binds] = (Object.entries(spent) as [Binding, number][]).reduce((x, y) => (y[1] > x[1] ? y : x))
  const most = Math.max(1, Math.floor((60 * eveningMin) / eachS))
  return { eachS, pieces: most, binds, evenings: Math.ceil(pieces / most) }
}

import type { Family } from '../knowledge/families'
import type { MaterialClass } from '../knowledge/materials'
import type { Helper } from '../knowledge/vocabulary'
import type { Step, StepKind } from '../records/round'

const applyWords: Partial<Record<Family['form'], string>> = {
  thin: 'Wick it into the closed joint, or lay a thin film on one face',
  film: 'Lay the film on one face, no air below it',
  melt: 'Lay one hot bead, no more than can be closed in the open time',
  spray: 'Spray an even coat',
  foam: 'Lay a thin bead: it swells',
  stick: 'Rub an even film to the edges',
}

/** The same where both faces are treated. */
const applyToBoth: Partial<Record<Family['form'], string>> = {
  film: 'Make both faces soft and tacky, evenly',
  melt: 'Melt both faces at once with the hot tool',
  spray: 'Spray an even coat on both faces',
}

const closeWords: Record<Family['mechanism'], string> = {
  'evaporate-water': 'Close, slide a little to spread, line up the marks',
  'evaporate-solvent': 'Line up the marks and close once, then press along the edge',
  moisture: 'Line up the marks and close',
  melt: 'Close at once and press',
  'heat-activated': 'Close and press with the hot tool, cloth between',
  'two-part': 'Close and squeeze out a little bead',
  light: 'Close, then light it through the clear side',
  weld: 'Close while it is soft',
  pressure: 'Line up the marks and close once, then rub hard',
  unknown: 'Close as its label says',
}

/** What a helper adds, and at which step. */
const helperSteps: Record<Helper, { kind: StepKind; text: string }> = {
  activator: { kind: 'apply', text: 'Mist activator on the other face only, let it flash off' },
  'powder-filler': { kind: 'apply', text: 'Fill the gap with powder first, then let the glue soak in' },
  'fibre-filler': { kind: 'apply', text: 'A pinch of fibre first, a drop at a time, air moving' },
  primer: { kind: 'prepare-b', text: 'Wipe polyolefin primer on the slippery face, glue within its time' },
  'tack-and-cure': { kind: 'apply', text: 'Leave the corners free for small dabs of the fast glue, laid last' },
  'cloth-primer': { kind: 'prepare-a', text: 'Prime the back of the cloth thinly and let it dry' },
  'paper-backing': { kind: 'prepare-a', text: 'Line the back of the cloth with thin paper and let it dry' },
}

/** Nobody holds two parts still for longer than this: what needs more is fixed in place. */
export const HOLD_BY_HAND_S = 120

const fixWords = {
  clamp: 'Clamp lightly with flat pads until it can be handled',
  press: 'Leave under a weight until it can be handled',
  hold: 'Pin, prop or tape it in place until it can be handled',
}

/**
 * The usual steps for a family on two faces, from the tables: prepare, apply, wait inside its window, close, hold,
 * clamp, leave alone. The maker edits them afterwards.
 * @param times a family's times, the label's put over them
 * @param helpers what goes with the glue; each adds its own words to the step that it belongs to
 */
export function usualSteps(
  times: Family,
  a: MaterialClass | null,
  b: MaterialClass | null,
  helpers: readonly Helper[] = [],
): Step[] {
  const steps: Step[] = []
  const add = (kind: StepKind, text: string, minS = 0, maxS: number | null = null) => {
    const extra = helpers.flatMap((helper) => (helperSteps[helper].kind === kind ? helperSteps[helper].text : []))
    steps.push({ id: `s${steps.length + 1}`, kind, text: [text, ...extra].join('. '), minS, maxS })
  }
  add('prepare-a', a?.prep ?? 'Clean, dry and scuff side A', 0)
  add('prepare-b', b?.prep ?? 'Clean, dry and scuff side B', 0)
  const both = times.faces === 'both'
  add(
    'apply',
    both
      ? (applyToBoth[times.form] ?? 'Spread a thin even film on both faces')
      : (applyWords[times.form] ?? 'Spread a thin even film'),
    0,
    both ? null : times.openS,
  )
  if (times.waitMinS > 0) add('wait', 'Leave open until it is dull and touch-dry', times.waitMinS, times.waitMaxS)
  add(
    'close',
    both && times.mechanism === 'evaporate-water' ? closeWords['evaporate-solvent'] : closeWords[times.mechanism],
  )
  const byHand = times.holdS <= HOLD_BY_HAND_S
  const fixed = times.clamp === 'clamp' || times.clamp === 'press' ? times.clamp : 'hold'
  if (byHand) add('hold', 'Hold still', times.holdS)
  if (fixed !== 'hold')
    add('clamp', fixWords[fixed], Math.max(0, Math.max(times.handlingS, times.holdS) - (byHand ? times.holdS : 0)))
  else if (!byHand) add('clamp', fixWords.hold, times.holdS)
  add('cure', 'Leave alone to the full cure at about 20 °C', times.fullS)
  return steps
}

/** Steps that a maker may add, with usual words and times; where they go by themselves: before closing, or after it. */
export const addableSteps: Partial<Record<StepKind, { text: string; minS: number; after: 'apply' | 'close' }>> = {
  coat: { text: 'Let the first coat dry, then coat again', minS: 600, after: 'apply' },
  wait: { text: 'Leave open', minS: 300, after: 'apply' },
  warm: { text: 'Warm the face with a heat gun on low, moving', minS: 20, after: 'apply' },
  'prepare-a': { text: 'Prepare side A once more', minS: 0, after: 'apply' },
  'prepare-b': { text: 'Prepare side B once more', minS: 0, after: 'apply' },
  hold: { text: 'Hold still', minS: 60, after: 'close' },
  clamp: { text: 'Clamp lightly with flat pads', minS: 1800, after: 'close' },
}

/**
 * A procedure's steps with one more, where it belongs: preparing before the glue goes on, clamping after closing.
 * @param place where it must go instead, as care says of heat
 */
export function withStep(steps: readonly Step[], kind: StepKind, id: string, place?: number): Step[] {
  const { text, minS, after } = addableSteps[kind]!
  const prepare = kind.startsWith('prepare')
  const usual = prepare
    ? steps.findIndex((step) => step.kind === 'apply')
    : steps.findLastIndex((step) => step.kind === after) + 1
  const at = place ?? usual
  return [...steps.slice(0, at), { id, kind, text, minS, maxS: null }, ...steps.slice(at)]
}

/** Seconds from closing to full cure that a procedure asks for. */
export const fullCureS = (steps: readonly Step[]): number =>
  steps.filter((step) => step.kind === 'cure').reduce((sum, step) => sum + step.minS, 0)

/** Hands-on minutes of one joint: what the maker stands at it for, not clamp and cure. */
export function handsOnMinutes(steps: readonly Step[]): number {
  const each: Partial<Record<StepKind, number>> = {
    'prepare-a': 1,
    'prepare-b': 1,
    apply: 1,
    coat: 1,
    warm: 1,
    close: 0.5,
    clamp: 0.5,
  }
  return steps.reduce(
    (sum, step) => sum + (each[step.kind] ?? 0) + (step.kind === 'hold' ? Math.min(step.minS, 600) / 60 : 0),
    0,
  )
}

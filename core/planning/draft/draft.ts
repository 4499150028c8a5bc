import { inSentence } from '../../quantities/inSentence'
import { grainedS, roundedS } from '../../cure/cure'
import type { Reason } from '../../screening/reason'
import type { Situation } from '../../situation/situation'
import type { Step } from '../../records/procedure'
import { POT_SHARE } from '../mixing'
import { demandsOf } from './answers'
import { usualDemands } from './base'
import { sideHead } from './faces'
import { secondDemands } from './second'
import { ONCE, slots, type Demand, type Slot } from './slots'

/** A demand with the rule that it comes from; null: the glue's usual way. */
export interface Demanded extends Demand {
  rule: string | null
}

/** All that a procedure must do here: the glue's usual way, and what the advice asks for. */
function allDemands(s: Situation, reasons: readonly Reason[], more: readonly Demanded[] = []): Demanded[] {
  const usual = usualDemands(s).map((demand) => ({ ...demand, rule: null }))
  const asked = reasons.flatMap((reason) => demandsOf(s, reason).map((demand) => ({ ...demand, rule: reason.rule })))
  const second = secondDemands(s).map((demand) => ({ ...demand, rule: null }))
  return [...usual, ...asked, ...second, ...more]
}

/** Steps of a bench file last no longer, s. */
const LONGEST_S = 316_000_000
/** Said before the usual preparation of a face, the coarse first. */
const COARSE = [
  'resin-print-not-cured',
  'damp-face',
  'old-glue-left',
  'paint-is-weak-layer',
  'dirty-face',
  'glazed-skin',
]

/**
 * The standard procedure of a glue in a joint, drafted from the advice: each reason that a step answers becomes that
 * step, in the order in which it is done.
 * @param more what else is asked for, such as by a second glue
 * @param reasons of the screening of the same situation; none: the glue's usual way alone
 */
export function draftSteps(s: Situation, reasons: readonly Reason[] = [], more: readonly Demanded[] = []): Step[] {
  const demands = allDemands(s, reasons, more)
  const steps: Step[] = []
  for (const slot of slots) {
    const here = demands.filter(({ at }) => at === slot)
    if (here.length) steps.push({ id: `s${steps.length + 1}`, ...stepOf(slot, here, s) })
  }
  return steps
}

function stepOf(slot: Slot, demands: readonly Demanded[], s: Situation): Omit<Step, 'id'> {
  const instead = demands.find((one) => one.instead)
  const first = slot.startsWith('prepare') ? demands.filter(({ rule }) => rule !== null).sort(coarseFirst) : []
  const ordered = [...first, ...demands.filter((one) => !first.includes(one))]
  const said = instead ? [instead, ...ordered.filter((one) => one !== instead && one.rule !== null)] : ordered
  const why = [...new Set(demands.flatMap(({ rule }) => rule ?? []))]
  return {
    kind: slot,
    text: onFace(slot, s, sentences(said.map(({ text }) => text))),
    ...timesOf(slot, demands, s),
    ...(why.length && { why }),
    ...(ONCE.has(slot) && { once: true }),
  }
}

/** What is done to one face alone names it first: “Side A, solid wood: sand it”. */
function onFace(slot: Slot, { faces: [a, b] }: Situation, text: string): string {
  const face = slot === 'prepare-a' ? a : slot === 'prepare-b' ? b : null
  return face && text ? sideHead(face) + inSentence(text) : text
}

const coarseFirst = (x: Demanded, y: Demanded) => place(x) - place(y)
const place = ({ rule }: Demanded) => {
  const found = COARSE.indexOf(rule ?? '')
  return found < 0 ? COARSE.length : found
}

/** Sentences one after the other, none twice, none that another says and goes on: “scuff” beside “scuff and wipe”. */
function sentences(texts: readonly string[]): string {
  const said = [...new Set(texts.filter(Boolean))]
  return said.filter((one) => !said.some((other) => other.startsWith(`${one} and `))).join('. ')
}

function timesOf(slot: Slot, demands: readonly Demanded[], { family }: Situation): Pick<Step, 'minS' | 'maxS'> {
  const longest = Math.max(0, ...demands.map(({ minS }) => minS ?? 0))
  const tidy = (seconds: number) => Math.min(LONGEST_S, roundedS(seconds))
  switch (slot) {
    case 'mix':
      return { minS: 0, maxS: family.potLifeS === null ? null : grainedS(POT_SHARE * family.potLifeS) }
    case 'apply':
      return { minS: 0, maxS: family.faces === 'both' || !Number.isFinite(family.openS) ? null : tidy(family.openS) }
    case 'wait':
      return { minS: tidy(family.waitMinS), maxS: tidy(family.waitMaxS) }
    case 'cure':
      // As slow as the slower of two glues.
      return { minS: tidy(Math.max(family.fullS, longest)), maxS: null }
    default:
      // What no table gives, but follows from what it gives.
      return { minS: slot === 'hold' ? tidy(longest) : Math.min(LONGEST_S, grainedS(longest)), maxS: null }
  }
}

import { cureAdvice } from '../cure/advice'
import { durationWords } from '../quantities/durations'
import { slowerFullS } from '../situation/situation'
import type { Procedure, Step } from '../records/procedure'
import { isUntreated } from './controls'
import { draftSteps } from './draft/draft'
import { demandsOf } from './draft/answers'
import { placeOf } from './draft/slots'
import { withProcedure, type Check, type Fault } from './fault'
import { fullCureS } from './steps'
import { stepWords } from './stepWords'

/** A cure that differs from the room's and the joint's by more than this is another one. */
const LIKE = 0.1

/** A procedure that cures for another time than its glue takes in this room and joint. */
export const cureOfTheRoom: Check = ({ procedures }, { advice }) =>
  procedures.flatMap((procedure): Fault[] => {
    const situation = advice?.(procedure)?.situation
    if (!situation || !situation.cure.cures) return []
    const [planned, takes] = [fullCureS(procedure.steps), slowerFullS(situation)]
    if (!(planned > 0) || !(takes > 0) || Math.abs(planned - takes) <= LIKE * takes) return []
    const what =
      planned < takes ? 'it would be pulled before it is done' : 'it would be pulled riper than the joint needs'
    return [
      {
        id: 'another-cure',
        about: procedure.letter,
        text:
          `${procedure.letter} is given ${durationWords(planned)} to cure, and in this room and joint it takes ` +
          `${durationWords(takes)}: ${what}.`,
        mend: {
          words: `Let ${procedure.letter} cure for ${durationWords(takes)}`,
          apply: (draft) =>
            withProcedure(draft, procedure.id, {
              steps: procedure.steps.map((step) => (step.kind === 'cure' ? { ...step, minS: takes } : step)),
            }),
        },
        // Riper is a choice; unripe is a fault.
        ...(planned > takes && { note: true as const }),
      },
    ]
  })

/** A glue that cannot set in this joint, or that is ruled out as harmful: no pull of it says anything of the joint. */
export const ruledOut: Check = ({ procedures }, { advice }) =>
  procedures.flatMap((procedure): Fault[] => {
    const found = advice?.(procedure)
    if (!found || isUntreated(procedure)) return []
    const { situation, screening } = found
    const harm = screening.reasons.find((one) => one.harm && one.verdict === 'block' && !one.lifted)
    const light = screening.reasons.find(({ rule, verdict }) => rule === 'light-path-missing' && verdict === 'block')
    const why = harm?.text ?? light?.text ?? (situation.cure.cures ? null : cureAdvice(situation.cure)[0])
    if (!why) return []
    return [
      {
        id: 'ruled-out',
        about: procedure.letter,
        text: `${procedure.letter} ${harm ? 'is ruled out here, and no test lifts that' : 'does not set here'}: ${why}`,
        mend:
          procedures.length > 1
            ? {
                words: `Leave ${procedure.letter} out`,
                apply: (draft) => ({
                  ...draft,
                  procedures: draft.procedures.filter(({ id }) => id !== procedure.id),
                  control: draft.control === procedure.id ? null : draft.control,
                }),
              }
            : null,
      },
    ]
  })

/** Something that the advice asks for, and no step of the procedure does. */
export const demandLeftOut: Check = ({ procedures }, { advice }) =>
  procedures.flatMap((procedure): Fault[] => {
    const found = advice?.(procedure)
    if (!found) return []
    const { situation, screening } = found
    const does = new Set(procedure.steps.flatMap(({ why }) => why ?? []))
    const missing = screening.reasons.filter(
      (reason) => !does.has(reason.rule) && demandsOf(situation, reason).some(({ text }) => text !== ''),
    )
    if (!missing.length) return []
    const drafted = draftSteps(situation, screening.reasons)
    const wanted = drafted.filter(({ why }) => missing.some(({ rule }) => why?.includes(rule)))
    return [
      {
        id: 'demand-left-out',
        about: procedure.letter,
        text:
          `${procedure.letter} leaves out what its glue asks for here ` +
          `(${wanted.map(({ kind }) => stepWords[kind]).join(', ')}): ` +
          missing.map(({ text }) => text).join(' '),
        mend: {
          words: `Put it into the steps of ${procedure.letter}`,
          apply: (draft) => withProcedure(draft, procedure.id, { steps: withWanted(procedure, wanted) }),
        },
        note: true,
      },
    ]
  })

/** The steps of a procedure with those that are wanted: in place of its own of that kind, or where they belong. */
function withWanted({ steps }: Procedure, wanted: readonly Step[]): Step[] {
  let out = [...steps]
  let last = Math.max(0, ...steps.map(({ id }) => Number(id.replace(/\D/g, '')) || 0))
  for (const step of wanted) {
    const own = out.findIndex(({ kind }) => kind === step.kind)
    if (own >= 0) {
      out = out.map((one, i) => (i === own ? { ...step, id: one.id, minS: one.minS, maxS: one.maxS } : one))
      continue
    }
    last += 1
    const at = out.findIndex(({ kind }) => placeOf(kind) > placeOf(step.kind))
    out = [...out.slice(0, at), { ...step, id: `s${last}` }, ...out.slice(at)]
  }
  return out
}

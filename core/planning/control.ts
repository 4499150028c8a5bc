import type { Procedure } from '../records/procedure'
import type { FairnessSetting } from './fault'

/**
 * The procedure that is best trusted, as the control: by own pulls, then by its chance in this joint, what stands on
 * the shelf first where two are alike. One that is ruled out, or is tested anyway, is never proposed.
 * @returns null where none is suited
 */
export function bestTrusted(procedures: readonly Procedure[], advice: FairnessSetting['advice']): Procedure | null {
  const judged = procedures
    .filter(({ anyway }) => !anyway)
    .map((procedure) => ({ procedure, found: advice?.(procedure) ?? null }))
    .filter(({ found }) => found?.screening.verdict !== 'block')
  const held = ({ found }: (typeof judged)[number]) =>
    Number(found?.screening.reasons.some(({ rule, verdict }) => rule === 'own-evidence' && verdict === 'fit') ?? false)
  const sorted = [...judged].sort(
    (x, y) =>
      held(y) - held(x) ||
      (y.found?.screening.db ?? 0) - (x.found?.screening.db ?? 0) ||
      Number(y.procedure.adhesive !== null) - Number(x.procedure.adhesive !== null),
  )
  return sorted[0]?.procedure ?? null
}

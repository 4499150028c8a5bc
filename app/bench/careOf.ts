import type { WetGlue } from '../../core/care/heat'
import { careFor, type Care } from '../../core/care/care'
import { situationOf } from '../../core/situation/situation'
import type { Procedure } from '../../core/records/round'
import { familyTimes, type JointView } from './jointView'
import type { useBench } from './store'

/** The care that a procedure of this joint needs: hazards of glue, helpers and materials, and of their meeting. */
export const careOf = (bench: ReturnType<typeof useBench>, view: JointView, procedure: Procedure): Care =>
  careFor(
    situationOf(view.joint.brief, view.a?.cls ?? null, view.b?.cls ?? null, familyTimes(bench, procedure), {
      helpers: procedure.helpers,
      dab: procedure.helpers.includes('tack-and-cure') ? 'ca-gel' : null,
    }),
  )

/** What decides whether heat may meet the wet film of a procedure. */
export function wetGlueOf(bench: ReturnType<typeof useBench>, view: JointView, procedure: Procedure): WetGlue {
  const { waitMinS } = familyTimes(bench, procedure)
  return { waitMinS, hazards: careOf(bench, view, procedure).hazards.map(({ id }) => id) }
}

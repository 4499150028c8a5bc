import type { FireGlue } from '../../core/care/fire'
import { gluedHot } from '../../core/care/heat'
import { careFor, type Care } from '../../core/care/care'
import { secondOf } from '../../core/planning/draft/procedure'
import { usableDab } from '../../core/screening/rules/help'
import { situationOf, type Dab, type Situation } from '../../core/situation/situation'
import type { Procedure } from '../../core/records/procedure'
import { familyTimes, type JointView } from './jointView'
import type { useBench } from './store'

type BenchStore = ReturnType<typeof useBench>

const situation = (bench: BenchStore, view: JointView, procedure: Procedure, dab: Dab | null) =>
  situationOf(view.joint.brief, view.a?.cls ?? null, view.b?.cls ?? null, familyTimes(bench, procedure), {
    helpers: procedure.helpers,
    dab,
    second: procedure.second && secondOf(procedure.second, { adhesives: bench.all('adhesive') }),
  })

/** The fast glue whose dabs hold a procedure's joint meanwhile: the first that these faces bear; null without dabs. */
export const dabOf = (bench: BenchStore, view: JointView, procedure: Procedure): Dab | null =>
  procedure.helpers.includes('tack-and-cure') ? usableDab(situation(bench, view, procedure, null)) : null

/** A procedure's joint as the rules see it, with the dabs that hold it meanwhile. */
export const situationOfProcedure = (bench: BenchStore, view: JointView, procedure: Procedure): Situation =>
  situation(bench, view, procedure, dabOf(bench, view, procedure))

/** The care that a procedure needs here: hazards of glue, helpers, dabs and materials, and of their meeting. */
export const careOf = (bench: BenchStore, view: JointView, procedure: Procedure): Care =>
  careFor(situationOfProcedure(bench, view, procedure))

/** What decides whether heat may meet the wet film of a procedure, of its own or of another piece. */
export function fireGlueOf(bench: BenchStore, view: JointView, procedure: Procedure): FireGlue {
  const { waitMinS } = familyTimes(bench, procedure)
  const s = situationOfProcedure(bench, view, procedure)
  return { waitMinS, hazards: careFor(s).hazards.map(({ id }) => id), hot: gluedHot(s) }
}

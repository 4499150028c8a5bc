import type { FireGlue, FirePiece } from '../../core/care/fire'
import type { Procedure } from '../../core/records/procedure'
import { fireGlueOf } from './careOf'
import { viewJoint } from './jointView'
import type { useBench } from './store'

type BenchStore = ReturnType<typeof useBench>

/** What was last touched longer ago is neither hot nor wet any more, ms. */
const A_DAY_MS = 24 * 3_600_000

/** All pieces of the bench, of whatever joint, that were worked on within a day before a time. */
export const firePieces = (bench: BenchStore, now: number): FirePiece[] =>
  bench.all('round').flatMap(({ id, joint: of }) => {
    const coupons = bench.pulled(id).coupons.filter(({ stamps }) => stamps.some(({ at }) => now - at < A_DAY_MS))
    const joint = coupons.length ? bench.get('joint', of) : undefined
    if (!joint) return []
    const glues = gluesOf(bench, viewJoint(bench, joint))
    return coupons.flatMap((coupon): FirePiece[] => {
      const known = glues.find(({ procedure }) => procedure.id === coupon.procedure)
      return known ? [{ coupon, ...known }] : []
    })
  })

const gluesOf = (bench: BenchStore, view: ReturnType<typeof viewJoint>): { procedure: Procedure; glue: FireGlue }[] =>
  view.procedures.map((procedure) => ({ procedure, glue: fireGlueOf(bench, view, procedure) }))

import { burning, type FireGlue, type FirePiece } from '../../core/care/fire'
import type { FireWatch } from '../../core/planning/gluing'
import { DAY_MS } from '../../core/quantities/days'
import type { Procedure } from '../../core/records/procedure'
import { fireGlueOf } from './careOf'
import { viewJoint } from './jointView'
import type { useBench } from './store'

type BenchStore = ReturnType<typeof useBench>

/** All pieces of the bench, of whatever joint, that were worked on within a day before a time. */
export const firePieces = (bench: BenchStore, now: number): FirePiece[] =>
  bench.all('round').flatMap(({ id, joint: of }) => {
    const coupons = bench.pulled(id).coupons.filter(({ stamps }) => stamps.some(({ at }) => now - at < DAY_MS))
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

/** What is hot or may burn on the whole bench at a time, and what each procedure that was begun brings to it. */
export function fireWatch(bench: BenchStore, now: number): FireWatch {
  const pieces = firePieces(bench, now)
  const glues = Object.fromEntries(pieces.map(({ procedure, glue }) => [procedure.id, glue]))
  return { glues, all: burning(pieces, now) }
}

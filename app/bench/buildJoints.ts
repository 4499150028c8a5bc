import { jointCost, type JointCost } from '../../core/choice/jointCost'
import { perMix } from '../../core/planning/benchSums'
import type { Procedure } from '../../core/records/procedure'
import type { JointsToGlue } from '../../core/schedule/buildJoints'
import type { Setting } from '../../core/screening/shortlist'
import { adviceRemembered } from './advice'
import { familyTimes, type JointView } from './jointView'
import { otherGlues } from './otherGlues'
import type { useBench } from './store'
import { startOfDay } from '../../core/quantities/days'

type Store = ReturnType<typeof useBench>

/** Cost of one real joint with a procedure; null while its size is open. */
export const costOf = (bench: Store, view: JointView, procedure: Procedure): JointCost | null =>
  jointCost(
    view.joint.brief,
    procedure,
    familyTimes(bench, procedure),
    bench.get('adhesive', procedure.adhesive),
    bench.bench?.ratePerHour ?? 0,
    otherGlues(bench, view, procedure, null),
  )

/** A joint that is worn or carried on a day must be ready on its morning: so many hours into it. */
const MORNING_H = 8
/** More of the build's own joints than this are planned in parts. */
const MOST_JOINTS = 300

/** The morning of a day, ms. */
export const morningOf = (day: string): number => new Date(startOfDay(day)).setHours(MORNING_H)

/** The joints of the build, and how many of them are glued. */
export function jointsOf(view: JointView): { all: number; glued: number } {
  const all = view.joint.brief.count ?? 1
  const glued = (view.decision?.glued ?? []).reduce((sum, { joints }) => sum + joints, 0)
  return { all, glued: Math.min(all, glued) }
}

/** What is left to be glued of a decided joint; null where nothing is. */
export function jointsLeft(bench: Store, view: JointView, setting: Setting): JointsToGlue | null {
  const procedure = view.procedures.find(({ id }) => id === view.decision?.procedure)
  const { all, glued } = jointsOf(view)
  if (!procedure || glued >= all) return null
  const { widthMm, lengthMm } = view.joint.brief
  const family = adviceRemembered(procedure, setting)?.situation.family ?? familyTimes(bench, procedure)
  const areaCm2 = widthMm !== null && lengthMm !== null ? (widthMm * lengthMm) / 100 : 10
  return {
    procedure,
    count: Math.min(MOST_JOINTS, all - glued),
    handlingS: Number.isFinite(family.handlingS) ? family.handlingS : 0,
    perMix: perMix(procedure, family, areaCm2),
  }
}

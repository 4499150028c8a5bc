import { CodedError } from '../../../core/errors'
import { perMix } from '../../../core/planning/benchSums'
import { parseNumber } from '../../../core/quantities/parse'
import { update } from '../../../core/records/entry'
import type { Decision, Procedure } from '../../../core/records/round'
import type { JointsToGlue } from '../../../core/schedule/buildJoints'
import type { Setting } from '../../../core/screening/shortlist'
import { adviceRemembered } from '../../bench/advice'
import { familyTimes, type JointView } from '../../bench/jointView'
import type { useBench } from '../../bench/store'

type Store = ReturnType<typeof useBench>

/** A joint that is worn or carried on a day must be ready on its morning: so many hours into it. */
const MORNING_H = 8
/** More of the build's own joints than this are planned in parts. */
export const MOST_JOINTS = 300

/** The morning of a day, ms. */
export const morningOf = (day: string): number => new Date(`${day}T00:00`).setHours(MORNING_H)

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

/** @throws CodedError where no whole number of joints was typed, or more than are left */
export async function noteGlued(
  bench: Store,
  view: JointView,
  decision: Decision,
  text: string,
  now: number,
): Promise<boolean> {
  const { all, glued } = jointsOf(view)
  const joints = parseNumber(text, { path: 'glued', field: 'Joints glued', example: '12', least: 1, most: all - glued })
  if (!Number.isInteger(joints))
    throw new CodedError('wrong-shape', 'glued', { field: 'Joints glued', detail: 'a whole number was expected' })
  return bench.write(
    `${view.joint.code}: ${joints} of ${all} joints of the build glued`,
    [update('decision', decision, { glued: [...(decision.glued ?? []), { at: now, joints }] })],
    true,
  )
}

/** The day on which a temporary joint is made anew; null: it stays. */
export const setRedo = (bench: Store, view: JointView, decision: Decision, redoOn: string | null): Promise<boolean> =>
  bench.write(
    `${view.joint.code}: ${redoOn ? 'made only for a time' : 'made to stay'}`,
    [update('decision', decision, { redoOn })],
    true,
  )

export const procedureName = ({ letter, name }: Pick<Procedure, 'letter' | 'name'>): string => `${letter}, ${name}`

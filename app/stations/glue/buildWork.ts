import { CodedError } from '../../../core/errors'
import { parseNumber } from '../../../core/quantities/parseNumber'
import { update } from '../../../core/records/entry'
import type { Decision } from '../../../core/records/decision'
import type { Procedure } from '../../../core/records/procedure'
import { jointsOf } from '../../bench/buildJoints'
import type { JointView } from '../../bench/jointView'
import type { useBench } from '../../bench/store'

type Store = ReturnType<typeof useBench>

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

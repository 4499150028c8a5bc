import { materialClassOf } from '../knowledge/materials'
import { testKinds } from '../knowledge/testKinds'
import type { LoadMode } from '../knowledge/vocabulary'
import type { Arm } from '../records/round'
import type { FairnessSetting, Mend } from './fault'
import { newArm } from './newArm'
import { testsOf } from './testsOf'

const conditions = ({ exposure, ageS }: Arm) => JSON.stringify([exposure, ageS ?? null])

/**
 * The test that answers a load on this joint in place of an arm's own, at the same age and after the same thing; where
 * the round has it already, the arm is left out.
 */
export function takeInstead(
  arm: Arm,
  load: LoadMode,
  arms: readonly Arm[],
  { brief, a, b, now }: Pick<FairnessSetting, 'brief' | 'a' | 'b' | 'now'>,
): Mend {
  const [sideA, sideB] = [a, b].map((id) => (id === null ? null : materialClassOf(id)))
  const instead = testsOf({ ...brief, loads: [load] }, sideA ?? null, sideB ?? null)[0]!
  if (arms.some((one) => one.test === instead && conditions(one) === conditions(arm)))
    return {
      words: 'Leave this test out',
      apply: (draft) => ({ ...draft, arms: draft.arms.filter(({ id }) => id !== arm.id) }),
    }
  const made = { ...newArm(brief, arm.id, instead, now, arm.exposure), ...(arm.ageS != null && { ageS: arm.ageS }) }
  return {
    words: `Take ${testKinds[instead].name} instead`,
    apply: (draft) => ({ ...draft, arms: draft.arms.map((one) => (one.id === arm.id ? made : one)) }),
  }
}

import { materialClassOf } from '../knowledge/materials'
import { testKinds } from '../knowledge/testKinds'
import { inSentence } from '../quantities/inSentence'
import { armWords } from './arms'
import type { Check, Fault } from './fault'
import { newArm } from './newArm'
import { canBend, testsOf } from './testsOf'

/** A test that bends what cannot bend: round a mandrel glass and stone break, whatever the glue does. */
export const bendsWhatBreaks: Check = ({ arms }, { brief, a, b, now }) => {
  const [sideA, sideB] = [a, b].map((id) => (id === null ? null : materialClassOf(id)))
  const stiff = [sideA, sideB].find((one) => one && !canBend(one))
  if (!stiff) return []
  const instead = testsOf({ ...brief, loads: ['flex'] }, sideA ?? null, sideB ?? null)[0]!
  return arms.flatMap((arm): Fault[] => {
    if (arm.test !== 'bend' && arm.test !== 'flex') return []
    const there = arms.some(({ test, exposure }) => test === instead && exposure === arm.exposure)
    return [
      {
        id: 'cannot-bend',
        about: arm.id,
        text:
          `${armWords(arm)}: ${inSentence(stiff.name)} does not bend, it breaks, and flying pieces may hurt: the ` +
          'test says nothing of the glue.',
        mend: {
          words: there ? 'Leave this test out' : `Take ${testKinds[instead].name} instead`,
          apply: (draft) => ({
            ...draft,
            arms: draft.arms.flatMap((one) =>
              one.id !== arm.id ? [one] : there ? [] : [newArm(brief, one.id, instead, now, one.exposure)],
            ),
          }),
        },
      },
    ]
  })
}

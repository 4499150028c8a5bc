import { materialClassOf } from '../knowledge/materials'
import { inSentence } from '../quantities/inSentence'
import { armWords } from './arms'
import type { Check, Fault } from './fault'
import { takeInstead } from './takeInstead'
import { canBend } from './testsOf'

/** A test that bends what cannot bend: round a mandrel glass and stone break, whatever the glue does. */
export const bendsWhatBreaks: Check = ({ arms }, setting) => {
  const stiff = [setting.a, setting.b]
    .map((id) => (id === null ? null : materialClassOf(id)))
    .find((one) => one && !canBend(one))
  if (!stiff) return []
  return arms.flatMap((arm): Fault[] =>
    arm.test !== 'bend' && arm.test !== 'flex'
      ? []
      : [
          {
            id: 'cannot-bend',
            about: arm.id,
            text:
              `${armWords(arm)}: ${inSentence(stiff.name)} does not bend, it breaks, and flying pieces may hurt: the ` +
              'test says nothing of the glue.',
            mend: takeInstead(arm, 'flex', arms, setting),
          },
        ],
  )
}

import { familyOf } from '../../knowledge/families'
import type { Arm } from '../../records/round'
import type { Procedure } from '../../records/procedure'
import { usualSteps } from '../draft/usual'

/** An arm and a procedure as plain as they come, for tests of planning. */
export const plainArm = (id: string, patch: Partial<Arm> = {}): Arm => ({
  id,
  test: 'lap-shear',
  exposure: null,
  size: { widthMm: 25, overlapMm: 12 },
  passLimit: 0.1,
  passSetAt: 0,
  lateChanges: [],
  ...patch,
})
export const plainProcedure = (letter: string, family: string, patch: Partial<Procedure> = {}): Procedure => ({
  id: `p${letter}`,
  joint: 'j',
  letter,
  name: family,
  family,
  adhesive: null,
  helpers: [],
  anyway: false,
  coats: 1,
  spreadGm2: null,
  dilution: null,
  blend: null,
  steps: usualSteps(familyOf(family), null, null),
  ...patch,
})

import { familyOf } from '../../knowledge/families'
import type { MaterialClass } from '../../knowledge/materials'
import { openBrief } from '../../records/openBrief'
import type { Arm } from '../../records/round'
import type { Procedure } from '../../records/procedure'
import type { Setting } from '../../screening/shortlist'
import { usualSteps } from '../draft/usual'

/** An arm, a procedure and a setting as plain as they come, for tests of planning. */
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

/** Two materials on a bench with nothing on its shelf and no pulls. */
export const plainSetting = (a: MaterialClass, b: MaterialClass, more: Partial<Setting> = {}): Setting => ({
  brief: openBrief(),
  a,
  b,
  room: null,
  currency: '€',
  now: 0,
  adhesives: [],
  stock: [],
  houseRules: [],
  evidence: [],
  scraps: [],
  classOf: (id) => id,
  ...more,
})

/**
 * Fields that say when something was done: they differ between two presses of one button, and make no change of their
 * own.
 */
export const momentFields: ReadonlySet<string> = new Set([
  'at',
  'createdAt',
  'plannedAt',
  'passSetAt',
  'setAt',
  'changedLate',
  'since',
])

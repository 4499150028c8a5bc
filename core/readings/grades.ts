import { gradingOf, type TestId } from '../knowledge/testKinds'

export type Grade = 0 | 1 | 2

/** Grades in words, the bad ones first; “nothing to see” where all are good. */
export function gradeWords(test: TestId, grades: Readonly<Record<string, number>>): string {
  const kind = gradingOf(test)
  if (!kind) return ''
  const told = kind.what.filter(({ id }) => (grades[id] ?? 2) < 2).sort((x, y) => grades[x.id]! - grades[y.id]!)
  return told.length ? told.map(({ id, word }) => `${word}: ${kind.steps[grades[id] as Grade]}`).join(', ') : 'all good'
}

/**
 * The worst grade of each thing over several pieces: a glue that stains once stains. null where it was never looked at.
 */
export function worstGrades(
  test: TestId,
  all: readonly Readonly<Record<string, number>>[],
): Record<string, Grade | null> {
  const kind = gradingOf(test)
  return Object.fromEntries(
    (kind?.what ?? []).map(({ id }) => {
      const seen = all.flatMap((grades) => (grades[id] === undefined ? [] : [grades[id] as Grade]))
      return [id, seen.length ? (Math.min(...seen) as Grade) : null]
    }),
  )
}

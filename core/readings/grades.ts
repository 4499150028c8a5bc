import type { TestId } from './tests'

/** A test that is looked at or worked on, not pulled: each thing is graded in three steps. */
export interface GradedKind {
  what: { id: string; word: string }[]
  /** from bad to good */
  steps: [bad: string, fair: string, good: string]
  /** when to look, h after the glue went on or the work was done; empty where it does not matter */
  looks: { hours: number; word: string }[]
}
export type Grade = 0 | 1 | 2

const late = [
  { hours: 0.2, word: 'after minutes' },
  { hours: 1, word: 'after an hour' },
  { hours: 24, word: 'after a day' },
  { hours: 168, word: 'after a week' },
]
const item = (id: string, word: string) => ({ id, word })

export const gradedKinds: Partial<Record<TestId, GradedKind>> = {
  spot: {
    what: [
      item('melt', 'melts or dents'),
      item('cloud', 'clouds or crazes'),
      item('stain', 'stains'),
      item('bleed', 'bleeds through'),
      item('cockle', 'cockles'),
      item('paint', 'lifts paint'),
    ],
    steps: ['plainly', 'a trace', 'not at all'],
    looks: late,
  },
  work: {
    what: [
      item('carve', 'carve'),
      item('sand', 'sand'),
      item('hot-wire', 'hot wire'),
      item('paint', 'paint'),
      item('wash', 'wash'),
    ],
    steps: ['bad', 'so-so', 'good'],
    looks: [],
  },
  looks: {
    what: [
      item('clear', 'clarity'),
      item('line', 'thin line'),
      item('squeeze', 'no squeeze-out'),
      item('voids', 'no voids when opened'),
    ],
    steps: ['poor', 'fair', 'good'],
    looks: late.slice(2),
  },
}

/** Grades in words, the bad ones first; “nothing to see” where all are good. */
export function gradeWords(test: TestId, grades: Readonly<Record<string, number>>): string {
  const kind = gradedKinds[test]
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
  const kind = gradedKinds[test]
  return Object.fromEntries(
    (kind?.what ?? []).map(({ id }) => {
      const seen = all.flatMap((grades) => (grades[id] === undefined ? [] : [grades[id] as Grade]))
      return [id, seen.length ? (Math.min(...seen) as Grade) : null]
    }),
  )
}

/** Chances as makers say them, from the best down: at or above the bound. */
const steps: readonly [bound: number, words: string][] = [
  [0.95, '19 in 20'],
  [0.86, '9 in 10'],
  [0.77, '4 in 5'],
  [0.7, '3 in 4'],
  [0.58, '2 in 3'],
  [0.42, '1 in 2'],
  [0.29, '1 in 3'],
  [0.22, '1 in 4'],
  [0.15, '1 in 5'],
  [0.075, '1 in 10'],
  [0.03, '1 in 20'],
]
/** A chance in words: “9 in 10”. @param chance 0…1 */
export const chanceWords = (chance: number): string => steps.find(([bound]) => chance >= bound)?.[1] ?? 'under 1 in 30'

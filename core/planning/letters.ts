import type { Procedure } from '../records/procedure'

const LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ']

/**
 * The letter of a joint's next procedure: behind the highest, so that none on tape is used twice; once Z is taken, one
 * that no procedure bears. What was left out without its letter on a coupon is free again.
 * @returns null where all are in use
 */
export function nextLetter(procedures: readonly Pick<Procedure, 'letter'>[]): string | null {
  const used = new Set(procedures.map(({ letter }) => letter))
  const behind = LETTERS.findLastIndex((letter) => used.has(letter)) + 1
  return [...LETTERS.slice(behind), ...LETTERS].find((letter) => !used.has(letter)) ?? null
}

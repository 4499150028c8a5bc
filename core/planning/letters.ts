import type { Procedure } from '../records/procedure'

/** The first letter that no procedure of the joint bears; letters on tape are not used twice. */
export const nextLetter = (procedures: readonly Pick<Procedure, 'letter'>[]): string => {
  const highest = procedures.reduce((max, { letter }) => Math.max(max, letter.charCodeAt(0)), 64)
  return String.fromCharCode(highest + 1)
}

/**
 * Share of the bonded area that dabs take (knowledge, tack-and-cure-pair: fixture strength from 5–10 % of the area).
 */
export const DAB_SHARE = 0.08

/** Where the fast dabs of a tack-and-cure joint lie on its face, and what they cost. */
export interface DabLayout {
  dabs: { xMm: number; yMm: number }[]
  /** of each dab */
  diameterMm: number
  lostMm2: number
}

/** From this length of a side on, another pair of dabs holds it down between the corners. */
const BETWEEN_MM = 80

/**
 * Dabs in the corners, and along long sides between them: together 8 % of the face (rules of the trade, fixture
 * strength from 5 to 10 % of the area). A face too narrow for two rows has one.
 * @param widthMm and lengthMm of the glued face
 */
export function dabLayout(widthMm: number, lengthMm: number): DabLayout {
  const along = 2 + Math.floor(Math.max(0, lengthMm - 1) / BETWEEN_MM)
  const across = widthMm < 12 ? 1 : 2
  const lostMm2 = widthMm * lengthMm * DAB_SHARE
  const diameterMm = Math.sqrt((4 * lostMm2) / (Math.PI * along * across))
  const inset = diameterMm / 2 + Math.min(1.5, widthMm / 20)
  const place = (i: number, n: number, total: number) =>
    n === 1 ? total / 2 : inset + (i * (total - 2 * inset)) / (n - 1)
  const dabs = Array.from({ length: along }, (_, i) =>
    Array.from({ length: across }, (_, j) => ({ xMm: place(i, along, lengthMm), yMm: place(j, across, widthMm) })),
  ).flat()
  return { dabs, diameterMm, lostMm2 }
}

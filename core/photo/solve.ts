/**
 * Solves a small linear system by Gaussian elimination with partial pivoting.
 * @param rows each row its coefficients and, last, its right side; changed by the work
 * @returns null where it has no single solution
 */
export function solve(rows: number[][]): number[] | null {
  const n = rows.length
  for (let k = 0; k < n; k++) {
    let best = k
    for (let i = k + 1; i < n; i++) if (Math.abs(rows[i]![k]!) > Math.abs(rows[best]![k]!)) best = i
    if (Math.abs(rows[best]![k]!) < 1e-12) return null
    ;[rows[k], rows[best]] = [rows[best]!, rows[k]!]
    for (let i = k + 1; i < n; i++) {
      const factor = rows[i]![k]! / rows[k]![k]!
      for (let j = k; j <= n; j++) rows[i]![j]! -= factor * rows[k]![j]!
    }
  }
  const out = new Array<number>(n).fill(0)
  for (let k = n - 1; k >= 0; k--) {
    let sum = rows[k]![n]!
    for (let j = k + 1; j < n; j++) sum -= rows[k]![j]! * out[j]!
    out[k] = sum / rows[k]![k]!
  }
  return out
}

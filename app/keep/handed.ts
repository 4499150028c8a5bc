/** A file that was handed from one page to the next, which takes it once. */
let file: File | null = null
export const handOver = (next: File): void => void (file = next)
export function takeHanded(): File | null {
  const taken = file
  file = null
  return taken
}

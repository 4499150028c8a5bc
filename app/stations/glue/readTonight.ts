import { reactive } from 'vue'

/** Cautions that were read count as read for this long, ms: an evening. */
const EVENING_MS = 6 * 3_600_000

/** Which cautions were read this evening on this device; a reload asks again. */
class ReadTonight {
  private readonly at = reactive(new Map<string, number>())

  private readonly keyOf = (cautions: readonly string[]) => [...cautions].sort().join('\n')

  add(cautions: readonly string[], now: number): void {
    this.at.set(this.keyOf(cautions), now)
  }

  /** All of these were read together, no longer ago than an evening. */
  has(cautions: readonly string[], now: number): boolean {
    const at = this.at.get(this.keyOf(cautions))
    return at !== undefined && now >= at && now - at < EVENING_MS
  }
}
export const readTonight = new ReadTonight()

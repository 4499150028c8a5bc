import { now } from './clock'

/**
 * Time without a further save after which the second copy is made, and the longest that it waits while saving goes on,
 * ms.
 */
const QUIET = 1200
const LONGEST = 5000

const due = new Map<string, { timer: ReturnType<typeof setTimeout>; since: number }>()

function copyNow(bench: string): void {
  const waiting = due.get(bench)
  if (waiting) clearTimeout(waiting.timer)
  due.delete(bench)
  // A copy that fails is made at the next save; the database has it all.
  void import('../workers/client').then(({ benchWorker }) => benchWorker().copy({ bench, now: now() })).catch(() => {})
}

let asked = false
/** At the first save of this tab the browser is asked to keep its store also when the disk is short; it may refuse. */
function askToKeep(): void {
  if (asked) return
  asked = true
  void navigator.storage?.persist?.().catch(() => false)
}

/** Has the worker make the second copy of a bench, once its saves pause. */
export function copySoon(bench: string): void {
  askToKeep()
  const before = due.get(bench)
  if (before) clearTimeout(before.timer)
  const since = before?.since ?? performance.now()
  const wait = Math.max(0, Math.min(QUIET, since + LONGEST - performance.now()))
  due.set(bench, { since, timer: setTimeout(() => copyNow(bench), wait) })
}

if (typeof document !== 'undefined')
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'hidden') [...due.keys()].forEach(copyNow)
  })

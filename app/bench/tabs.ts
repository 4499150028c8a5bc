/** Work that only one tab may do at a time for a bench. Without Web Locks (plain http in a network) this tab's own order is all there is. */
export function exclusiveFor(benchId: string): <T>(work: () => Promise<T>) => Promise<T> {
  const { locks } = navigator
  if (!locks) return (work) => work()
  return async (work) => (await locks.request(`paste-bench-${benchId}`, work)) as Awaited<ReturnType<typeof work>>
}

/** Tells other tabs of new entries, and hears of theirs. */
export function tabChannel(benchId: string, onNews: () => void): { announce: () => void; close: () => void } {
  if (typeof BroadcastChannel === 'undefined') return { announce: () => {}, close: () => {} }
  const channel = new BroadcastChannel(`paste-bench-${benchId}`)
  channel.onmessage = onNews
  return { announce: () => channel.postMessage('entry'), close: () => channel.close() }
}

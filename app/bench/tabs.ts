/**
 * Tells other tabs of new entries, and hears of theirs. Where the browser has no BroadcastChannel, by a note in its
 * local storage; a tab that comes to the front looks by itself, whatever was missed.
 */
export function tabChannel(benchId: string, onNews: () => void): { announce: () => void; close: () => void } {
  const name = `paste-bench-${benchId}`
  const onFront = () => document.visibilityState === 'visible' && onNews()
  document.addEventListener('visibilitychange', onFront)
  window.addEventListener('focus', onNews)
  const leave = () => {
    document.removeEventListener('visibilitychange', onFront)
    window.removeEventListener('focus', onNews)
  }
  if (typeof BroadcastChannel !== 'undefined') {
    const channel = new BroadcastChannel(name)
    channel.onmessage = onNews
    return { announce: () => channel.postMessage('entry'), close: () => (leave(), channel.close()) }
  }
  const onNote = ({ key }: StorageEvent) => key === name && onNews()
  window.addEventListener('storage', onNote)
  let count = 0
  return {
    announce: () => {
      try {
        localStorage.setItem(name, `${performance.now()} ${count++}`)
      } catch {
        // Blocked or full: the other tab looks when it comes to the front.
      }
    },
    close: () => (leave(), window.removeEventListener('storage', onNote)),
  }
}

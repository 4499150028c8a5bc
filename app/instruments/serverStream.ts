import type { Link } from './instrument'

/** Nothing for so long, and the stream is taken for lost, ms. */
const SILENT_MS = 5000

/**
 * A stream of events of this app's own server, until it says that it is at its end.
 * @param hear true: that was its last word
 * @throws Error with a sentence when it does not begin
 */
export function openStream<T>(
  path: string,
  hear: (event: T) => boolean,
  ended: (why: string | null) => void,
): Promise<Link> {
  return new Promise((resolve, reject) => {
    const source = new EventSource(path)
    let begun = false
    let over = false
    let patience: ReturnType<typeof setTimeout> | undefined
    function end(why: string | null) {
      if (over) return
      over = true
      clearTimeout(patience)
      source.close()
      if (begun) ended(why)
      else reject(new Error('No simulated instrument answers: it comes with the app’s own server, and with none else.'))
    }
    function wait() {
      clearTimeout(patience)
      patience = setTimeout(
        () => end('The instrument went silent. What was read is kept; connect it again.'),
        SILENT_MS,
      )
    }
    wait()
    source.onmessage = ({ data }: MessageEvent<string>) => {
      wait()
      if (!begun) {
        begun = true
        resolve({ close: async () => end(null) })
      }
      if (hear(JSON.parse(data) as T)) end(null)
    }
    source.onerror = () => end('The link is lost. What was read is kept; connect it again.')
  })
}

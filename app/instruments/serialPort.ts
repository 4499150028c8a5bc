import { LineBuffer } from '../../core/formats/instrumentLine'
import type { Link } from './instrument'

/** Whether this browser reads instruments by USB or a serial line at all. */
export const hasSerial = (): boolean => 'serial' in navigator

/** Bytes that may wait to be read: a second or two of the fastest line. */
const BUFFER_BYTES = 16_384

export interface LineListener {
  line(text: string): void
  full(): void
  ended(why: string | null): void
}

const isNamed = (error: unknown, name: string) => error instanceof Error && error.name === name

/** Why a port did not open, and what to do. */
export function whyNotOpen(error: unknown): string {
  if (isNamed(error, 'NotFoundError')) return 'No instrument was chosen: connect it, switch it on, and choose it.'
  if (isNamed(error, 'InvalidStateError') || isNamed(error, 'NetworkError'))
    return 'The port is in use: another tab or program reads it. Close it there, then connect again.'
  if (isNamed(error, 'SecurityError'))
    return 'The browser does not allow it here: open the app at its own address on this machine.'
  return `The port did not open: ${error instanceof Error ? error.message : String(error)}`
}

/**
 * Reads a port line by line until it is closed or lost.
 * @throws Error with a sentence, where the port is in use or was not chosen
 */
export async function openLines(
  port: Pick<SerialPort, 'open' | 'close' | 'readable'>,
  baudRate: number,
  listener: LineListener,
): Promise<Link> {
  try {
    await port.open({ baudRate, bufferSize: BUFFER_BYTES })
  } catch (error) {
    throw new Error(whyNotOpen(error), { cause: error })
  }
  const decoder = new TextDecoder()
  const buffer = new LineBuffer()
  let closing = false
  let reader: ReadableStreamDefaultReader<Uint8Array> | null = null

  async function read(): Promise<string | null> {
    while (!closing && port.readable) {
      reader = port.readable.getReader()
      try {
        for (;;) {
          const { value, done } = await reader.read()
          if (done) break
          const { lines, full } = buffer.take(decoder.decode(value, { stream: true }))
          lines.forEach((line) => listener.line(line))
          if (full) listener.full()
        }
        if (!closing && !port.readable) break
        // A stream that ends by itself while the port stays readable has nothing more to say.
        return closing ? null : 'The instrument stopped sending. What was read is kept; connect it again.'
      } catch (error) {
        if (closing) return null
        // A port recovers from a full buffer, a wrong frame or a break with a fresh stream; from a lost device not.
        if (isNamed(error, 'NetworkError') || !port.readable) break
        listener.full()
      } finally {
        reader.releaseLock()
      }
    }
    return closing ? null : 'The instrument is gone: its cable or its battery. What was read is kept; connect it again.'
  }
  const ended = read().then(async (why) => {
    await port.close().catch(() => {})
    listener.ended(why)
  })
  return {
    async close() {
      closing = true
      await reader?.cancel().catch(() => {})
      await ended
    },
  }
}

import { spawn } from 'node:child_process'
import { Readable } from 'node:stream'
import { describe, expect, it } from 'vitest'
import { openLines, whyNotOpen, type LineListener } from './serialPort'

interface Heard {
  lines: string[]
  full: number
  ended: (string | null)[]
}
const listening = () => {
  const heard: Heard = { lines: [], full: 0, ended: [] }
  const listener: LineListener = {
    line: (text) => void heard.lines.push(text),
    full: () => void heard.full++,
    ended: (why) => void heard.ended.push(why),
  }
  return { heard, listener }
}
type Port = Parameters<typeof openLines>[0]
const named = (name: string) => Object.assign(new Error(name), { name })

/** A port as the browser hands it over, fed by hand: chunks, errors after which it goes on, and its loss. */
function fakePort() {
  let feed!: ReadableStreamDefaultController<Uint8Array>
  const fresh = () => new ReadableStream<Uint8Array>({ start: (controller) => void (feed = controller) })
  const port = {
    readable: fresh() as ReadableStream<Uint8Array> | null,
    opened: null as SerialOptions | null,
    closed: false,
    open: async (options: SerialOptions) => void (port.opened = options),
    close: async () => void (port.closed = true),
  }
  const encoder = new TextEncoder()
  return {
    port: port as unknown as Port & typeof port,
    send: (text: string) => feed.enqueue(encoder.encode(text)),
    /** an error of the line after which the browser hands over a fresh stream */
    stumble(name: string) {
      const broken = feed
      port.readable = fresh()
      broken.error(named(name))
    },
    lose() {
      const broken = feed
      port.readable = null
      broken.error(named('NetworkError'))
    },
  }
}
const settled = () => new Promise((resolve) => setTimeout(resolve, 5))

describe('a port', () => {
  it('is read line by line at its speed, and left when it is closed', async () => {
    const { port, send } = fakePort()
    const { heard, listener } = listening()
    const link = await openLines(port, 57_600, listener)
    expect(port.opened).toMatchObject({ baudRate: 57_600 })
    send('12.5 N\r\n13')
    send('.0 N\r\n')
    await settled()
    expect(heard.lines.filter(Boolean)).toEqual(['12.5 N', '13.0 N'])
    await link.close()
    expect(heard.ended).toEqual([null])
    expect(port.closed).toBe(true)
  })

  it('that overruns or frames wrongly says so and goes on', async () => {
    const { port, send, stumble } = fakePort()
    const { heard, listener } = listening()
    await openLines(port, 9600, listener)
    send('1\n')
    await settled()
    stumble('BufferOverrunError')
    await settled()
    send('2\n')
    await settled()
    expect(heard).toEqual({ lines: ['1', '2'], full: 1, ended: [] })
  })

  it('that is lost in the middle keeps what was read and says what to do', async () => {
    const { port, send, lose } = fakePort()
    const { heard, listener } = listening()
    await openLines(port, 9600, listener)
    send('41.0\n')
    await settled()
    lose()
    await settled()
    expect(heard.lines).toEqual(['41.0'])
    expect(heard.ended).toEqual([expect.stringMatching(/is gone.*kept.*connect it again/)])
  })

  it('that another tab reads is refused in a sentence', async () => {
    const { port } = fakePort()
    port.open = async () => {
      throw named('InvalidStateError')
    }
    await expect(openLines(port, 9600, listening().listener)).rejects.toThrow(/in use: another tab.*Close it there/)
    expect(whyNotOpen(named('NotFoundError'))).toMatch(/connect it, switch it on/)
    expect(whyNotOpen(named('SecurityError'))).toMatch(/browser does not allow/)
  })

  it('that is a terminal of the machine is read as it writes, with the line ends that the terminal makes', async () => {
    // `script` runs a program on a pseudo-terminal: what it writes goes through the kernel's line discipline.
    const writes = 'for i in 1 2 3 4 5; do echo "$i.5 N"; sleep 0.02; done'
    const child = spawn('script', ['-qec', writes, '/dev/null'], { stdio: ['ignore', 'pipe', 'ignore'] })
    const readable = Readable.toWeb(child.stdout) as unknown as ReadableStream<Uint8Array>
    const port = { readable, open: async () => {}, close: async () => {} } as unknown as Port
    const gone = new Promise((resolve) => child.once('close', resolve))
    const { heard, listener } = listening()
    await openLines(port, 9600, listener)
    await gone
    await expect.poll(() => heard.ended.length, { timeout: 10_000 }).toBe(1)
    expect(heard.lines.filter(Boolean)).toEqual(['1.5 N', '2.5 N', '3.5 N', '4.5 N', '5.5 N'])
    expect(heard.ended[0]).toMatch(/stopped sending/)
  })
})

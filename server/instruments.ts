import { Router, type Request, type Response } from 'express'
import { testIds, type TestId } from '../core/knowledge/testKinds'
import { seededRandom } from '../core/planning/random'
import { simulatedClimate } from '../demo/climate'
import { SAMPLES_PER_S, simulatedTrace } from '../demo/trace'

/** Streams that run at once: one bench has a gauge and a sensor, and tabs that were left open. */
const MOST_STREAMS = 8
const CLIMATE_EVERY_MS = 1000
/** Samples are sent in bundles, as a port hands them over. */
const BUNDLE_MS = 100
const KEEP_ALIVE_MS = 15_000
/** A stream that nobody reads is ended: what waits for its reader, bytes. */
const MOST_WAITING = 256 * 1024
/** No evening at the bench is longer; whoever still reads connects again. */
const LONGEST_MS = 12 * 3_600_000

/** A number of the query within bounds, or what is taken without one. */
function numberIn(request: Request, name: string, usual: number, least: number, most: number): number {
  const value = Number(request.query[name] ?? usual)
  return Number.isFinite(value) ? Math.min(most, Math.max(least, value)) : usual
}

/**
 * The simulated instruments: a climate sensor and a force gauge as streams of events, each of which says that it is
 * simulated. They stand in for real ones behind the same interface of the app.
 * @param random 0…1; the gauge and the sensor scatter by it
 */
export function simulatedInstruments(random: () => number = seededRandom(Date.now() & 0xffffffff)): Router {
  const router = Router()
  let open = 0

  /** Opens a stream of events; null and an answer when too many run. */
  function begin(response: Response): ((data: object) => void) | null {
    if (open >= MOST_STREAMS) {
      response.status(503).type('text').send('Too many instruments are connected: close a tab that reads one.')
      return null
    }
    open += 1
    response.on('close', () => (open -= 1))
    response.status(200)
    response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' })
    response.flushHeaders()
    const write = (text: string) => {
      if (response.writableLength > MOST_WAITING) response.destroy()
      else response.write(text)
    }
    const alive = setInterval(() => write(': \n\n'), KEEP_ALIVE_MS)
    const last = setTimeout(() => response.end(), LONGEST_MS)
    response.on('close', () => {
      clearInterval(alive)
      clearTimeout(last)
    })
    return (data) => write(`data: ${JSON.stringify({ simulated: true, ...data })}\n\n`)
  }

  router.get('/climate', (request, response) => {
    const from = { tempC: numberIn(request, 'tempC', 16, -30, 60), rh: numberIn(request, 'rh', 60, 0, 100) }
    const speed = numberIn(request, 'speed', 1, 1, 10_000)
    const send = begin(response)
    if (!send) return
    const begun = Date.now()
    const say = () => send(simulatedClimate(from, ((Date.now() - begun) / 60_000) * speed, random))
    say()
    const timer = setInterval(say, CLIMATE_EVERY_MS)
    response.on('close', () => clearInterval(timer))
  })

  router.get('/gauge', (request, response) => {
    const asked = String(request.query['test'])
    const test: TestId = testIds.find((id) => id === asked) ?? 'lap-shear'
    const forceN = numberIn(request, 'forceN', 60, 0.01, 1e5)
    const limitN = numberIn(request, 'limitN', 1e6, 0.01, 1e6)
    const lengthMm = numberIn(request, 'lengthMm', 60, 5, 1000)
    const speed = numberIn(request, 'speed', 1, 1, 1000)
    const send = begin(response)
    if (!send) return
    const points = simulatedTrace({ test, forceN, lengthMm }, random)
    let at = 0
    const timer = setInterval(() => {
      const bundle = Math.ceil((SAMPLES_PER_S * BUNDLE_MS * speed) / 1000)
      const samples = points.slice(at, at + bundle)
      at += bundle
      if (samples.some(({ n }) => n > limitN)) {
        send({ samples: samples.filter(({ n }) => n <= limitN), overload: true })
        at = points.length
      } else if (samples.length) send({ samples })
      if (at < points.length) return
      clearInterval(timer)
      send({ samples: [], end: true })
    }, BUNDLE_MS)
    response.on('close', () => clearInterval(timer))
  })
  return router
}

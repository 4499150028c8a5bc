import { createServer as listenWith, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import express from 'express'
import { afterEach, describe, expect, it } from 'vitest'
import { seededRandom } from '../core/planning/random'
import { simulatedInstruments } from './instruments'

let server: Server
const base = async () => {
  server = listenWith(express().use('/instruments', simulatedInstruments(seededRandom(3)))).listen(0, '127.0.0.1')
  await new Promise((resolve) => server.once('listening', resolve))
  return `http://127.0.0.1:${(server.address() as AddressInfo).port}/instruments`
}
afterEach(() => {
  server.closeAllConnections()
  server.close()
})

interface Said {
  simulated: boolean
  tempC: number
  rh: number
  samples: { n: number }[]
  overload?: boolean
  end?: boolean
}
/** Events of a stream until one of them satisfies. */
async function events(url: string, until: (one: Said) => boolean): Promise<Said[]> {
  const stop = new AbortController()
  const response = await fetch(url, { signal: stop.signal })
  expect(response.headers.get('content-type')).toMatch(/text\/event-stream/)
  const out: Said[] = []
  let text = ''
  const decoder = new TextDecoder()
  for await (const piece of response.body!) {
    text += decoder.decode(piece, { stream: true })
    const parts = text.split('\n\n')
    text = parts.pop()!
    for (const part of parts) if (part.startsWith('data: ')) out.push(JSON.parse(part.slice(6)) as Said)
    if (out.some(until)) break
  }
  stop.abort()
  return out
}

describe('the simulated instruments', () => {
  it('stream the climate of a room that a heater warms and dries, and say that they are simulated', async () => {
    const said = await events(`${await base()}/climate?tempC=9&rh=80&speed=3000`, ({ tempC }) => tempC > 12.5)
    expect(said.every(({ simulated }) => simulated)).toBe(true)
    expect(said[0]!.tempC).toBeCloseTo(9, 0)
    expect(said.at(-1)!.rh).toBeLessThan(75)
  })

  it('pull a coupon whose peak is what it carries, and end', async () => {
    const said = await events(`${await base()}/gauge?test=lap-shear&forceN=87&speed=50`, (one) => one.end === true)
    const peak = Math.max(...said.flatMap(({ samples }) => samples.map(({ n }) => n)))
    expect(Math.abs(peak / 87 - 1)).toBeLessThan(0.03)
  })

  it('stop at the limit of the gauge and say so', async () => {
    const said = await events(`${await base()}/gauge?forceN=87&limitN=50&speed=50`, (one) => one.end === true)
    expect(said.some(({ overload }) => overload)).toBe(true)
    expect(Math.max(...said.flatMap(({ samples }) => samples.map(({ n }) => n)))).toBeLessThanOrEqual(50)
  })

  it('take no more streams than a bench has use for, and take one again when another ends', async () => {
    const url = `${await base()}/climate`
    const stops = Array.from({ length: 8 }, () => new AbortController())
    await Promise.all(stops.map(({ signal }) => fetch(url, { signal })))
    const refused = await fetch(url)
    expect(refused.status).toBe(503)
    expect(await refused.text()).toMatch(/close a tab/)
    stops[0]!.abort()
    await expect.poll(async () => (await fetch(url, { signal: AbortSignal.timeout(2000) })).status).toBe(200)
    stops.slice(1).forEach((one) => one.abort())
  })
})

import { networkInterfaces, hostname } from 'node:os'
import { isIP } from 'node:net'
import type { NextFunction, Request, RequestHandler, Response } from 'express'

/** Names that mean this machine to itself. */
const LOOPBACK = new Set(['localhost', '127.0.0.1', '::1'])

/** The name in a Host header without its port: `[::1]:4810` is ::1; null where it is no name. */
export function hostName(header: string | undefined): string | null {
  const match = /^(?:\[([0-9a-f:.]+)\]|([^:[\]/@\s]+))(?::\d{1,5})?$/i.exec(header ?? '')
  return match ? (match[1] ?? match[2]!).toLowerCase().replace(/\.$/, '') : null
}

/** Whether a host that listens there opens the bench to other machines. */
export const isOpenToOthers = (host: string): boolean => !LOOPBACK.has(host) && !host.startsWith('127.')

/**
 * Whether a request that names this host may be answered. A page elsewhere can give its own name the address of this
 * machine, and its visitors' browsers would then take the two for one place: only names of our own are answered. A
 * plain address cannot be given to somebody else's name.
 * @param host where the server listens
 */
export function isOwnName(name: string | null, host: string): boolean {
  if (name === null) return false
  if (LOOPBACK.has(name) || name === host.toLowerCase()) return true
  if (!isOpenToOthers(host)) return false
  const mine = hostname().toLowerCase()
  return isIP(name) > 0 || name === mine || name === `${mine}.local`
}

/** Refuses what names another host than this one. */
export const ownHostOnly =
  (host: string): RequestHandler =>
  (request, response, next) => {
    if (isOwnName(hostName(request.headers.host), host)) return next()
    say(response, 421, 'This bench answers only under the address that it printed when it was started.')
  }

/** Refuses what another page's script, frame or form asks for. */
export function ownPagesOnly(request: Request, response: Response, next: NextFunction): void {
  const site = request.headers['sec-fetch-site']
  const origin = request.headers.origin
  const stranger =
    (site !== undefined && site !== 'same-origin' && site !== 'none') ||
    (origin !== undefined &&
      origin !== `http://${request.headers.host}` &&
      origin !== `https://${request.headers.host}`)
  if (stranger) say(response, 403, 'Only the pages of this bench may read its instruments.')
  else next()
}

/** Refuses what would change something: nothing here can be changed from outside. */
export function readingOnly(request: Request, response: Response, next: NextFunction): void {
  if (request.method === 'GET' || request.method === 'HEAD') return next()
  response.set('Allow', 'GET, HEAD')
  say(response, 405, 'Nothing can be written here: only GET is answered.')
}

/** A short answer in words, never kept. */
export function say(response: Response, status: number, words: string): void {
  response.status(status).set('Cache-Control', 'no-store').type('text/plain').send(`${words}\n`)
}

/** Addresses under which other machines reach this one. */
export const ownAddresses = (): string[] =>
  Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address)

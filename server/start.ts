import { statSync } from 'node:fs'
import { join } from 'node:path'
import { isOpenToOthers, ownAddresses } from './own'

/** What the environment asks of the server, or in a sentence why it cannot be done. */
export type Wanted = { host: string; port: number; fixedPort: boolean; dist: string } | { trouble: string }

/** The port without one named. */
const USUAL_PORT = 4810

/**
 * Reads HOST, PORT and DIST.
 * @param usualDist where the built app stands
 */
export function wanted(env: Record<string, string | undefined>, usualDist: string): Wanted {
  const typed = env['PORT']?.trim() ?? ''
  const port = typed === '' ? USUAL_PORT : /^\d{1,5}$/.test(typed) ? Number(typed) : NaN
  if (!(port >= 1 && port <= 65_535))
    return { trouble: `PORT is “${typed.slice(0, 40)}”: it has to be a whole number from 1 to 65535, such as 4810.` }
  const host = env['HOST']?.trim() || '127.0.0.1'
  if (!/^[0-9a-z.:_-]{1,253}$/i.test(host))
    return { trouble: `HOST is “${host.slice(0, 40)}”: it has to be an address such as 127.0.0.1 or 0.0.0.0.` }
  const dist = env['DIST'] ?? usualDist
  if (!statSync(join(dist, 'index.html'), { throwIfNoEntry: false }))
    return { trouble: 'The app is not built yet: run npm start, or npm run build first.' }
  return { host, port, fixedPort: typed !== '', dist }
}

/** What is said when the server listens for other machines too; null when it does not. */
export function openWarning(host: string, port: number): string | null {
  if (!isOpenToOthers(host)) return null
  const everywhere = host === '0.0.0.0' || host === '::'
  const at = (everywhere ? ownAddresses() : [host]).map((one) => `http://${one}:${port}/`).join('  ')
  return (
    `HOST=${host}: every machine in this network may open the app and the simulated instruments` +
    `${at && `, at ${at}`}. Nobody has to log in, and it is not encrypted. ` +
    'Benches stay in the browser of each machine; over plain http a browser there keeps no copy for ' +
    'offline and opens no gauge.'
  )
}

/** Why listening failed, in a sentence. */
export function listenTrouble(code: string | undefined, host: string, port: number): string {
  if (code === 'EADDRINUSE')
    return `Port ${port} is taken by another program: choose another with PORT, such as PORT=4850.`
  if (code === 'EACCES') return `This user may not open port ${port}: choose one above 1023 with PORT.`
  if (code === 'EADDRNOTAVAIL' || code === 'ENOTFOUND' || code === 'EAI_AGAIN')
    return `HOST is ${host}, which is no address of this machine: use 127.0.0.1, or 0.0.0.0 for all.`
  return `The server could not listen on ${host}, port ${port} (${code ?? 'no reason given'}).`
}

import { createServer } from './app'
import { listenTrouble, openWarning, wanted, type Wanted } from './start'

/** The next free port of as many, where none was named. */
const TRIED = 20
const demo = process.argv.includes('--demo')
const asked = wanted(process.env, new URL('../dist', import.meta.url).pathname)

function trouble(words: string) {
  console.error(words)
  process.exitCode = 1
}

/** The wished port, or the next free one. */
function listen(to: Exclude<Wanted, { trouble: string }>, port: number) {
  const { host } = to
  const server = createServer({ dist: to.dist, demo, host }).listen(port, host)
  // Streams of instruments stay open; all else is short.
  server.headersTimeout = 10_000
  server.requestTimeout = 20_000
  server.maxConnections = 200
  server.once('listening', () => {
    const name = host === '127.0.0.1' || host === '0.0.0.0' || host === '::' ? 'localhost' : host
    console.log(`Paste Bench${demo ? ' with the demo bench' : ''}: http://${name}:${port}/  (Ctrl C stops it)`)
    const warning = openWarning(host, port)
    if (warning) console.warn(warning)
  })
  server.once('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE' && !to.fixedPort && port < to.port + TRIED) listen(to, port + 1)
    else trouble(listenTrouble(error.code, host, port))
  })
}
if ('trouble' in asked) trouble(asked.trouble)
else listen(asked, asked.port)

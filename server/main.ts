import { createServer } from './app'

// Loopback only, unless told otherwise: HOST=0.0.0.0 opens it to the network.
const host = process.env['HOST'] ?? '127.0.0.1'
const first = Number(process.env['PORT'] ?? 4810)
const demo = process.argv.includes('--demo')
// Another build than the usual one, for a check.
const dist = process.env['DIST'] ?? new URL('../dist', import.meta.url).pathname

/** The wished port, or the next free one of twenty. */
function listen(port: number) {
  const server = createServer({ dist, demo }).listen(port, host)
  server.once('listening', () =>
    console.log(
      `Paste Bench${demo ? ' with the demo bench' : ''}: ` +
        `http://${host === '127.0.0.1' ? 'localhost' : host}:${port}/  (Ctrl C stops it)`,
    ),
  )
  server.once('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE' && !process.env['PORT'] && port < first + 20) listen(port + 1)
    else {
      console.error(`Could not listen on port ${port}: ${error.message}`)
      process.exitCode = 1
    }
  })
}
listen(first)

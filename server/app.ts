import { randomBytes } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import compression from 'compression'
import express, { type ErrorRequestHandler, type Express, type RequestHandler } from 'express'
import helmet from 'helmet'
import { builtFile } from './files'
import { simulatedInstruments } from './instruments'
import { ownHostOnly, ownPagesOnly, readingOnly, say } from './own'

export interface ServerOptions {
  /** the built app */
  dist: string
  /** open the demo bench at the first visit */
  demo: boolean
  /** where it listens; other names are refused */
  host?: string
}

/** What the app uses of the browser, each for itself alone; everything else is switched off. */
const USED = ['bluetooth', 'clipboard-write', 'microphone', 'screen-wake-lock', 'serial', 'web-share']
const UNUSED = [
  'accelerometer',
  'autoplay',
  'browsing-topics',
  'camera',
  'display-capture',
  'encrypted-media',
  'fullscreen',
  'geolocation',
  'gyroscope',
  'hid',
  'idle-detection',
  'local-fonts',
  'magnetometer',
  'midi',
  'payment',
  'picture-in-picture',
  'publickey-credentials-get',
  'usb',
  'xr-spatial-tracking',
]
const permissions = [...USED.map((name) => `${name}=(self)`), ...UNUSED.map((name) => `${name}=()`)].join(', ')

/** What a page may load and run: what comes from here. Styles of the page's own bear the nonce of that answer. */
const policy = (nonce: string): RequestHandler =>
  helmet.contentSecurityPolicy({
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'"],
      scriptSrcAttr: ["'none'"],
      workerSrc: ["'self'", 'blob:'],
      styleSrc: ["'self'", `'nonce-${nonce}'`],
      imgSrc: ["'self'", 'data:', 'blob:'],
      fontSrc: ["'self'", 'data:'],
      connectSrc: ["'self'"],
      manifestSrc: ["'self'"],
      objectSrc: ["'none'"],
      frameSrc: ["'none'"],
      // The card's picture is put together in a document of its own, which names its base.
      baseUri: ["'self'"],
      frameAncestors: ["'none'"],
      formAction: ["'self'"],
    },
  })

/** No stack, no path: whatever went wrong, in a sentence. */
const wentWrong: ErrorRequestHandler = (error: unknown, _request, response, next) => {
  if (response.headersSent) return next(error)
  const status = (error as { status?: unknown } | null)?.status
  if (typeof status === 'number' && status >= 400 && status < 500) say(response, status, 'This address cannot be read.')
  else say(response, 500, 'The bench could not answer. Start it again; what was saved is in your browser.')
}

/** Serves the built app and the simulated instruments. Nothing is fetched from elsewhere; the page may not try to. */
export function createServer({ dist, demo, host = '127.0.0.1' }: ServerOptions): Express {
  const page = readFileSync(join(dist, 'index.html'), 'utf8').replace(
    /(name="paste-bench-start" content=")empty/,
    `$1${demo ? 'demo' : 'empty'}`,
  )
  const app = express()
  app.disable('x-powered-by')
  app.set('query parser', 'simple')
  // Served over plain http on the loopback address; the policy of a page is set where it is sent.
  app.use(helmet({ contentSecurityPolicy: false, strictTransportSecurity: false }))
  app.use((_request, response, next) => {
    response.set('Permissions-Policy', permissions)
    next()
  })
  app.use(ownHostOnly(host), readingOnly)
  // Before compression, which would hold small events back.
  app.use('/instruments', ownPagesOnly, simulatedInstruments())
  app.use(compression())
  app.use((request, response, next) => {
    const nonce = randomBytes(18).toString('base64')
    policy(nonce)(request, response, (failed?: unknown) => {
      if (failed) return next(failed)
      const file = request.path === '/index.html' ? 'page' : builtFile(dist, request.path)
      if (file === null) return say(response, 404, 'There is nothing at this address.')
      // What the installed app keeps is the page as it is served, with its headers.
      if (file === 'page')
        return void response.type('html').set('Cache-Control', 'no-cache').send(page.replaceAll('%NONCE%', nonce))
      const forGood = request.path.startsWith('/assets/')
      response.set('Cache-Control', forGood ? 'public, max-age=31536000, immutable' : 'no-cache')
      response.sendFile(file, { cacheControl: false, dotfiles: 'allow' }, (error?: Error) => error && next(error))
    })
  })
  app.use(wentWrong)
  return app
}

import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import compression from 'compression'
import express, { type Express, type Response } from 'express'
import helmet from 'helmet'
import { simulatedInstruments } from './instruments'

export interface ServerOptions {
  /** the built app */
  dist: string
  /** open the demo bench at the first visit */
  demo: boolean
}

/** Serves the built app and the simulated instruments. Nothing is fetched from elsewhere; the page may not try to. */
export function createServer({ dist, demo }: ServerOptions): Express {
  const page = readFileSync(join(dist, 'index.html'), 'utf8').replace(
    /(name="paste-bench-start" content=")empty/,
    `$1${demo ? 'demo' : 'empty'}`,
  )
  const app = express()
  app.disable('x-powered-by')
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          workerSrc: ["'self'", 'blob:'],
          // Vuetify and the print's paper size set styles of their own.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'", 'data:'],
          connectSrc: ["'self'"],
          objectSrc: ["'none'"],
          baseUri: ["'self'"],
          frameAncestors: ["'none'"],
          formAction: ["'self'"],
        },
      },
      // Served over plain http on the loopback address.
      strictTransportSecurity: false,
    }),
  )
  // Before compression, which would hold small events back.
  app.use('/instruments', simulatedInstruments())
  app.use(compression())
  const never = { immutable: true, maxAge: '1y', fallthrough: false } as const
  app.use('/assets', express.static(join(dist, 'assets'), never))
  const sendPage = (response: Response) => void response.type('html').set('Cache-Control', 'no-cache').send(page)
  // What the installed app keeps is the page as it is served.
  app.get('/index.html', (_request, response) => sendPage(response))
  app.use(express.static(dist, { index: false }))
  app.get('/{*splat}', (_request, response) => {
    sendPage(response)
  })
  return app
}

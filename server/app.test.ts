import { mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { request, type IncomingHttpHeaders, type Server } from 'node:http'
import { connect, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { createServer } from './app'
import { hostName, isOwnName } from './own'
import { listenTrouble, openWarning, wanted } from './start'

let folder: string
let server: Server
let port: number

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'bench-'))
  const dist = join(folder, 'dist')
  mkdirSync(join(dist, 'assets'), { recursive: true })
  mkdirSync(join(dist, '.vite'))
  writeFileSync(join(folder, 'secret.txt'), 'not of the app')
  writeFileSync(
    join(dist, 'index.html'),
    '<meta name="paste-bench-start" content="empty" nonce="%NONCE%"><div id="app"></div>',
  )
  writeFileSync(join(dist, 'assets', 'a.js'), 'export const a = 1\n'.repeat(200))
  writeFileSync(join(dist, 'favicon.svg'), '<svg/>')
  writeFileSync(join(dist, '.env'), 'hidden')
  writeFileSync(join(dist, '.vite', 'manifest.json'), '{}')
  symlinkSync(join(folder, 'secret.txt'), join(dist, 'out.txt'))
  symlinkSync(folder, join(dist, 'assets', 'up'))
  symlinkSync(join(dist, 'assets', 'a.js'), join(dist, 'assets', 'same.js'))
  server = createServer({ dist, demo: true }).listen(0, '127.0.0.1')
  await new Promise((resolve) => server.once('listening', resolve))
  port = (server.address() as AddressInfo).port
})
afterAll(() => {
  server.closeAllConnections()
  server.close()
  rmSync(folder, { recursive: true })
})

interface Answer {
  status: number
  headers: IncomingHttpHeaders
  text: string
}
/** A request with headers as they are said, and a path that nothing tidies up. */
const ask = (path: string, { method = 'GET', headers = {} as Record<string, string> } = {}): Promise<Answer> =>
  new Promise((resolve, reject) => {
    const sent = request({ port, path, method, headers: { host: `localhost:${port}`, ...headers } }, (response) => {
      let text = ''
      response.on('data', (piece: Buffer) => (text += piece.toString()))
      response.on('end', () => resolve({ status: response.statusCode!, headers: response.headers, text }))
    })
    sent.on('error', reject)
    sent.end()
  })

describe('which names are its own', () => {
  it('reads the name out of a host header', () => {
    expect(hostName('localhost:4810')).toBe('localhost')
    expect(hostName('LOCALHOST.')).toBe('localhost')
    expect(hostName('[::1]:4810')).toBe('::1')
    expect(hostName('127.0.0.1')).toBe('127.0.0.1')
    for (const none of [undefined, '', 'a b', 'user@localhost', 'localhost:4810:1', '[::1', 'localhost:port'])
      expect(hostName(none), String(none)).toBeNull()
  })

  it('answers other names only where it was opened to them, and never a name that is given to its address', () => {
    expect(isOwnName('localhost', '127.0.0.1')).toBe(true)
    expect(isOwnName('192.168.0.7', '127.0.0.1')).toBe(false)
    expect(isOwnName('192.168.0.7', '0.0.0.0')).toBe(true)
    expect(isOwnName('elsewhere.example', '0.0.0.0')).toBe(false)
    expect(isOwnName('bench.home', 'bench.home')).toBe(true)
    expect(isOwnName(null, '0.0.0.0')).toBe(false)
  })
})

describe('the server', () => {
  it.each(['elsewhere.example', 'localhost.elsewhere.example', '127.0.0.1.elsewhere.example', '192.168.0.7'])(
    'refuses %s, on pages and streams',
    async (host) => {
      for (const path of ['/', '/instruments/gauge', '/assets/a.js']) {
        const { status, text } = await ask(path, { headers: { host } })
        expect(status).toBe(421)
        expect(text).toMatch(/answers only under the address/)
      }
    },
  )

  it('keeps its instruments from other pages', async () => {
    for (const headers of [
      { 'sec-fetch-site': 'cross-site' },
      { 'sec-fetch-site': 'same-site' },
      { origin: 'http://localhost:9999' },
      { origin: 'null' },
    ] as Record<string, string>[])
      expect((await ask('/instruments/climate', { headers })).status).toBe(403)
  })

  it.each(['POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS'])('answers %s with 405 and what it takes', async (method) => {
    for (const path of ['/', '/incoming', '/assets/a.js', '/instruments/gauge']) {
      const { status, headers } = await ask(path, { method })
      expect(status).toBe(405)
      expect(headers.allow).toBe('GET, HEAD')
    }
  })

  it('says what the app uses and that nothing else may', async () => {
    const { headers } = await ask('/')
    expect(headers['permissions-policy']).toMatch(/serial=\(self\)/)
    expect(headers['permissions-policy']).toMatch(/camera=\(\), .*geolocation=\(\)/)
    expect(headers['cross-origin-opener-policy']).toBe('same-origin')
    expect(headers['cross-origin-resource-policy']).toBe('same-origin')
    expect(headers['referrer-policy']).toBe('no-referrer')
    expect(headers['x-content-type-options']).toBe('nosniff')
    expect(headers['x-powered-by']).toBeUndefined()
    expect(headers['content-security-policy']).not.toMatch(/unsafe|http:|\*/)
  })

  it('gives each page a nonce of its own, the same in page and policy, and the demo word', async () => {
    const [one, two] = [await ask('/'), await ask('/joint/h1/ask')]
    const nonce = (answer: Answer) => /nonce="([^"]+)"/.exec(answer.text)![1]!
    expect(nonce(one)).toHaveLength(24)
    expect(nonce(one)).not.toBe(nonce(two))
    for (const answer of [one, two]) {
      expect(answer.headers['content-security-policy']).toContain(`'nonce-${nonce(answer)}'`)
      expect(answer.text).toContain('content="demo"')
    }
  })

  it('serves one page for every address of a page, index.html too', async () => {
    const plain = (text: string) => text.replace(/nonce="[^"]+"/, '')
    const first = await ask('/')
    for (const path of ['/index.html', '/shelf', '/joint/a%20b/break', '/nowhere'])
      expect(plain((await ask(path)).text)).toBe(plain(first.text))
  })

  it('keeps built parts for good and asks again for all else; compressed where that is understood', async () => {
    const part = await ask('/assets/a.js', { headers: { 'accept-encoding': 'gzip' } })
    expect(part.status).toBe(200)
    expect(part.headers['cache-control']).toMatch(/immutable/)
    expect(part.headers['content-encoding']).toBe('gzip')
    expect((await ask('/favicon.svg')).headers['cache-control']).toBe('no-cache')
    expect((await ask('/assets/same.js')).text).toMatch(/export const a/)
  })

  it.each([
    '/.env',
    '/.vite/manifest.json',
    '/assets/',
    '/assets',
    '/assets/gone.js',
    '/gone.png',
    '/out.txt',
    '/assets/up/secret.txt',
    '/../secret.txt',
    '/%2e%2e/secret.txt',
    '/assets/..%2f..%2fsecret.txt',
    '/assets/%2e%2e/%2e%2e/secret.txt',
    '/..%5csecret.txt',
    '/a%00.js',
    '/%E0%A4%A',
  ])('has nothing at %s, and says so in a sentence without a path or a stack', async (path) => {
    const { status, text, headers } = await ask(path)
    expect([400, 404]).toContain(status)
    expect(headers['content-type']).toMatch(/text\/plain/)
    expect(text).toMatch(/^[A-Z][^<>/\\]*\.\n$/)
  })

  it('cuts what is no request', async () => {
    const said = await new Promise<string>((resolve) => {
      const socket = connect(port, '127.0.0.1', () => socket.write('GET / HTTP/1.1\r\n\r\n'))
      let text = ''
      socket.on('data', (piece) => (text += piece.toString()))
      socket.on('close', () => resolve(text))
    })
    expect(said).toMatch(/^HTTP\/1.1 400/)
    expect(said).not.toMatch(/node|\.ts/)
  })
})

describe('how it is started', () => {
  it('takes a port and says in a sentence what is wrong with another', () => {
    const dist = join(folder, 'dist')
    expect(wanted({}, dist)).toEqual({ host: '127.0.0.1', port: 4810, fixedPort: false, dist })
    expect(wanted({ PORT: ' 4900 ', HOST: '0.0.0.0' }, dist)).toMatchObject({ port: 4900, fixedPort: true })
    for (const PORT of ['0', '65536', '-1', '48e2', 'eighty', '4810.5', '99999999', '0x12'])
      expect(wanted({ PORT }, dist), PORT).toEqual({ trouble: expect.stringMatching(/whole number from 1 to 65535/) })
    expect(wanted({ HOST: 'http://x/' }, dist)).toEqual({ trouble: expect.stringMatching(/HOST is/) })
    expect(wanted({}, join(folder, 'none'))).toEqual({ trouble: expect.stringMatching(/not built yet/) })
  })

  it('warns where it opens the bench to others, and says what it opens', () => {
    expect(openWarning('127.0.0.1', 1)).toBeNull()
    expect(openWarning('localhost', 1)).toBeNull()
    expect(openWarning('0.0.0.0', 4810)).toMatch(/every machine in this network .* Nobody has to log in/)
    expect(openWarning('192.168.0.7', 4810)).toContain('http://192.168.0.7:4810/')
  })

  it('names what to do when it cannot listen', () => {
    expect(listenTrouble('EADDRINUSE', 'localhost', 80)).toMatch(/Port 80 is taken.*PORT=/)
    expect(listenTrouble('EACCES', 'localhost', 80)).toMatch(/above 1023/)
    expect(listenTrouble('ENOTFOUND', 'nowhere', 80)).toMatch(/no address of this machine/)
    expect(listenTrouble(undefined, 'localhost', 80)).toMatch(/could not listen/)
  })
})

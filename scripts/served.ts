// What the slow checks start: the built app on a port of its own, and the browser that drives it.
import { spawn } from 'node:child_process'

/** For Playwright's launch; CHROMIUM names another browser than Debian's. */
export const browserOptions = {
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'],
}

/**
 * Serves the built app until the returned function is called.
 * @param port that is free
 * @param of whether with the demo bench, and where it was built if not in dist
 */
export function serveBuilt(port: number, of: { demo?: boolean; dist?: string } = {}): () => void {
  const { pid } = spawn('npx', ['tsx', 'server/main.ts', ...(of.demo ? ['--demo'] : [])], {
    env: { ...process.env, PORT: String(port), ...(of.dist && { DIST: of.dist }) },
    stdio: 'ignore',
    // A group of its own: what npx starts ends with it.
    detached: true,
  })
  return () => process.kill(-pid!)
}

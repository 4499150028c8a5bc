// What a fresh machine with only Node.js needs: the packages, and for the checks Debian's Chromium. Plain Node, no
// packages.
import { spawnSync } from 'node:child_process'
import { existsSync, statSync } from 'node:fs'

export const root = new URL('..', import.meta.url).pathname

/** Runs a command with its output on screen. @returns its exit code */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options })
  if (error) console.error(String(error))
  return status ?? 1
}

/** Installs the packages of the lock file unless they are there already. */
export function installPackages() {
  const mark = `${root}node_modules/.package-lock.json`
  if (existsSync(mark) && statSync(mark).mtimeMs >= statSync(`${root}package-lock.json`).mtimeMs) return
  console.log('Installing packages (npm ci)…')
  if (run('npm', ['ci', '--no-audit', '--no-fund']) !== 0) throw new Error('npm ci failed')
}

/** Builds the app unless the build is newer than every source file. */
export function build() {
  console.log('Building the app…')
  if (run('npx', ['vite', 'build', '--logLevel', 'warn']) !== 0) throw new Error('the build failed')
}

export const chromium = process.env.CHROMIUM ?? '/usr/bin/chromium'

/** Debian's Chromium by apt, when it is missing. */
export function installChromium() {
  if (existsSync(chromium)) return
  console.log('Installing Chromium (apt-get)…')
  const sudo = process.getuid?.() === 0 ? [] : ['sudo']
  const apt = (...args) =>
    run([...sudo, 'apt-get'][0], [...sudo, 'apt-get', ...args].slice(1), {
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    })
  apt('update', '-qq')
  if (apt('install', '-y', '-qq', 'chromium') !== 0 || !existsSync(chromium))
    throw new Error('Chromium could not be installed; on another system put its path in CHROMIUM')
}

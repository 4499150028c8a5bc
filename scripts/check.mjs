// npm test: installs what is missing, then every check in order. The last line counts what passed and failed.
import { readFileSync, rmSync } from 'node:fs'
import { installChromium, installPackages, root, run } from './ready.mjs'

installPackages()
installChromium()

let passed = 0
let failed = 0
/** A check that passes or fails as a whole. */
function step(name, command, args) {
  console.log(`\n— ${name}`)
  const ok = run(command, args) === 0
  if (ok) passed++
  else failed++
  return ok
}
/** Counts of a runner that wrote a JSON report. */
function counted(name, command, args, report, read) {
  console.log(`\n— ${name}`)
  rmSync(`${root}${report}`, { force: true })
  const code = run(command, args)
  try {
    const [good, bad] = read(JSON.parse(readFileSync(`${root}${report}`, 'utf8')))
    passed += good
    failed += bad
    if (code !== 0 && bad === 0) failed++
  } catch {
    console.error(`${name} left no report`)
    failed++
  }
}

step('lint', 'npx', ['eslint', '.', '--max-warnings', '0', '--cache', '--cache-location', '.cache/eslint'])
step('format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.'])
step('types: core (no DOM, no Node)', 'npx', ['tsc', '-p', 'core/tsconfig.json'])
step('types: tools and tests', 'npx', ['tsc', '-p', 'tsconfig.node.json'])
step('types: app', 'npx', ['vue-tsc', '-p', 'tsconfig.app.json'])
step('import directions', 'npm', ['run', '--silent', 'directions'])
step('nothing unused', 'npx', ['knip', '--no-progress'])
step('JSON Schema in docs is up to date', 'npx', ['tsx', 'scripts/schema.ts', '--check'])
counted(
  'unit tests',
  'npx',
  ['vitest', 'run', '--reporter=default', '--reporter=json', '--outputFile=.cache/unit.json'],
  '.cache/unit.json',
  (r) => [r.numPassedTests, r.numFailedTests + r.numFailedTestSuites * (r.numFailedTests ? 0 : 1)],
)
if (step('build', 'npx', ['vite', 'build', '--logLevel', 'warn'])) {
  step('sizes of the first load', 'node', ['scripts/sizes.mjs', '--check'])
  counted('e2e', 'npx', ['playwright', 'test'], '.cache/e2e.json', (r) => [
    r.stats.expected + r.stats.flaky,
    r.stats.unexpected,
  ])
}
console.log(`\n${passed} passed, ${failed} failed`)
process.exitCode = failed ? 1 : 0

// Files that went wrong, many of them: ten thousand bench files and two thousand data packages through the reader and
// the views, three hundred that were taken through every page of the built app in the browser. Takes hours.
//   npm run spoilt            all of it
//   npm run spoilt -- 1000    so many bench files; a fifth as many packages, a thirtieth in the browser
import { build, run } from './ready.mjs'

const files = Number(process.argv[2] ?? 10_000)
const env = {
  ...process.env,
  SPOILT_FILES: String(files),
  SPOILT_PACKAGES: String(Math.ceil(files / 5)),
}
const node = run('npx', ['vitest', 'run', 'app/testing/spoiltPackages.test.ts', 'app/testing/spoiltFiles.test.ts'], {
  env,
})
build()
const browser = run('npx', ['playwright', 'test', 'e2e/spoilt.spec.ts'], {
  env: { ...process.env, SPOILT_FILES: String(Math.ceil((files * 3) / 100)) },
})
process.exitCode = node || browser

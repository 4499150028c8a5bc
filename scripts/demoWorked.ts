// Writes demo/worked.json: what the app works out of the demo scenario. A test fails when it is behind.
import { execFileSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { workOut } from '../demo/working'

const file = fileURLToPath(new URL('../demo/worked.json', import.meta.url))
const again = process.argv.includes('--again')
writeFileSync(file, `${JSON.stringify(workOut(), null, 1)}\n`)
// The pulls follow the steps: a second run works them out on the steps that the first one wrote.
if (!again) execFileSync('npx', ['tsx', fileURLToPath(import.meta.url), '--again'], { stdio: 'inherit' })

import { readFileSync } from 'node:fs'
import { answer } from './answer'

// npm run --silent core -- VERB < in.json > out.json
const args = process.argv.slice(2)
const { code, out, err } = answer(args, args[0] === 'schema' ? '' : readFileSync(0, 'utf8'))
process.stdout.write(out)
process.stderr.write(err)
process.exitCode = code

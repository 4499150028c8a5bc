// Writes docs/bench-file.schema.json from the Zod schemas; with --check says whether it is up to date.
import { readFileSync, writeFileSync } from 'node:fs'
import * as z from 'zod/mini'
import { benchFileSchema } from '../core/formats/benchFile'

const path = new URL('../docs/bench-file.schema.json', import.meta.url).pathname
const text = JSON.stringify({ title: 'Paste Bench bench file', ...z.toJSONSchema(benchFileSchema) }, null, 1) + '\n'
if (!process.argv.includes('--check')) writeFileSync(path, text)
else if (readFileSync(path, 'utf8') !== text) {
  console.error('docs/bench-file.schema.json is not what the schemas say: npm run schema')
  process.exitCode = 1
}

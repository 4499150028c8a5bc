// A stored bench of today's version, laid down by this build as it stands: run when BENCH_VERSION went up, so that
// every later build proves that it opens it. Those of older versions were made by the same steps from the history of
// the project.
//   npm run lay-down [-- NAME]
import 'fake-indexeddb/auto'
import { execFileSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { gzipSync } from 'node:zlib'
import { STORED, cellsOf } from '../app/bench/__tests__/storedBenches'
import { Ledger } from '../app/bench/ledger'
import { addBench, benchStorage } from '../app/bench/library'
import { databaseNames } from '../app/storage/databases'
import { writeBenchFile } from '../core/formats/writeBenchFile'
import { insert, update } from '../core/records/entry'
import { BENCH_VERSION } from '../core/records/version'
import { buildDemoBench } from '../demo/bench'

const NOW = Date.parse('2026-11-24T18:00:00Z')
const name = process.argv[2] ?? String(BENCH_VERSION)
const id = await addBench(buildDemoBench(NOW))
let n = 0
const ledger = new Ledger(benchStorage(id), { now: () => NOW + 1000 * ++n, newId: () => `laid-${++n}`, announce() {} })
await ledger.open()
const { records } = ledger
const [joint, other] = records.all('joint')
await ledger.commit('Joint renamed', [update('joint', joint!, { name: 'Rib to wing cloth' })])
const glue = { ...records.all('adhesive')[0]!, id: 'second-tin', name: 'Second tin' }
await ledger.commit('Glue on the shelf', [insert('adhesive', glue)])
await ledger.fold()
const round = records.all('round')[0]!
await ledger.commit('Round planned anew', [update('round', round, { plannedAt: round.plannedAt + 60_000 })])
const procedure = records.all('procedure')[0]!
const named = { name: `${procedure.name}, two coats` }
await ledger.commit('Procedure named', [update('procedure', procedure, named)])
await ledger.commit('Some used', [update('stock', records.all('stock')[0]!, { left: 0.25 })])
await ledger.commit('Joint renamed', [update('joint', other!, { name: 'Taken back soon' })])
await ledger.undo()
if (ledger.save.failure) throw new Error(ledger.save.failure)

const databases: Record<string, unknown> = {}
for (const database of await databaseNames()) {
  const store = database === 'paste-bench-index' ? 'index' : 'ledger'
  databases[database] = { version: 1, stores: { [store]: await cellsOf(database, store) } }
}
const laid = {
  laidDownBy: execFileSync('git', ['rev-parse', '--short=7', 'HEAD']).toString().trim(),
  version: BENCH_VERSION,
  id,
  databases,
  file: JSON.parse(writeBenchFile(records.tables(), NOW + 99_000)) as unknown,
}
writeFileSync(`${STORED}/${name}.json.gz`, gzipSync(JSON.stringify(laid), { level: 9 }))
console.log(`${STORED}/${name}.json.gz`)
process.exit(0)

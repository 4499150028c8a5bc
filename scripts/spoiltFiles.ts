// Bench files that went wrong and are taken all the same, for the browser to open.
//   npx tsx scripts/spoiltFiles.ts FOLDER COUNT SEED
// Writes FOLDER/0.json … and prints, a line each: what was done to it, and the joint that it is about.
import { mkdirSync, writeFileSync } from 'node:fs'
import { worksOn } from '../app/testing/pages'
import { leaves, spoil } from '../app/testing/spoil'
import { readBenchFile, writeBenchFile } from '../core/formats/benchFile'
import { seededRandom } from '../core/planning/random'
import { buildDemoBench } from '../demo/bench'

const [folder, count, seed] = process.argv.slice(2)
const whole = buildDemoBench(Date.now())
const text = writeBenchFile(whole, 1)
const spots = leaves(JSON.parse(text))
const random = seededRandom(Number(seed))
mkdirSync(folder!, { recursive: true })
for (let n = 0; n < Number(count);) {
  const spoilt = spoil(text, spots, random)
  try {
    const { tables } = readBenchFile(spoilt.text)
    const joint =
      worksOn(
        whole,
        spoilt,
        tables.joint.map(({ id }) => id),
      ) ?? tables.joint[n % tables.joint.length]?.id
    writeFileSync(`${folder}/${n}.json`, spoilt.text)
    console.log(JSON.stringify({ why: spoilt.why, joint: joint ?? 'none' }))
    n++
  } catch {
    // Refused: nothing to open.
  }
}

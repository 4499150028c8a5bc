// Turns the knowledge tables (CSV) into the JSON that core/knowledge ships. Run by hand when a table changes:
//   node scripts/knowledge.mjs FOLDER_WITH_THE_CSV_FILES
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import Papa from 'papaparse'

const from = process.argv[2]
if (!from) throw new Error('say which folder holds families.csv, materials.csv and strengths.csv')
const out = new URL('../core/knowledge/', import.meta.url).pathname
const read = (name) => Papa.parse(readFileSync(join(from, name), 'utf8'), { header: true, skipEmptyLines: true }).data

const list = (text) => (text ? text.split(';') : [])
const number = (text) => (text === '' || text === undefined ? null : Number(text))
const lists = new Set(['needs', 'attacks', 'hazards', 'sensitiveTo'])
const numeric = new Set(
  (
    'waitMinS waitMaxS openS holdS handlingS fullS gapMaxMm serviceMinC serviceMaxC expands spreadGm2 ' +
    'densityGml packSize packPrice potLifeS shelfUnopenedMonths shelfOpenedDays porosity surfaceEnergyMNm softensC tensileMPa tearNPerMm ' +
    'modulusMPa typicalThicknessMm'
  ).split(' '),
)
const yesNo = new Set(['vapourBarrier', 'transparent', 'flexible', 'yellows', 'sandable', 'paintable', 'carvable'])
const flexYes = (row, key) => (key === 'flexible' || yesNo.has(key) ? row[key] === 'yes' : row[key])
const typed = (row) =>
  Object.fromEntries(
    Object.keys(row).map((key) => [
      key,
      lists.has(key)
        ? list(row[key])
        : numeric.has(key)
          ? number(row[key])
          : yesNo.has(key)
            ? flexYes(row, key)
            : row[key],
    ]),
  )
/** "80 C" in a text is 80 °C. */
const degrees = (json) => json.replace(/(\d) C\b/g, '$1 °C')
const write = (name, rows) =>
  writeFileSync(join(out, name), `[\n${rows.map((r) => degrees(JSON.stringify(r))).join(',\n')}\n]\n`)

write('families.json', read('families.csv').map(typed))
write('materials.json', read('materials.csv').map(typed))
// One row a material and family; materials of a group without a row of their own take the group's. The file comes with
// the first load of the demo bench, so it is kept small: failure, basis and test in two letters (“As”: adhesive and
// judged, small “a”: scaled; “b” butt, “l” lap), and the observed values only where they differ from the bond's.
const code = (r) => (r.basis === 'judged' ? r.failure[0].toUpperCase() : r.failure[0]) + r.test[0]
write(
  'strengths.json',
  read('strengths.csv').map((r) => {
    const observed = [Number(r.observedMPa), Number(r.observedPeelNPerMm)]
    const bond = [Number(r.bondMPa), Number(r.peelNPerMm)]
    const same = observed.every((value, i) => value === bond[i])
    return [
      r.scope === 'group' ? `group:${r.target}` : r.target,
      r.family,
      code(r),
      Number(r.cv),
      ...bond,
      ...(same ? [] : observed),
    ]
  }),
)

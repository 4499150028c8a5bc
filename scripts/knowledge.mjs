// Generates the JSON that core/knowledge ships from the CSV tables beside it, which are the source:
//   npm run knowledge            writes it, after a table was changed
//   npm run knowledge -- --check fails when the two differ (a unit test does the same)
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import Papa from 'papaparse'

const folder = fileURLToPath(new URL('../core/knowledge/', import.meta.url))
const read = (name) =>
  Papa.parse(readFileSync(join(folder, 'tables', name), 'utf8'), { header: true, skipEmptyLines: true }).data

const lists = new Set(['needs', 'attacks', 'hazards', 'sensitiveTo', 'traits'])
const numeric = new Set([
  ...['waitMinS', 'waitMaxS', 'openS', 'holdS', 'handlingS', 'fullS', 'cureMinC', 'gapMaxMm', 'serviceMinC'],
  'serviceMaxC',
  ...['expands', 'spreadGm2', 'densityGml', 'packSize', 'packPrice', 'potLifeS', 'shelfUnopenedMonths'],
  ...['shelfOpenedDays', 'volatileShare', 'tapeWidthMm', 'porosity', 'surfaceEnergyMNm', 'softensC', 'tensileMPa'],
  ...['tearNPerMm', 'seamSlipNPerMm', 'acrossMPa', 'shearMPa', 'modulusMPa', 'typicalThicknessMm', 'atC'],
  ...['grip', 'toolC', 'surfaceRiseC', 't1S', 'share1', 't2S', 'share2', 't3S', 'share3', 'waterGm2', 'solventGm2'],
  ...['filmModulusMPa', 'elongationPct', 'layFlat', 'block', 'caution', 'fit'],
])
const yesNo = new Set(['told', 'vapourBarrier', 'transparent', 'yellows', 'sandable', 'paintable', 'carvable'])
/** Texts that nothing shows: they stay in the tables. */
const unshipped = new Set(['cleanup', 'debond', 'mixRatio', 'notes'])

function valueOf(key, text) {
  if (lists.has(key)) return text ? text.split(';') : []
  if (numeric.has(key)) return text === '' ? null : Number(text)
  // A family's flex has four grades, a material's is yes or no.
  if (yesNo.has(key) || key === 'flexible') return text === 'yes'
  return text
}
const typed = (row) =>
  Object.fromEntries(
    Object.entries(row)
      .filter(([key]) => !unshipped.has(key))
      .map(([key, text]) => [key, valueOf(key, text)]),
  )

/** A way to undo a joint: what a row leaves empty is left out. */
const undoWay = ({ by, atC, solvent, prise, gentle, how, sideEffect }) => ({
  by,
  ...(atC && { atC: Number(atC) }),
  ...(solvent && { solvent }),
  ...(prise && { prise: true }),
  ...(gentle && { gentle: true }),
  how,
  sideEffect,
})

/** Columns of the strengths as they are shipped, in this order. */
const measured = ['cv', 'bondMPa', 'peelNPerMm', 'observedMPa', 'observedPeelNPerMm']
/** Failure, basis and test in two letters: “As” adhesive and judged, small “a” scaled; “b” butt, “l” lap. */
const code = ({ basis, failure, test }) => (basis === 'judged' ? failure[0].toUpperCase() : failure[0]) + test[0]

/**
 * A material's or group's strengths, a column each in the order of the families: the file comes with the first load of
 * the demo bench, and so it is half as large as with a row for every pair. What has no row of its own is 0 all along.
 */
function strengthColumns(rows, families) {
  const of = new Map(rows.map((row) => [row.family, row]))
  const codes = families.map((family) => (of.has(family) ? code(of.get(family)) : '--')).join('')
  return [codes, ...measured.map((key) => families.map((family) => Number(of.get(family)?.[key] ?? 0)))]
}
function strengths(rows, families) {
  const target = ({ scope, target }) => (scope === 'group' ? `group:${target}` : target)
  const targets = [...new Set(rows.map(target))]
  const entries = targets.map((name) => {
    const columns = strengthColumns(
      rows.filter((row) => target(row) === name),
      families,
    )
    return `${JSON.stringify(name)}:${JSON.stringify(columns)}`
  })
  return `{\n${entries.join(',\n')}\n}\n`
}

/** "80 C" in a text is 80 °C. */
const degrees = (json) => json.replace(/(\d) C\b/g, '$1 °C')
/** A table as its columns, which packs better than rows: the names repeat once. */
function columns(rows) {
  const entries = Object.keys(rows[0]).map(
    (key) => `${JSON.stringify(key)}:${JSON.stringify(rows.map((row) => row[key]))}`,
  )
  return `{\n${entries.map(degrees).join(',\n')}\n}\n`
}
const grouped = (rows) => {
  const by = new Map(rows.map(({ family }) => [family, rows.filter((one) => one.family === family)]))
  const entries = [...by].map(([family, of]) => `${JSON.stringify(family)}:${JSON.stringify(of.map(undoWay))}`)
  return `{\n${entries.map(degrees).join(',\n')}\n}\n`
}

/** A table whose notes stay behind: what practice says of families, faces and doses. */
const practice = (name) =>
  columns(read(name).map((row) => typed(Object.fromEntries(Object.entries(row).filter(([key]) => key !== 'note')))))

/** Every generated file, by its name. */
export const generated = () => ({
  'families.json': columns(read('families.csv').map(typed)),
  'materials.json': columns(read('materials.csv').map(typed)),
  'strengths.json': strengths(
    read('strengths.csv'),
    read('families.csv').map(({ id }) => id),
  ),
  'undo.json': grouped(read('undo.csv')),
  'names.json': `{\n${read('names.csv')
    .map(({ id, names }) => `${JSON.stringify(id)}:${JSON.stringify(names.split(';'))}`)
    .join(',\n')}\n}\n`,
  // What makers reach for is said with its reason.
  'everyday.json': columns(read('everyday.csv').map(typed)),
  ...Object.fromEntries(
    ['grip', 'gaps', 'heat-dose', 'strength-time', 'stiffness', 'wet-load', 'weights', 'schools', 'differs'].map(
      (name) => [`${name}.json`, practice(`${name}.csv`)],
    ),
  ),
})

/** Names of the shipped files that are not what the tables say. */
export const outOfDate = () =>
  Object.entries(generated())
    .filter(([name, text]) => readFileSync(join(folder, name), 'utf8') !== text)
    .map(([name]) => name)

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  if (!process.argv.includes('--check'))
    for (const [name, text] of Object.entries(generated())) writeFileSync(join(folder, name), text)
  else if (outOfDate().length) {
    console.error(`Not what the tables say: ${outOfDate().join(', ')}. Run npm run knowledge.`)
    process.exitCode = 1
  }
}

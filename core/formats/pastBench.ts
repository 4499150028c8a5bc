import { emptyBench } from '../records/emptyBench'
import { openBrief } from '../records/openBrief'
import { familyOf } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import { markOf, stableText } from '../records/together/stableText'
import type { Reading } from '../records/reading'
import type { Round } from '../records/round'
import type { Coupon } from '../records/coupon'
import type { Procedure } from '../records/procedure'
import { noTables, type Tables } from '../records/tables'
import type { PastSettings, Row } from './pastRow'

const firstMoment = (rows: readonly { at: number }[]): number =>
  rows.reduce((least, { at }) => Math.min(least, at), Infinity)

/** Coupons are lettered and numbered; a joint has no more letters than these. */
const LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ']

export function benchOf(rows: readonly Row[], { test, name }: PastSettings, now: number): Tables {
  const mark = (kind: string, ...parts: unknown[]) => `${kind}-${markOf(stableText([name, test, ...parts]))}`
  const tables = noTables()
  const bench = mark('past')
  tables.bench = [{ ...emptyBench(bench, name, now), maker: bench, gauge: unknownGauge }]
  const build = mark('build')
  tables.build = [{ id: build, name, inServiceBy: null, budget: null, what: 'Past tests out of a spreadsheet' }]
  const pairs = new Map<string, Row[]>()
  for (const row of rows) {
    const key = [row.a, row.b].sort().join('|')
    const list = pairs.get(key)
    if (list) list.push(row)
    else pairs.set(key, [row])
  }
  ;[...pairs].forEach(([pair, all], place) => {
    const first = all[0]!
    const code = `S${place + 1}`
    const joint = mark('joint', pair)
    const title = `${materialClassOf(first.a).name} to ${materialClassOf(first.b).name}`
    const side = (material: string) => ({ ...openBrief().a, material })
    tables.joint.push({
      id: joint,
      build,
      code,
      name: title,
      createdAt: firstMoment(all),
      brief: { ...openBrief(), a: side(first.a), b: side(first.b) },
    })
    const families = [...new Set(all.map(({ family }) => family))].slice(0, LETTERS.length)
    const letters = new Map(families.map((family, i) => [family, LETTERS[i]!]))
    tables.procedure.push(
      ...families.map((family) => procedureOf(mark('way', pair, family), joint, letters.get(family)!, family)),
    )
    const round: Round = {
      id: mark('round', pair),
      joint,
      number: 1,
      arms: [{ id: 'a1', test, exposure: null, size: first.size, passLimit: null, passSetAt: null, lateChanges: [] }],
      procedures: families.map((family) => mark('way', pair, family)),
      blocks: 1,
      seed: 1,
      order: 'as-written',
      control: null,
      hunch: null,
      weights: null,
      plannedAt: firstMoment(all),
    }
    tables.round.push(round)
    const counts = new Map<string, number>()
    const seen = new Map<string, number>()
    for (const row of all) {
      if (!letters.has(row.family)) continue
      const n = (counts.get(row.family) ?? 0) + 1
      counts.set(row.family, n)
      // Two rows that say the same are two pulls: the first is the first in every reading of the sheet.
      const content = stableText({ ...row, line: 0, note: '' })
      const again = (seen.get(content) ?? 0) + 1
      seen.set(content, again)
      const id = mark('piece', pair, content, again)
      tables.coupon.push(
        couponOf(id, round, mark('way', pair, row.family), `${code}-${letters.get(row.family)!}${n}`, row),
      )
      tables.reading.push(readingOf(`${id}-x`, id, row))
    }
  })
  return tables
}

/** Nobody said what these were read with. */
const unknownGauge = { name: 'not said, past tests', limitN: 1000, resolutionN: 1 }

const procedureOf = (id: string, joint: string, letter: string, family: string): Procedure => ({
  id,
  joint,
  letter,
  name: familyOf(family).name,
  family,
  adhesive: null,
  helpers: [],
  anyway: false,
  coats: 1,
  spreadGm2: null,
  dilution: null,
  blend: null,
  steps: [],
})
const couponOf = (id: string, round: Round, procedure: string, label: string, { size }: Row): Coupon => ({
  id,
  round: round.id,
  arm: 'a1',
  procedure,
  block: 1,
  label,
  glueAt: 1,
  pullAt: 1,
  size,
  stamps: [],
  deviations: [],
})
const readingOf = (id: string, coupon: string, { newton, outcome, size, at, note, line }: Row): Reading => ({
  id,
  coupon,
  at,
  raw: { way: 'gauge', value: newton.value, unit: newton.unit, tareKg: 0 },
  outcome,
  size,
  early: null,
  note: note || `line ${line} of the sheet`,
  setAside: null,
  corrected: [],
})

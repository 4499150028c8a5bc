import { rowsOfColumns } from '../knowledge/columns'
import type { Family } from '../knowledge/families'
import type { MaterialClass } from '../knowledge/materials'
import rows from '../knowledge/schools.json'
import type { Situation } from '../situation/situation'
import type { Reason } from './reason'
import { solventBorne } from './rules/kinds'

/** How one school makes the joint where it is not the glue as it stands: another family, a helper, or one step. */
export interface Way {
  /** what is put in its place: a family, a helper, seconds to wait, or the words of a step */
  what: 'family' | 'helper' | 'wait' | 'apply' | 'close' | 'prepare-b' | 'as-usual'
  value: string
  /** what tells it from the other in a procedure's name; empty where the glue's own name does */
  words: string
}

/** A question on which experienced makers take sides. */
export interface School {
  id: string
  question: string
  one: string
  another: string
  /** the test that settles it */
  settle: string
  /** the two ways as procedures; null where nothing can be put side by side in one round */
  ways: readonly [Way, Way] | null
}

interface Row {
  id: string
  question: string
  one: string
  another: string
  settle: string
  /** families, chemistries, mechanisms or traits */
  glues: string
  /** materials, groups or traits; “any” */
  faces: string
  sides: string
  when: string
  wayOne: string
  wayTwo: string
  wordsOne: string
  wordsTwo: string
}

const wayOf = (text: string, words: string): Way => {
  if (!text) return { what: 'as-usual', value: '', words }
  const at = text.indexOf(':')
  return { what: text.slice(0, at) as Way['what'], value: text.slice(at + 1), words }
}

interface Ready extends School {
  glues: readonly string[]
  faces: readonly string[]
  both: boolean
  when: readonly string[]
}
const words = (text: string) => (text ? text.split(';') : [])
const table: readonly Ready[] = rowsOfColumns<Row>(rows as never).map((row) => ({
  id: row.id,
  question: row.question,
  one: row.one,
  another: row.another,
  settle: row.settle,
  glues: words(row.glues),
  faces: words(row.faces),
  both: row.sides === 'both',
  when: words(row.when),
  ways: row.wayOne || row.wayTwo ? [wayOf(row.wayOne, row.wordsOne), wayOf(row.wayTwo, row.wordsTwo)] : null,
}))
export const schools: readonly School[] = table

/** Larger faces are large parts, cm²; gaps beyond this are gaps, mm; parts meet summer from this on, °C. */
const LARGE_CM2 = 50
const GAP_MM = 0.1
const SUMMER_C = 35

/** When a school speaks, beside glue and faces. What is open in the brief lets none speak. */
const whens: Record<string, (s: Situation) => boolean> = {
  large: ({ areaCm2 }) => areaCm2 !== null && areaCm2 > LARGE_CM2,
  heat: ({ tempMaxC }) => tempMaxC !== null && tempMaxC >= SUMMER_C,
  flex: ({ flex, loads }) => flex === 'must-flex' || loads?.includes('flex') === true,
  bend: ({ loads }) => loads?.includes('bend') === true,
  gap: ({ gapMm }) => gapMm !== null && gapMm > GAP_MM,
  rough: ({ fit }) => fit === 'rough',
  lasts: ({ lasts }) => lasts !== null,
  air: ({ air }) => air !== null && air !== 'outdoors',
  soon: ({ readyH }) => readyH !== null,
  clamps: ({ canClamp }) => canClamp === true,
}
const speaksWhen = (s: Situation, when: readonly string[]) =>
  !when.length || when.some((word) => whens[word]?.(s) ?? s.geometry === word)

const ofGlue = (family: Family, word: string) =>
  word === family.id ||
  word === family.mechanism ||
  (family.traits as readonly string[]).includes(word) ||
  (word === 'solvent-borne' && solventBorne(family))
const ofFace = (material: MaterialClass, word: string) =>
  word === material.id || word === material.group || (material.traits as readonly string[]).includes(word)

function onFaces({ faces: [a, b] }: Situation, { faces, both }: Ready): boolean {
  if (faces.includes('any')) return true
  const on = (material: MaterialClass | null) => material !== null && faces.some((word) => ofFace(material, word))
  return both ? on(a.material) && on(b.material) : on(a.material) || on(b.material)
}

/** Where experienced makers disagree about this glue on this joint. */
export const schoolsOn = (s: Situation): School[] =>
  table.filter((one) => one.glues.some((word) => ofGlue(s.family, word)) && onFaces(s, one) && speaksWhen(s, one.when))

/** What both say, and what settles it. */
export const schoolWords = ({ question, one, another }: School): string =>
  `Makers disagree here, on ${question}: some say ${one}; others, ${another}.`

/** A school as a reason: a thing to know, which pushes nothing, since the app takes no side. */
export const schoolReasons = (s: Situation): Reason[] =>
  schoolsOn(s).map((school) => ({
    rule: `school:${school.id}`,
    verdict: 'note',
    text: schoolWords(school),
    settleBy: `${school.settle.replace(/^./, (c) => c.toUpperCase())}.`,
    basis: 'practice is divided',
    harm: false,
    byPull: false,
    grade: 'hearsay',
    school: school.id,
  }))

export const schoolOf = (id: string): School | null => table.find((one) => one.id === id) ?? null

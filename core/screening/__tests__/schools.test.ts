import { describe, expect, it } from 'vitest'
import { families, familyOf } from '../../knowledge/families'
import { familyTraits, mechanisms } from '../../knowledge/familySchema'
import { materialClasses, materialClassOf } from '../../knowledge/materials'
import { materialGroups } from '../../knowledge/materialSchema'
import rows from '../../knowledge/schools.json'
import { geometries, helpers } from '../../knowledge/vocabulary'
import type { Brief } from '../../records/joint'
import { openBrief } from '../../records/openBrief'
import { situationOf } from '../../situation/situation'
import { answerQuestion } from '../question'
import { schools, schoolsOn, schoolWords } from '../schools'
import { screen } from '../screen'

const on = (family: string, a: string, b: string, patch: Partial<Brief> = {}) => {
  const open = openBrief()
  const sides = { a: { ...open.a, material: a }, b: { ...open.b, material: b } }
  return schoolsOn(
    situationOf({ ...open, ...patch, ...sides }, materialClassOf(a), materialClassOf(b), familyOf(family)),
  ).map(({ id }) => id)
}

describe('the schools of makers', () => {
  const words = (column: readonly string[]) => column.flatMap((text) => (text ? text.split(';') : []))
  it('name only what the tables have', () => {
    const glues = [...families.map(({ id }) => id), ...mechanisms, ...Object.keys(familyTraits), 'solvent-borne']
    expect(words(rows.glues).filter((word) => !glues.includes(word))).toEqual([])
    const faces = [...materialClasses.map(({ id }) => id), ...(materialGroups as readonly string[]), 'any']
    expect(words(rows.faces).filter((word) => !faces.includes(word))).toEqual([])
    const whens = ['large', 'heat', 'flex', 'bend', 'gap', 'rough', 'lasts', 'air', 'soon', 'clamps', ...geometries]
    expect(words(rows.when).filter((word) => !(whens as string[]).includes(word))).toEqual([])
    const ways = schools.flatMap((one) => one.ways ?? [])
    for (const { what, value, words: said } of ways) {
      if (what === 'family') expect(families.some(({ id }) => id === value)).toBe(true)
      else if (what === 'helper') expect(helpers as readonly string[]).toContain(value)
      else if (what === 'wait') expect(Number(value)).toBeGreaterThan(0)
      else expect(said, 'a way that keeps the glue needs words of its own').not.toBe('')
    }
  })
  it('can each be met by some glue on some joint', () => {
    const met = new Set<string>()
    const patches: Partial<Brief>[] = [
      { geometry: 'edge-strip', life: 'years', air: 'window', canClamp: true, readyH: 4, heatC: 50 },
      { geometry: 'face-large', widthMm: 300, lengthMm: 300, gapMm: 1, flex: 'must-flex' },
      { geometry: 'lap' },
    ]
    for (const { id } of families)
      for (const a of materialClasses)
        for (const patch of patches) on(id, a.id, a.id, patch).forEach((school) => met.add(school))
    expect(schools.map(({ id }) => id).filter((id) => !met.has(id))).toEqual([])
  })
  it.each([
    ['contact-wait', 'contact-solvent', 'leather', 'rubber-sole', {}, true],
    ['contact-wait', 'pva-wood', 'leather', 'rubber-sole', {}, false],
    ['hotmelt-spine', 'hotmelt-high', 'paper', 'card', { geometry: 'edge-strip' }, true],
    ['hotmelt-spine', 'hotmelt-high', 'paper', 'card', {}, false],
    ['hotmelt-spine', 'hotmelt-high', 'paper', 'wood', { geometry: 'edge-strip' }, false],
    ['gun-heat', 'hotmelt-low', 'wood', 'foam-eva', {}, true],
    ['instant-grade', 'ca-gel', 'metal', 'print-pla', { gapMm: 0.5 }, true],
    ['instant-grade', 'ca-gel', 'metal', 'print-pla', { gapMm: 0.05 }, false],
    ['solvent-air', 'contact-solvent', 'wood', 'wood', { air: 'closed' }, true],
    ['solvent-air', 'contact-solvent', 'wood', 'wood', { air: 'outdoors' }, false],
    ['solvent-air', 'contact-solvent', 'wood', 'wood', {}, false],
  ] as const)('%s with %s on %s and %s, %o: %s', (school, family, a, b, patch, speaks) =>
    expect(on(family, a, b, patch as Partial<Brief>).includes(school)).toBe(speaks),
  )
  it('take no side: the chance stays as it was, and the answer says it', () => {
    const question = { joint: { a: 'leather', b: 'rubber-sole' }, adhesive: 'contact-solvent' }
    const open = openBrief()
    const plain = screen(
      situationOf(open, materialClassOf('leather'), materialClassOf('rubber-sole'), familyOf('contact-solvent')),
    )
    const { db, reasons } = answerQuestion(question)
    expect(db).toBe(plain.db)
    const said = reasons.find(({ rule }) => rule === 'school:contact-wait')
    expect(said).toMatchObject({ verdict: 'note', db: 0, grade: 'hearsay' })
    expect(said!.text).toBe(schoolWords(schools.find(({ id }) => id === 'contact-wait')!))
    expect(said!.text).toMatch(/^Makers disagree here, on the wait before closing contact glue: some say one or two/)
  })
})

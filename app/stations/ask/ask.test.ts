import { describe, expect, it } from 'vitest'
import { families, familyOf } from '../../../core/knowledge/families'
import { materialClassOf } from '../../../core/knowledge/materials'
import { openBrief } from '../../../core/records/openBrief'
import { screen } from '../../../core/screening/screen'
import { situationOf } from '../../../core/situation/situation'
import { whateverTheGlue } from '../../../core/screening/whatever'
import { movedBy } from './editBrief'
import { openQuestions, sideWords, traitsOf, words, type BriefWordKey } from './words'

const all = (patch = {}) =>
  families.map((family) =>
    screen(situationOf({ ...openBrief(), ...patch }, materialClassOf('wood'), materialClassOf('card'), family)),
  )

describe('a changed word', () => {
  it('says how many glues it moves, from what to what, and why', () => {
    const moved = movedBy(all(), all({ heatC: 75 }), 'Highest temperature')!
    const truly = families.filter(({ serviceMaxC }) => serviceMaxC < 80).length
    const said = Number(/^(\d+) glues of 45/.exec(moved.lines[0]!)![1])
    expect(said).toBeLessThanOrEqual(truly)
    expect(said).toBeGreaterThan(10)
    expect(moved.lines.join(' ')).toMatch(/White craft PVA: suits → ruled out\. It lets go in the heat/)
    expect(moved.lines.at(-1)).toMatch(/and \d+ more/)
  })
  it('says nothing when nothing moves', () => expect(movedBy(all(), all({ heatC: 20 }), 'x')).toBeNull())
})

describe('words of the sentence', () => {
  it('cover the whole brief: every field has its word', () => {
    const asked = new Set<string>([...Object.keys(words), 'a', 'b'])
    expect(Object.keys(openBrief()).filter((key) => !asked.has(key))).toEqual([])
    const side = new Set<string>([...Object.keys(sideWords('A', null)), 'material'])
    expect(Object.keys(openBrief().a).filter((key) => !side.has(key))).toEqual([])
  })
  it('bear labels of their own, and ask with a question', () => {
    const labels = Object.values(words).map(({ label }) => label)
    expect(new Set(labels).size).toBe(labels.length)
    for (const key of Object.keys(words) as BriefWordKey[]) expect(words[key].ask).toMatch(/\?$/)
  })
  it('ask of a face only what its material can be', () => {
    expect(traitsOf(materialClassOf('sheet-acrylic'))).toEqual(expect.arrayContaining(['tinted', 'stressed']))
    expect(traitsOf(materialClassOf('felt'))).not.toContain('tinted')
    expect(traitsOf(materialClassOf('print-resin'))).toEqual(expect.arrayContaining(['uncured', 'across-layers']))
    expect(traitsOf(null)).toContain('cut-edge')
  })
  it('have a way to find out for each that may be asked about first', () => {
    for (const key of ['a.state', 'b.traits', 'gapMm', 'users', 'later', 'readyH'])
      expect(openQuestions(key).find.length).toBeGreaterThan(10)
    expect(openQuestions('b.state').word).toBe('The face of side B')
  })
})

describe('whatever the glue', () => {
  const brief = openBrief()
  const painted = {
    a: { ...brief.a, state: 'painted-acrylic' as const },
    loads: ['shear' as const],
    geometry: 'patch' as const,
  }
  it('says what the joint itself asks for, the gravest first', () => {
    const found = whateverTheGlue(all(painted)).map(({ rule, verdict }) => `${rule} ${verdict}`)
    expect(found).toEqual(['paint-is-weak-layer caution', 'patch-margin note'])
    // Of how many it is said, counted by hand: the margin of every one, the weak layer not of what stays clear of it.
    const screened = all(painted)
    for (const { text, families: said } of whateverTheGlue(screened))
      expect(said).toBe(screened.filter(({ reasons }) => reasons.some((one) => one.text === text)).length)
  })
  it('leaves out what is about some glues only', () => {
    const found = whateverTheGlue(all({ heatC: 60 })).map(({ rule }) => rule)
    expect(found).toEqual([])
    expect(familyOf('silicone').serviceMaxC).toBeGreaterThan(60)
  })
})

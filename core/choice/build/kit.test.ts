import { describe, expect, it } from 'vitest'
import { familyOf } from '../../knowledge/families'
import { materialClassOf } from '../../knowledge/materials'
import { plainSetting } from '../../planning/__tests__/plain'
import type { Brief } from '../../records/joint'
import { openBrief } from '../../records/openBrief'
import { judged, type Setting } from '../../screening/shortlist'
import { fewest, MEND_S, repairKit, type JointToMend } from './kit'

const setting = (a: string, b: string, brief: Partial<Brief>): Setting =>
  plainSetting(materialClassOf(a), materialClassOf(b), {
    brief: {
      ...openBrief(),
      ...brief,
      a: { ...openBrief().a, material: a },
      b: { ...openBrief().b, material: b },
    },
    currency: '',
  })
const joint = (code: string, of: Setting): JointToMend => ({ id: code, code, setting: of })
const strap = joint('H5', setting('webbing', 'felt', { loads: ['peel'], geometry: 'patch', flex: 'must-flex' }))
const feather = joint('H3', setting('card', 'foam-eva', { loads: ['peel'], geometry: 'edge-strip' }))
const beak = joint('H2', setting('metal', 'glass', { loads: ['shear'], geometry: 'lap', gapMm: 0 }))

describe('as few glues as mend all', () => {
  // The example of docs/build-worked.md: P mends H1, H3 and H5, Q mends H2 and H3, R only H2, likelier than Q there.
  it('agrees with the worked example', () => {
    const joint = (code: string, by: Record<string, number>) => ({ code, by: new Map(Object.entries(by)) })
    const joints = [
      joint('H1', { P: 5 }),
      joint('H2', { Q: 3, R: 6 }),
      joint('H3', { P: 5, Q: 8 }),
      joint('H5', { P: 2 }),
      joint('H7', {}),
    ]
    const taken = fewest(joints, (x, y) => Math.min(...y) - Math.min(...x))
    expect(taken.map(({ key, codes }) => [key, codes])).toEqual([
      ['P', ['H1', 'H3', 'H5']],
      ['R', ['H2']],
    ])
  })
})

describe('the repair kit', () => {
  it('takes as few glues as mend all kinds, each ready within minutes, without mains', () => {
    const { glues, nothing } = repairKit([strap, feather, beak])
    expect(nothing).toEqual([])
    expect(glues.flatMap(({ mends }) => mends).sort()).toEqual(['H2', 'H3', 'H5'])
    expect(glues.length).toBeLessThan(3)
    for (const { family, handlingS, mends, packs } of glues) {
      expect(handlingS).toBeLessThanOrEqual(MEND_S)
      expect(['melt', 'heat-activated', 'light', 'weld']).not.toContain(familyOf(family).mechanism)
      expect(packs).toBe(mends.length + 1)
    }
    // No two glues of it would have done with one: the first mends the most.
    const counts = glues.map(({ mends }) => mends.length)
    expect(counts).toEqual([...counts].sort((x, y) => y - x))
  })

  it('says how likely the worst of its joints is mended, as the shortlist reckons it for the spot', () => {
    const { glues } = repairKit([beak])
    const spot: Brief = {
      ...beak.setting.brief,
      life: 'mend',
      canClamp: false,
      air: 'outdoors',
      later: [],
      count: 1,
    }
    const same = judged(familyOf(glues[0]!.family), null, { ...beak.setting, brief: spot })
    expect(glues[0]!.chance).toBeCloseTo(same.screening.chance, 9)
  })

  it('prefers what stands on the shelf where it serves as well', () => {
    const family = repairKit([beak]).glues[0]!.family
    const own = {
      id: 'tube',
      name: 'Small tube',
      family,
      aliases: [],
      packSize: 3,
      packUnit: 'g' as const,
      packPrice: 2,
      label: {},
      note: '',
    }
    const [first] = repairKit([{ ...beak, setting: { ...beak.setting, adhesives: [own] } }]).glues
    expect(first).toMatchObject({ product: 'tube', name: 'Small tube', pack: '3 g' })
  })

  it('names what to wear and have at hand once, with how to undo it', () => {
    const { ready, glues } = repairKit([strap, feather])
    // one line a kind: gloves, eyes, air, fire, at hand
    const kinds = ready.map((line) => line.split(':')[0])
    expect(kinds).toEqual([...new Set(kinds)])
    const things = ready.flatMap((line) => line.split('; '))
    expect(things).toEqual([...new Set(things)])
    expect(ready.join(' ')).toMatch(/wipes/)
    expect(ready.join(' ')).toMatch(/data sheet/)
    for (const { undo } of glues) expect(undo).toMatch(/\.$/)
  })

  it('says where nothing mends within minutes', () => {
    const hot = joint('H8', setting('metal', 'glass', { loads: ['shear'], heatC: 400 }))
    expect(repairKit([hot])).toMatchObject({ glues: [], nothing: ['H8'] })
  })
})

import { describe, expect, it } from 'vitest'
import { formulaOf } from '../knowledge/testKinds'
import { materialClassOf, materialClasses } from '../knowledge/materials'
import { loadModes, type LoadMode } from '../knowledge/vocabulary'
import { copiesJoint } from '../loads/copies'
import type { Brief } from '../records/joint'
import { openBrief } from '../records/openBrief'
import { canBend, testsOf } from './testsOf'

const side = (id: string | null) => (id === null ? null : materialClassOf(id))
const of = (loads: LoadMode[] | null, a: string | null, b: string | null, geometry: Brief['geometry'] = 'lap') =>
  testsOf({ ...openBrief(), loads, geometry }, side(a), side(b))

describe('the tests of a joint', () => {
  it('one for each load that was said, each once', () => {
    expect(of(['shear'], 'wood', 'metal')).toEqual(['lap-shear'])
    expect(of(['shear', 'shear'], 'wood', 'metal')).toEqual(['lap-shear'])
    expect(of(['shear', 'torsion'], 'wood', 'metal')).toEqual(['lap-shear', 'torsion-rect'])
  })

  it('a rod is turned and snapped round, an edge as an edge', () => {
    expect(of(['torsion', 'bend'], 'wood', 'wood', 'rod')).toEqual(['torsion-round', 'snap-round'])
    expect(of(['torsion', 'bend'], 'wood', 'wood', 'butt-edge')).toEqual(['torsion-rect', 'snap-rect'])
  })

  it('an edge is slid along its seam, pulled apart or snapped open, never a lap of two faces', () => {
    expect(of(['shear', 'tension'], 'wood', 'wood', 'butt-edge')).toEqual(['edge-shear', 'edge-pull'])
    expect(of(['peel'], 'wood', 'wood', 'butt-edge')).toEqual(['snap-rect'])
    expect(of(['cleavage', 'peel'], 'foam-eva', 'foam-eva', 'butt-edge')).toEqual(['edge-pull'])
    expect(of(null, 'foam-eva', 'foam-eva', 'butt-edge')).toEqual(['edge-shear'])
    for (const a of materialClasses)
      for (const load of loadModes)
        for (const test of of([load], a.id, 'foam-eva', 'butt-edge'))
          expect(copiesJoint('butt-edge', test), `${a.id} ${load}: ${test}`).toBe(true)
  })

  it('pages glued along their edge are pulled out and opened flat, whatever else was said', () => {
    expect(of(['peel'], 'paper', 'paper', 'edge-strip')).toEqual(['page-pull', 'lay-flat'])
    expect(of(null, 'paper', 'fabric-cotton', 'edge-strip')).toEqual(['page-pull', 'lay-flat'])
    expect(of(['shear'], 'paper', 'paper', 'edge-strip').at(-1)).toBe('lay-flat')
  })

  it('of pages only: both sides, and only along an edge', () => {
    for (const tests of [
      of(['peel'], 'paper', 'paper', 'lap'),
      of(['peel'], 'paper', 'wood', 'edge-strip'),
      of(['peel'], 'wood', 'paper', 'edge-strip'),
      of(['peel'], 'paper', null, 'edge-strip'),
    ]) {
      expect(tests).toHaveLength(1)
      expect(tests).not.toContain('page-pull')
      expect(tests).not.toContain('lay-flat')
    }
  })

  it('never bends what cannot bend: glass and stone are snapped, or what is soft is peeled off them', () => {
    expect(of(['flex'], 'glass', 'ceramic-stone')).toEqual(['snap-rect'])
    expect(of(['flex'], 'ceramic-stone', 'fabric-cotton')).toEqual(['peel-90'])
    expect(of(['flex'], 'glass', 'glass', 'rod')).toEqual(['snap-round'])
    for (const a of ['glass', 'ceramic-stone', 'metal'])
      for (const b of materialClasses)
        for (const tests of [of(['flex'], a, b.id), of(['flex', 'shear'], b.id, a)])
          expect(
            tests.filter((test) => test === 'bend' || test === 'flex'),
            `${a} ${b.id}`,
          ).toEqual([])
    expect(['wood', 'sheet-acrylic', 'card', 'leather'].map((id) => canBend(side(id)))).toEqual([
      true,
      true,
      true,
      true,
    ])
  })

  it('a strength as well where it only flexes', () => {
    const [first, second, ...more] = of(['flex'], 'leather', 'webbing')
    expect(formulaOf(first!)).toBeNull()
    expect([second, more]).toEqual(['t-peel', []])
    expect(of(['flex'], 'wood', 'card').at(-1)).toBe('lap-shear')
    expect(of(['flex', 'shear'], 'leather', 'webbing').filter((test) => formulaOf(test))).toEqual(['lap-shear'])
  })

  it('one at least where nothing was said', () => {
    expect(of(null, 'wood', 'metal')).toHaveLength(1)
    expect(of([], null, null)).toHaveLength(1)
  })
})

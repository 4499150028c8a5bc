import { describe, expect, it } from 'vitest'
import { families } from '../../knowledge/families'
import { answerQuestion, type Question } from '../question'

/**
 * Joints whose glue the trade does not argue about, with that one glue, or two grades of it. Written down before what
 * the screening says of them was looked at, and not tuned to since.
 */
const cases: [said: string, joint: Question['joint'], choice: string[]][] = [
  ['chair rung in its socket', { a: 'wood', b: 'wood', geometry: 'rod', load: ['bend', 'tension'] }, ['pva-wood']],
  [
    'rubber sole on a leather upper',
    { a: 'rubber-sole', b: 'leather', geometry: 'face-large', load: ['peel', 'flex'], needs: { flex: 'must-flex' } },
    ['contact-solvent'],
  ],
  [
    'halves of a styrene kit',
    { a: 'sheet-styrene', b: 'sheet-styrene', geometry: 'butt-edge', load: ['shear'] },
    ['solvent-weld-thin', 'solvent-weld-gel'],
  ],
  [
    'hem of a cotton curtain',
    {
      a: 'fabric-cotton',
      b: 'fabric-cotton',
      geometry: 'edge-strip',
      load: ['peel'],
      needs: { flex: 'must-flex', wash: true },
    },
    ['web-iron-on'],
  ],
  ['felt shapes on card', { a: 'felt', b: 'card', geometry: 'laid-on', load: ['peel'] }, ['pva-tacky']],
  [
    'page block of a paperback',
    { a: 'paper', b: 'paper', geometry: 'edge-strip', load: ['peel', 'flex'], needs: { flex: 'must-flex' } },
    ['pva-bookbinding'],
  ],
  [
    'edges of a foam breastplate',
    { a: 'foam-eva', b: 'foam-eva', geometry: 'butt-edge', load: ['tension', 'flex'] },
    ['contact-solvent', 'contact-water'],
  ],
  [
    'broken vase, dry flowers only',
    { a: 'ceramic-stone', b: 'ceramic-stone', geometry: 'butt-edge', load: ['shear'], needs: { neat: true } },
    ['epoxy-fast', 'epoxy-slow'],
  ],
  [
    'printed figure in two parts',
    { a: 'print-pla', b: 'print-pla', geometry: 'butt-edge', load: ['shear'] },
    ['ca-medium', 'ca-gel'],
  ],
  [
    'clear acrylic sign letters on an acrylic plate',
    { a: 'sheet-acrylic', b: 'sheet-acrylic', geometry: 'laid-on', load: ['shear'], needs: { clear: true } },
    ['solvent-weld-thin', 'uv-acrylic'],
  ],
  [
    'fold of a leather wallet before sewing',
    { a: 'leather', b: 'leather', geometry: 'edge-strip', load: ['peel'], needs: { flex: 'must-flex' } },
    ['contact-solvent', 'contact-water'],
  ],
  [
    'glass shelf edge sealed to metal in a wet room',
    { a: 'glass', b: 'metal', geometry: 'edge-strip', load: ['shear'], needs: { soak: true, flex: 'must-flex' } },
    ['silicone'],
  ],
  [
    'collage of paper by a child',
    { a: 'paper', b: 'card', geometry: 'face-large', load: ['peel'], needs: { children: true } },
    ['glue-stick', 'pva-white'],
  ],
  [
    'two slabs of insulation board',
    { a: 'foam-xps', b: 'foam-xps', geometry: 'face-large', load: ['shear'], needs: { areaCm2: 900 } },
    ['pu-foaming'],
  ],
  [
    'aluminium plate on wood, carries weight',
    { a: 'metal', b: 'wood', geometry: 'lap', load: ['shear'], needs: { areaCm2: 30, weightKg: 5 } },
    ['epoxy-slow', 'epoxy-fast'],
  ],
]

describe('joints with one usual glue', () => {
  it('have it among the first three, suiting, in fourteen of fifteen', () => {
    const missed = cases.flatMap(([said, joint, choice]) => {
      const first = families
        .map(({ id }, at) => ({ id, at, ...answerQuestion({ joint, adhesive: id }) }))
        .sort((x, y) => y.db - x.db || x.at - y.at)
        .slice(0, 3)
      const there = first.some(({ id, verdict }) => choice.includes(id) && verdict === 'fit')
      return there ? [] : [`${said}: ${first.map(({ id }) => id).join(', ')}`]
    })
    // Silicone on metal stays careful: the common grade corrodes it.
    expect(missed.length, missed.join('; ')).toBeLessThanOrEqual(1)
  })
})

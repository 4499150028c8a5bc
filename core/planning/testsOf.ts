import { testsFor, type Sides, type TestId } from '../knowledge/testKinds'
import type { MaterialClass } from '../knowledge/materials'
import type { LoadMode } from '../knowledge/vocabulary'
import type { Brief } from '../records/joint'
import { sidesOf } from './newArm'

/** Sheets glued along an edge, as the pages of a book are. */
const isPageBlock = ({ geometry }: Pick<Brief, 'geometry'>, a: MaterialClass | null, b: MaterialClass | null) =>
  geometry === 'edge-strip' && [a, b].every((one) => one !== null && (one.group === 'paper' || one.group === 'textile'))

/** The test that answers one load of the brief, as the joint is shaped: a rod round, an edge as an edge. */
function testOf(load: LoadMode, brief: Brief, sides: Sides, block: boolean): TestId[] {
  const rod = brief.geometry === 'rod'
  if (block && load === 'peel') return ['page-pull']
  if (load === 'torsion') return [rod ? 'torsion-round' : 'torsion-rect']
  if (load === 'bend') return [rod ? 'snap-round' : 'snap-rect']
  return testsFor([load], sides).slice(0, 1)
}

/** The tests of a joint: one for each load that was said, each once; a page block is opened flat as well. */
export function testsOf(brief: Brief, a: MaterialClass | null, b: MaterialClass | null): TestId[] {
  const sides = sidesOf(a, b)
  const block = isPageBlock(brief, a, b)
  const loads = brief.loads ?? []
  const found = loads.length
    ? loads.flatMap((load) => testOf(load, brief, sides, block))
    : block
      ? (['page-pull'] as const)
      : testsFor([], sides).slice(0, 1)
  return [...new Set([...found, ...(block ? (['lay-flat'] as const) : [])])]
}

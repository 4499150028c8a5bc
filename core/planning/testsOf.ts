import { formulaOf, testsFor, type Sides, type TestId } from '../knowledge/testKinds'
import type { MaterialClass } from '../knowledge/materials'
import type { LoadMode } from '../knowledge/vocabulary'
import type { Brief } from '../records/joint'
import { sidesOf } from './newArm'

/** Sheets glued along an edge, as the pages of a book are. */
const isPageBlock = ({ geometry }: Pick<Brief, 'geometry'>, a: MaterialClass | null, b: MaterialClass | null) =>
  geometry === 'edge-strip' && [a, b].every((one) => one !== null && (one.group === 'paper' || one.group === 'textile'))

/** What breaks at less strain than this is not bent round anything: glass, stone, and no maker bends plate metal. */
const LEAST_STRAIN = 0.005
/** A part that can be bent at all, by the strain that it stands (its strength over its stiffness); open ones may. */
export const canBend = (material: MaterialClass | null): boolean =>
  material === null || material.flexible || material.tensileMPa / material.modulusMPa >= LEAST_STRAIN

/** An edge on an edge has no face to be peeled: stiff ones are snapped open, soft ones pulled apart. */
function edgeTestOf(load: LoadMode, { aBends, bBends }: Sides): TestId | null {
  if (load === 'shear') return 'edge-shear'
  if (load === 'tension') return 'edge-pull'
  if (load === 'peel' || load === 'cleavage') return aBends || bBends ? 'edge-pull' : 'snap-rect'
  return null
}

/** The test that answers one load of the brief, as the joint is shaped: a rod round, an edge as an edge. */
function testOf(load: LoadMode, brief: Brief, sides: Sides, block: boolean): TestId[] {
  const rod = brief.geometry === 'rod'
  if (block && load === 'peel') return ['page-pull']
  const edge = brief.geometry === 'butt-edge' ? edgeTestOf(load, sides) : null
  if (edge) return [edge]
  if (load === 'torsion') return [rod ? 'torsion-round' : 'torsion-rect']
  if (load === 'bend') return [rod ? 'snap-round' : 'snap-rect']
  return testsFor([load], sides).slice(0, 1)
}

/**
 * The tests of a joint: one for each load that was said, each once; what flexes is pulled too, a page block is opened
 * flat as well.
 */
export function testsOf(brief: Brief, a: MaterialClass | null, b: MaterialClass | null): TestId[] {
  const sides = sidesOf(a, b)
  const block = isPageBlock(brief, a, b)
  const said = brief.loads ?? []
  // Beside a part that cannot bend only the other one flexes, and pulls at the rim; two of them can but snap.
  const stiff = [a, b].filter((one) => !canBend(one)).length
  const soft = [a, b].some((one) => one?.flexible)
  const loads = said.map((load) => (load === 'flex' && stiff ? (soft ? 'peel' : 'bend') : load))
  const found = loads.length
    ? loads.flatMap((load) => testOf(load, brief, sides, block))
    : block
      ? (['page-pull'] as const)
      : testOf('shear', brief, sides, block)
  // What is only bent to and fro is also pulled once: how strong it is no count of bends says.
  const bends = a?.flexible || b?.flexible
  const strong = found.some((test) => formulaOf(test)) || !loads.includes('flex')
  const pulled = strong ? [] : testOf(bends ? 'peel' : 'shear', brief, sides, block)
  return [...new Set([...found, ...pulled, ...(block ? (['lay-flat'] as const) : [])])]
}

import type { TestId } from '../knowledge/testKinds'
import type { Geometry } from '../knowledge/vocabulary'

/** Tests of parts that lie on each other, and of parts that meet at their edges. */
const onFaces: ReadonlySet<TestId> = new Set(['lap-shear', 'tension', 't-peel', 'peel-180', 'peel-90', 'cleavage'])
const onEdges: ReadonlySet<TestId> = new Set(['edge-pull', 'edge-shear'])
/** Joints of two faces that lie on each other; a strip along a rim is one too. */
const faces: ReadonlySet<Geometry> = new Set(['lap', 'face-large', 'point', 'laid-on', 'patch', 'edge-strip'])

/**
 * Whether a coupon of a test is glued as the joint is: an edge has end grain, cut cells and a narrow line, and a face
 * has none of them. An open geometry, and a test that is glued either way, are taken as alike.
 */
export const copiesJoint = (geometry: Geometry | null, test: TestId): boolean =>
  geometry === null || !((geometry === 'butt-edge' && onFaces.has(test)) || (faces.has(geometry) && onEdges.has(test)))

/** A joint of another geometry than its coupons, in a sentence; null where they are alike. */
export const otherGeometry = (geometry: Geometry | null, test: TestId): string | null =>
  copiesJoint(geometry, test)
    ? null
    : geometry === 'butt-edge'
      ? 'The coupons were glued face on face, the joint meets at its edge: the figure is of another geometry, and an ' +
        'edge may hold less.'
      : 'The coupons were glued edge on edge, the joint lies face on face: the figure is of another geometry.'

import { exposureKinds } from '../../core/knowledge/exposures'
import { families, type Family } from '../../core/knowledge/families'
import { materialClasses, type MaterialClass } from '../../core/knowledge/materials'
import { faceStates } from '../../core/knowledge/faceStates'
import { testIds } from '../../core/knowledge/testKinds'
import { faceTraits, geometries, helpers, loadModes, motions, type Helper } from '../../core/knowledge/vocabulary'
import { newArm, usualExposure } from '../../core/planning/newArm'
import { seededRandom, type Random } from '../../core/planning/random'
import { draftSteps } from '../../core/planning/draft/draft'
import { laterWork } from '../../core/records/briefWords'
import type { Brief } from '../../core/records/joint'
import { openBrief } from '../../core/records/openBrief'
import type { Arm } from '../../core/records/round'
import type { Procedure } from '../../core/records/procedure'
import { screen } from '../../core/screening/screen'
import { situationOf } from '../../core/situation/situation'

/** A joint with two procedures and an arm, as a maker might have it: about half of the words said. */
export interface RandomPlan {
  brief: Brief
  a: MaterialClass
  b: MaterialClass
  procedures: [Procedure, Procedure]
  families: [Family, Family]
  arms: Arm[]
}

const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!
const some = <T>(random: Random, list: readonly T[], share: number): T[] => list.filter(() => random() < share)

function randomBrief(random: Random, a: MaterialClass, b: MaterialClass): Brief {
  const maybe = <T>(make: () => T): T | null => (random() < 0.55 ? make() : null)
  const from = <T>(...list: T[]) => maybe(() => pick(random, list))
  const side = (material: MaterialClass): Brief['a'] => ({
    material: material.id,
    thicknessMm: from(0.1, 0.3, 0.8, 2, 5, 12),
    state: maybe(() => pick(random, faceStates)),
    traits: maybe(() => some(random, faceTraits, 0.15)),
  })
  return {
    ...openBrief(),
    a: side(a),
    b: side(b),
    geometry: maybe(() => pick(random, geometries)),
    widthMm: from(3, 12, 25, 80, 400),
    lengthMm: from(3, 12, 25, 80, 400),
    edgeMm: from(2, 9, 40, 150),
    count: from(1, 2, 12, 80),
    fit: from('close' as const, 'rough' as const),
    gapMm: from(0, 0.2, 1, 4),
    curveMm: from(1e5, 300, 40),
    loads: maybe(() => some(random, loadModes, 0.3)),
    weightKg: from(0.002, 0.08, 1.5, 30),
    motion: maybe(() => pick(random, motions)),
    share: from(1, 0.5, 0.1),
    leverMm: from(20, 150),
    heatC: from(22, 45, 70),
    coldC: from(15, -5, -25),
    water: from('no' as const, 'splash' as const, 'wash' as const, 'soak' as const),
    sun: from(true, false),
    flex: from('must-flex' as const, 'must-be-stiff' as const, 'band' as const),
    flexDeg: from(20, 90),
    look: from('neat' as const, 'clear' as const, 'white' as const),
    boxed: from(true, false),
    life: from('years' as const, 'archival' as const, 'temporary' as const),
    undo: from(true, false),
    later: maybe(() => some(random, laterWork, 0.3)),
    readyH: from(0.5, 6, 48),
    repositionS: from(5, 60, 600),
    canClamp: from(true, false),
    reach: from('both' as const, 'one' as const),
    inShell: from(true, false),
    air: from('outdoors' as const, 'window' as const, 'closed' as const),
    roomM3: from(12, 40),
    heatNear: from(true, false),
    users: maybe(() => some(random, ['child', 'sensitised'] as const, 0.4)),
    skin: from(true, false),
    perEvening: from(1, 8, 40),
    maxCost: from(0.05, 1, 10),
  }
}

function drafted(brief: Brief, a: MaterialClass, b: MaterialClass, family: Family, helped: Helper[]) {
  const situation = situationOf(brief, a, b, family, { helpers: helped })
  return draftSteps(situation, screen(situation).reasons)
}

/** The same plan for the same seed. */
export function randomPlan(seed: number): RandomPlan {
  const random = seededRandom(seed)
  const [a, b] = [pick(random, materialClasses), pick(random, materialClasses)]
  const brief = randomBrief(random, a, b)
  const glues: [Family, Family] = [pick(random, families), pick(random, families)]
  const procedure = (letter: string, family: Family): Procedure => {
    const helped = some(random, helpers, 0.15)
    return {
      id: letter,
      joint: 'j',
      letter,
      name: family.name,
      family: family.id,
      adhesive: null,
      helpers: helped,
      anyway: false,
      coats: pick(random, [1, 1, 2, 3]),
      spreadGm2: pick(random, [null, 120]),
      dilution: pick(random, [null, null, { glue: 3, water: 1 }]),
      blend: null,
      steps: drafted(brief, a, b, family, helped),
    }
  }
  const arm = newArm(brief, 'a1', pick(random, testIds), 0)
  const kind = pick(random, exposureKinds)
  return {
    brief,
    a,
    b,
    families: glues,
    procedures: [procedure('A', glues[0]), procedure('B', glues[1])],
    arms: [arm, newArm(brief, 'a2', arm.test, 0, usualExposure(kind, brief))],
  }
}

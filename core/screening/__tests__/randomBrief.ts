import { faceStates } from '../../knowledge/faceStates'
import { faceTraits, geometries, loadModes, motions, stakes } from '../../knowledge/vocabulary'
import type { Random } from '../../planning/random'
import { briefWords, laterWork } from '../../records/briefWords'
import type { Brief } from '../../records/joint'
import { openBrief } from '../../records/openBrief'

export const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!
export const maybe = <T>(random: Random, share: number, make: () => T): T | null => (random() < share ? make() : null)
export const some = <T>(random: Random, list: readonly T[], share: number): T[] => list.filter(() => random() < share)

/** A brief of which about four words in ten are said; its materials are left open. */
export function randomBrief(random: Random): Brief {
  const open = openBrief()
  const one = <T>(list: readonly T[]) => maybe(random, 0.4, () => pick(random, list))
  const side = () => ({
    ...open.a,
    thicknessMm: one([0.2, 0.9, 2, 8]),
    state: one(faceStates),
    traits: maybe(random, 0.4, () => some(random, faceTraits, 0.15)),
  })
  const listed = {
    a: side(),
    b: side(),
    geometry: one(geometries),
    widthMm: one([5, 30, 120, 300]),
    lengthMm: one([5, 30, 120, 300]),
    edgeMm: maybe(random, 0.05, () => 20),
    fit: one(['close', 'rough'] as const),
    curveMm: one([40, 300]),
    count: one([1, 12, 300]),
    loads: maybe(random, 0.7, () => some(random, loadModes, 0.3)),
    weightKg: one([0.02, 0.5, 5]),
    motion: one(motions),
    gapMm: one([0, 0.25, 1, 3]),
    heatC: one([25, 45, 60, 80]),
    coldC: one([15, 0, -15]),
    water: one(['no', 'splash', 'wash', 'soak'] as const),
    sun: one([true, false]),
    flex: one(['must-flex', 'must-be-stiff', 'band'] as const),
    look: one(['hidden', 'neat', 'clear', 'white'] as const),
    later: maybe(random, 0.4, () => some(random, laterWork, 0.3)),
    boxed: one([true, false]),
    life: one(['temporary', 'mend', 'show', 'years', 'archival'] as const),
    undo: one([true, false]),
    repositionS: one([0, 20, 90]),
    canClamp: one([true, false]),
    reach: one(['both', 'one'] as const),
    inShell: one([true, false]),
    air: one(['closed', 'window', 'extraction', 'outdoors'] as const),
    heatNear: one([true, false]),
    users: maybe(random, 0.3, () => some(random, ['child', 'sensitised'] as const, 0.4)),
    skin: one([true, false]),
    stakes: maybe(random, 0.1, () => some(random, stakes, 0.2)),
    readyH: one([0.5, 6, 24, 72]),
    handledH: one([0.05, 0.5, 4]),
    perEvening: one([5, 60, 400]),
    maxCost: one([0.05, 1]),
  }
  // A word that is not drawn above is drawn from the answers that its row names.
  const others = Object.entries(briefWords).flatMap(([key, { tries }]) =>
    tries && !(key in listed) ? [[key, one<unknown>(tries)]] : [],
  )
  return { ...open, ...listed, ...(Object.fromEntries(others) as Partial<Brief>) }
}

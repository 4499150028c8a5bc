import type { MaterialClass } from '../knowledge/materials'
import { undoOf, type UndoWay } from '../knowledge/undo'
import type { Situation } from '../situation/situation'
import { called, is, someFace } from '../situation/about'

const painted = (state: string | null) => state?.startsWith('painted') === true
/** What the tables' sensitiveTo does not name. */
const solventHarms: Record<string, (material: MaterialClass, state: string | null) => boolean> = {
  hydrocarbon: (material, state) => is('minds-hydrocarbon')(material) || state === 'painted-solvent',
  alcohol: (_, state) => state === 'painted-acrylic',
  ketone: (_, state) => painted(state),
  aromatic: (_, state) => painted(state),
}

const BY_WATER: UndoWay = {
  by: 'water',
  how: 'Soak it in water, as its label says',
  sideEffect: 'What swells or runs in water goes with it',
}
/** The ways to undo a glue, the mildest first: its family's, and what its label says of water. */
export function waysToUndo({ family, facts }: Pick<Situation, 'family' | 'facts'>): readonly UndoWay[] {
  const ways = undoOf(family.id)
  const byWater = ways.some(({ by }) => by === 'water')
  if (facts.comesOffWater === false) return ways.filter(({ by }) => by !== 'water')
  return facts.comesOffWater === true && !byWater ? [BY_WATER, ...ways.filter(({ by }) => by !== 'none')] : ways
}

type Faces = Pick<Situation, 'faces'>
type ToUndo = Faces & Pick<Situation, 'family' | 'facts'>

/** Paint of the trade blisters and lets go at about this, °C: general practice. */
const PAINT_C = 70

/** What taking this joint apart in one way would do to its parts; null where nothing is known against it. */
export function harmOfUndoing(way: UndoWay, s: Faces): string | null {
  const find = (test: Parameters<typeof someFace>[1]) => someFace(s as Situation, test)
  switch (way.by) {
    case 'cut':
      return 'what is cut, sawn or torn apart is harmed'
    case 'none':
      return 'the parts have become one'
    case 'heat': {
      const face = find((m) => way.atC! > m.softensC)
      const blisters = find((_, { state }) => painted(state) && way.atC! >= PAINT_C)
      if (face) return `it lets go near ${way.atC} °C and ${called(face)} softens at ${face.material!.softensC} °C`
      if (blisters) return `the paint of ${called(blisters)} blisters and lifts near ${way.atC} °C`
      const tender = way.prise ? find((m) => m.group !== 'hard' || m.flexible) : null
      return tender ? `it must be prised off hot, which tears ${called(tender)}` : null
    }
    case 'water': {
      const face = find((m) => m.sensitiveTo.includes('water') || is('cockles', 'print-runs')(m))
      return face ? `it comes off with water, which spoils ${called(face)}` : null
    }
    case 'solvent': {
      const face = find(
        (m, one) => m.sensitiveTo.includes(way.solvent!) || solventHarms[way.solvent!]?.(m, one.state) === true,
      )
      return face ? `its remover attacks ${called(face)}` : null
    }
    case 'peel': {
      const face = find((m) => !way.gentle && (m.group === 'paper' || m.group === 'foam'))
      if (face) return `peeling tears ${called(face)}`
      const coat = find((m, { state }) => !way.gentle && (painted(state) || is('coated', 'open-nap')(m)))
      return coat ? `peeling lifts the coat or nap of ${called(coat)}` : null
    }
    case 'cold':
      return null
  }
}

/** How a joint is taken apart: the mildest way that spares all its faces, or why there is none. */
export interface Undoing {
  way: UndoWay | null
  /** what each of the ways that are left out would do; empty where nothing is known of the glue */
  harms: string[]
}

/** The one answer to “how do I undo this”, for one joint or for all that are mended with one glue. */
export function undoing(joints: readonly [ToUndo, ...ToUndo[]]): Undoing {
  const judged = waysToUndo(joints[0]).map((way) => ({
    way,
    harm: joints.map((one) => harmOfUndoing(way, one)).find((harm) => harm !== null) ?? null,
  }))
  const mild = judged.find(({ harm }) => harm === null)?.way ?? null
  return { way: mild, harms: judged.flatMap(({ harm }) => harm ?? []) }
}

/** How to undo it, as every page says it. */
export function undoWords({ way, harms }: Undoing): string {
  if (way) return `${way.how}. ${way.sideEffect}.`
  if (!harms.length) return 'As its label says.'
  const [first, ...rest] = [...new Set(harms)]
  return `Not without harm: ${[first, ...rest].join('; ')}. Try any way on a scrap first.`
}

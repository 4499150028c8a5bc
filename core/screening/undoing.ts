import type { MaterialClass } from '../knowledge/materials'
import { undoOf, type UndoWay } from '../knowledge/undo'
import type { Situation } from '../situation/situation'
import { called, is, someFace } from '../situation/about'

/** What the tables' sensitiveTo does not name. */
const solventHarms: Record<string, (material: MaterialClass, state: string | null) => boolean> = {
  hydrocarbon: is('minds-hydrocarbon'),
  alcohol: (_, state) => state === 'painted-acrylic',
  ketone: (_, state) => state?.startsWith('painted') === true,
  aromatic: (_, state) => state?.startsWith('painted') === true,
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

/** What taking this joint apart in one way would do to its parts; null where nothing is known against it. */
export function harmOfUndoing(way: UndoWay, s: Pick<Situation, 'faces'>): string | null {
  const find = (test: Parameters<typeof someFace>[1]) => someFace(s as Situation, test)
  switch (way.by) {
    case 'cut':
      return 'what is cut, sawn or torn apart is harmed'
    case 'none':
      return 'the parts have become one'
    case 'heat': {
      const face = find((m) => way.atC! > m.softensC)
      if (face) return `it lets go near ${way.atC} °C and ${called(face)} softens at ${face.material!.softensC} °C`
      const tender = way.prise ? find((m) => m.group !== 'hard' || m.flexible) : null
      return tender ? `it must be prised off hot, which tears ${called(tender)}` : null
    }
    case 'water': {
      const face = find((m) => m.sensitiveTo.includes('water'))
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
      return face ? `peeling tears ${called(face)}` : null
    }
    case 'cold':
      return null
  }
}

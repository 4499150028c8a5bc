import { testKinds, type TestId } from './testKinds'
import type { LoadMode } from './vocabulary'

/**
 * What a joint can be put through on the same piece before its own test, mildest first: the order in which makers try
 * it by hand.
 */
export const directions = ['shake', 'straight', 'sideways', 'twist'] as const
export type Direction = (typeof directions)[number]

export interface DirectionRow {
  name: string
  /** what is done, as a step */
  act: string
  /** done before, of a piece that comes to something else */
  done: string
  /** how the drawing shows it; null: no load is drawn */
  load: LoadMode | null
  /** a test whose ways of reading a load it shares; null: no load is read of it, it holds or it does not */
  read: TestId | null
}
export const directionRows: Readonly<Record<Direction, DirectionRow>> = {
  shake: { name: 'shaken', act: 'Shake it', done: 'shaken', load: null, read: null },
  straight: {
    name: 'pulled straight',
    act: 'Pull it straight',
    done: 'pulled straight',
    load: 'tension',
    read: 'tension',
  },
  sideways: {
    name: 'pulled sideways',
    act: 'Pull it sideways',
    done: 'pulled sideways',
    load: 'shear',
    read: 'lap-shear',
  },
  twist: { name: 'twisted', act: 'Twist it', done: 'twisted', load: 'torsion', read: 'torsion-rect' },
}

/** What a piece may be put through before a test: nothing that the test itself asks, nothing where no load is read. */
export function directionsBefore(test: TestId): Direction[] {
  const { reads, loads } = testKinds[test]
  if (reads.by === 'grades' || reads.by === 'losses') return []
  return directions.filter((one) => {
    const { load } = directionRows[one]
    return load === null || !loads.includes(load)
  })
}

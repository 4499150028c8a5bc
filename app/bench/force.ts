import { forceWords } from '../../core/quantities/force'
import { useBench } from './store'

/** Loads as the maker's own scale tells them; set once on Shelf. */
export function useForce(): (n: number) => string {
  const bench = useBench()
  return (n) => forceWords(n, bench.bench?.gauge.unit)
}

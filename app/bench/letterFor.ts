import { nextLetter } from '../../core/planning/letters'
import type { Procedure } from '../../core/records/procedure'
import type { useBench } from './store'

/** The letter of a joint's next procedure; null once it was said that none is left. */
export function letterFor(
  bench: ReturnType<typeof useBench>,
  procedures: readonly Pick<Procedure, 'letter'>[],
): string | null {
  const letter = nextLetter(procedures)
  if (letter === null)
    bench.tell('A joint takes 26 glues at most, A to Z: leave one out that has no coupons, then add this.', 'bad')
  return letter
}

import type { Bench } from '../../core/records/bench'
import { emptyBench } from '../../core/records/emptyBench'
import { currencyHere } from './currencyHere'

/** An empty bench of a maker's, its money in the currency of where the browser says they are. */
export const newBench = (id: string, name: string, now: number): Bench => ({
  ...emptyBench(id, name, now),
  currency: currencyHere(new Intl.DateTimeFormat().resolvedOptions().locale),
})

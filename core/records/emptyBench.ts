import type { Bench } from './bench'

/** A bench before anything is on it. */
export const emptyBench = (benchId: string, name: string, now: number, kind: Bench['kind'] = 'own'): Bench => ({
  id: benchId,
  name,
  kind,
  createdAt: now,
  room: null,
  gauge: { name: 'luggage scale', limitN: 490, resolutionN: 0.5 },
  hands: { 'shaken-off': [], 'one-finger': [], 'one-hand': [], 'two-hands': [] },
  ratePerHour: 0,
  currency: '',
})

import type { Criterion } from '../../core/records/round'

/** What may count in a choice, in words. */
export const kindWords: Record<Criterion, string> = {
  strength: 'strength',
  flexibility: 'flexibility',
  cure: 'quick cure',
  cost: 'low cost',
  ease: 'ease',
  durability: 'durability',
  looks: 'looks',
  'later-work': 'later work',
}

import { reopenedBy, type Reopened } from '../../core/choice/reopen'
import { measured } from '../../core/quantities/betterUnit'
import { plural } from '../look/figures'
import { dayName } from '../look/times'
import type { JointView } from './jointView'
import type { useBench } from './store'

/** What speaks for looking at a joint's decision again, from the records alone; nothing where none is made. */
export function reopenedOf(bench: ReturnType<typeof useBench>, view: JointView): Reopened[] {
  const { joint, round, coupons, readings, decision } = view
  if (!decision) return []
  const adhesive = bench.get('procedure', decision.procedure)?.adhesive ?? null
  const stock = adhesive ? bench.of('stock', adhesive) : []
  return reopenedBy(decision, joint.brief, round, coupons, readings, stock)
}

/** Why a decision is to be looked at again, in a sentence. @param unit of the test that decided it */
export function reopenedWords(one: Reopened, unit: string): string {
  switch (one.why) {
    case 'later-pulls':
      return (
        `${plural(one.pulls, 'pull')} of ${one.test} came in after it` +
        `${one.ofChosen ? ', some of them of what was chosen' : ''}.`
      )
    case 'limit':
      return `It must hold ${measured(one.now, unit)} now; it was decided for ${measured(one.before, unit)}.`
    case 'pack':
      return (
        `Another pack${one.batch ? ` (${one.batch})` : ''} was opened ${dayName(one.openedOn)}: ` +
        'break two scraps with it.'
      )
    case 'below':
      return (
        `${one.after} leaves ${Math.round(100 * one.kept)} % of its dry strength: that takes the weak joint to ` +
        `${measured(one.holds, unit)}, below the ${measured(one.limit, unit)} that it must hold.`
      )
  }
}

import { forceWords } from '../../core/quantities/force'
import { requiredLoad } from '../../core/loads/requirement'
import { geometryWords, loadWords } from '../../core/knowledge/vocabulary'
import { curingAt, type Station } from '../../core/planning/progress'
import { plural } from '../look/figures'
import { lasting } from '../look/times'
import type { JointView } from './jointView'

/** Short words about where a joint stands, the same on the strip, the route and the start page. */
export function stateWords(view: JointView, now: number): string {
  const { progress: p } = view
  const curing = curingAt(p, now)
  if (p.decided) return 'decided'
  if (p.coupons > 0 && p.pulled > 0) return `${p.pulled} of ${p.coupons} pulled`
  if (p.coupons > 0 && p.closed < p.coupons) return `gluing, ${p.closed} of ${p.coupons} closed`
  if (p.coupons > 0)
    return curing.next
      ? `curing, ${lasting((curing.next - now) / 1000)} to go`
      : p.lacking
        ? `${curing.cured} ready to pull, ${p.lacking} to expose`
        : `${p.coupons} ready to pull`
  if (p.procedures > 0) return `${plural(p.procedures, 'glue')} picked`
  return p.openWords > 0 ? `asked, ${neededWords(p.openWords)}` : 'asked'
}

/** Words without which nothing can be advised; Ask counts those beside, that would only change the list. */
const neededWords = (count: number) => plural(count, 'word still needed', 'words still needed')

/** What to do next, with the station where it is done. */
export function nextStep(view: JointView, now: number): { text: string; station: Station } {
  const { progress: p } = view
  switch (p.at) {
    case 'ask':
      return { text: `say ${plural(p.openWords, 'word still needed', 'words still needed')}`, station: 'ask' }
    case 'shortlist':
      return { text: 'pick glues to test', station: 'shortlist' }
    case 'plan':
      return p.procedures < 2
        ? { text: 'pick another glue', station: 'shortlist' }
        : { text: 'plan coupons', station: 'plan' }
    case 'glue':
      return {
        text: p.closed === 0 ? 'glue block 1' : `glue the ${plural(p.coupons - p.closed, 'coupon')} left`,
        station: 'glue',
      }
    case 'break': {
      const left = p.coupons - p.pulled
      const curing = curingAt(p, now)
      if (p.lacking === left && !curing.next)
        return { text: `expose ${plural(left, 'coupon')} to what the test asks`, station: 'glue' }
      const wait = curing.cured <= p.pulled && curing.next ? `, in ${lasting((curing.next - now) / 1000)}` : ''
      return { text: `pull ${plural(left, 'coupon')}${wait}`, station: 'break' }
    }
    case 'choose':
      return p.decided ? { text: 'print the card', station: 'choose' } : { text: 'decide', station: 'choose' }
  }
}

/** What is done and what is left at each station, for the route. */
export function routeWords(view: JointView): Record<Station, { done: boolean; words: string }> {
  const { progress: p } = view
  const some = p.coupons > 0
  return {
    ask: { done: p.openWords === 0, words: p.openWords ? neededWords(p.openWords) : '' },
    shortlist: { done: p.procedures >= 2, words: p.procedures ? plural(p.procedures, 'glue') : '' },
    plan: { done: some, words: some ? plural(p.coupons, 'coupon') : '' },
    glue: {
      done: some && p.closed === p.coupons,
      words: some && p.closed < p.coupons ? `${p.closed} of ${p.coupons} closed` : '',
    },
    break: {
      done: some && p.pulled === p.coupons,
      words: some && p.pulled < p.coupons ? `${p.pulled} of ${p.coupons} pulled` : '',
    },
    choose: { done: p.decided, words: p.decided ? 'decided' : some && p.pulled === p.coupons ? 'ready' : '' },
  }
}

/** What the joint has to do, in a line: "36 patches, peeled, flexed, 0.9 N each". */
export function needWords(view: JointView, force = (n: number) => forceWords(n)): string {
  const { brief } = view.joint
  const required = requiredLoad(brief)
  const shape = brief.geometry ? geometryWords[brief.geometry].word.replace(/^an? /, '') : 'shape open'
  return [
    brief.count && brief.count > 1 ? `${brief.count} × ${shape}` : shape,
    ...(brief.loads ?? []).map((load) => loadWords[load].word),
    required ? `${force(required.n)}${brief.count && brief.count > 1 ? ' each' : ''}` : 'load open',
    ...(brief.heatC !== null && brief.heatC > 30 ? [`${brief.heatC} °C`] : []),
  ].join(', ')
}

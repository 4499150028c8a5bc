import type { Headline } from '../../../core/choice/headline'
import { inSentence } from '../../../core/quantities/inSentence'
import { capital } from '../../look/figures'

/** The result in a line; what is not sure is said so. */
export function titleWords(head: Headline, nameOf: (id: string) => string, furthest = 'is the strongest'): string {
  const leader = capital(nameOf(head.leader))
  if (head.state === 'only') return `Only ${inSentence(leader)} has been pulled so far`
  if (head.state === 'clear') return `${leader} ${furthest} of these`
  const probably = furthest.startsWith('is ') ? furthest.replace('is ', 'is probably ') : `probably ${furthest}`
  const rivals = head.tied.map((id) => inSentence(nameOf(id))).join(' or ')
  return head.state === 'ahead'
    ? `${leader} ${probably}; can’t tell it from ${rivals} yet`
    : `Can’t tell ${inSentence(leader)} from ${rivals} yet`
}

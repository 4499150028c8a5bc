import type { Headline } from '../../../core/choice/headline'
import { capital } from '../../look/figures'

/** The result in a line; what is not sure is said so. */
export function titleWords(head: Headline, nameOf: (id: string) => string): string {
  const leader = capital(nameOf(head.leader))
  if (head.state === 'only') return `Only ${leader.toLowerCase()} has been pulled so far`
  if (head.state === 'clear') return `${leader} is the strongest of these`
  const rivals = head.tied.map((id) => nameOf(id).toLowerCase()).join(' or ')
  return head.state === 'ahead'
    ? `${leader} is probably the strongest; can’t tell it from ${rivals} yet`
    : `Can’t tell ${leader.toLowerCase()} from ${rivals} yet`
}

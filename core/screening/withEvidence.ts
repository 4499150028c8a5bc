import { sayingOf, type PairEvidence } from '../evidence/pairEvidence'
import { testKinds } from '../knowledge/testKinds'
import type { Brief } from '../records/joint'
import { measured } from '../quantities/betterUnit'
import type { Reason } from './screen'

const said = (one: PairEvidence, limit: number | null) =>
  `${one.valid} own pull${one.valid === 1 ? '' : 's'} on this pair (${testKinds[one.test].name}): ` +
  `${one.atLeast ? 'at least' : 'typically'} ${measured(one.typical!, one.unit)}` +
  `${limit === null ? '' : `, ${measured(limit, one.unit)} wanted`}`

/**
 * Own evidence on the same pair outranks a rule that a plain pull answers, never one about harm, and no rule about
 * heat, water or years, which a dry pull at room temperature says nothing of. Too few pulls are told and change
 * nothing.
 */
export function withEvidence(
  reasons: readonly Reason[],
  evidence: readonly (PairEvidence & { exactly: boolean })[],
  brief: Brief,
): Reason[] {
  const told = evidence.filter((one) => one.typical !== null)
  if (!told.length) return [...reasons]
  const judged = told.map((one) => ({ one, ...sayingOf(one, brief) }))
  const base = {
    settleBy: 'More pulls of your own, with a control.',
    harm: false,
    byPull: false,
    grade: 'own test' as const,
  }
  const outcome = { holds: ' It holds.', fails: ' It did not hold enough.', unclear: ' Too little to settle it.' }
  const own = judged.map(({ one, says, limit }): Reason => ({
    ...base,
    rule: 'own-evidence',
    basis: one.from.join(', '),
    verdict: says === 'fails' ? 'caution' : says === 'holds' ? 'fit' : 'note',
    text: `${said(one, limit)}.${outcome[says]}${one.exactly ? '' : ' The faces were in another state.'}`,
  }))
  const held = judged.find(({ says, one }) => says === 'holds' && one.exactly)
  const failed = judged.some(({ says }) => says === 'fails')
  const lifted = reasons.map((reason): Reason => {
    const outranked =
      held && !failed && reason.byPull && !reason.harm && reason.verdict !== 'fit' && reason.verdict !== 'note'
    return outranked
      ? { ...reason, verdict: 'note', text: `${reason.text} Your own pulls outrank this here.`, lifted: true }
      : reason
  })
  return [...own, ...lifted]
}

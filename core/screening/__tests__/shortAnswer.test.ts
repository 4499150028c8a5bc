import { describe, expect, it } from 'vitest'
import { familyOf } from '../../knowledge/families'
import { chanceWords } from '../chanceWords'
import type { Reason } from '../reason'
import { weighed } from '../screen'
import { doubtOf, shortAnswer } from '../shortAnswer'
import type { Candidate, Help } from '../shortlist'

const reason = (rule: string, db: number, more: Partial<Reason> = {}): Reason => ({
  rule,
  verdict: db <= -20 ? 'block' : db < 0 ? 'caution' : 'fit',
  text: rule,
  settleBy: '',
  basis: '',
  harm: false,
  byPull: false,
  grade: 'rule of the trade',
  db,
  ...more,
})
const one = (family: string, reasons: Reason[], more: Partial<Candidate> = {}) =>
  ({
    key: family,
    family: familyOf(family),
    product: null,
    evidence: null,
    screening: weighed(familyOf(family), reasons),
    ...more,
  }) as Candidate
const noHelp = () => []
const keys = (candidates: Candidate[], help: (of: Candidate) => Help[] = noHelp) =>
  shortAnswer(candidates, help).three.map(({ candidate, helper }) => candidate.key + (helper ? `+${helper}` : ''))

describe('three to test first', () => {
  it('are the likeliest of different chemistry', () => {
    const list = [
      one('ca-gel', [reason('use', 6)]),
      one('ca-medium', [reason('use', 5)]),
      one('epoxy-slow', [reason('use', 3)]),
      one('pva-wood', [reason('too-cold', -3)]),
    ]
    expect(keys(list)).toEqual(['ca-gel', 'epoxy-slow', 'pva-wood'])
    expect(keys(list.slice(0, 2))).toEqual(['ca-gel', 'ca-medium'])
    expect(keys([])).toEqual([])
  })

  it('fail differently where their chances are alike, and not where one is clearly better', () => {
    const stiff = (db: number) => [reason('rigid-on-flexing', db)]
    const list = [
      one('ca-gel', stiff(-1)),
      one('epoxy-slow', stiff(-2)),
      one('contact-water', [reason('grip', -4)]),
      one('silicone', [reason('line-shows', -5)]),
    ]
    expect(keys(list)).toEqual(['ca-gel', 'contact-water', 'silicone'])
    expect(keys([list[0]!, list[1]!, one('contact-water', [reason('grip', -5.5)])])[1]).toBe('epoxy-slow')
  })

  it('suit before they are careful, and none is ruled out or may harm', () => {
    const list = [
      one('ca-gel', [reason('grip', -20)]),
      one('epoxy-slow', [reason('use', 6), reason('too-cold', -6)]),
      one('contact-water', [reason('grip', -3)]),
      one('silicone', [reason('use', 6), reason('child-use', -20, { harm: true })]),
    ]
    expect(keys(list)).toEqual(['contact-water', 'epoxy-slow'])
  })

  it('come with the helper that is the better way', () => {
    const bare = one('ca-medium', [reason('gap-too-wide', -10)])
    const filled = weighed(bare.family, [reason('use', 3)])
    const help = (of: Candidate): Help[] =>
      of === bare ? [{ helper: 'powder-filler', screening: filled, text: '' }] : []
    expect(keys([bare, one('epoxy-slow', [])], help)).toEqual(['ca-medium+powder-filler', 'epoxy-slow'])
    const idle = { ...filled, db: bare.screening.db + 2.9 }
    expect(keys([bare], () => [{ helper: 'powder-filler', screening: idle, text: '' }])).toEqual(['ca-medium'])
  })

  it('have a control of the shelf beside them: what own pulls trust, else the likeliest', () => {
    const product = {} as Candidate['product']
    const list = [
      one('ca-gel', [], { product }),
      one('epoxy-slow', []),
      one('contact-water', []),
      one('pva-wood', [reason('grip', -3)], { product }),
      one('silicone', [reason('grip', -6)], { product, evidence: 'holds' }),
      one('mma', [reason('grip', -20)], { product, evidence: 'holds' }),
    ]
    expect(shortAnswer(list, noHelp).control?.key).toBe('silicone')
    expect(shortAnswer(list.slice(0, 4), noHelp).control?.key).toBe('pva-wood')
    expect(shortAnswer(list.slice(0, 3), noHelp).control).toBeNull()
  })

  it('tell in what each would fail first', () => {
    const of = (...reasons: Reason[]) => doubtOf(weighed(familyOf('ca-gel'), reasons))
    expect(of(reason('use', 6))).toBeNull()
    expect(of(reason('line-shows', -3), reason('grip', -6), reason('use', 6))).toBe('grips')
  })
})

it('says chances as makers do', () => {
  expect([0.98, 0.91, 0.83, 0.75, 0.6, 0.5, 0.33, 0.25, 0.2, 0.09, 0.04, 0.001].map(chanceWords)).toEqual([
    ...['19 in 20', '9 in 10', '4 in 5', '3 in 4', '2 in 3', '1 in 2', '1 in 3', '1 in 4', '1 in 5', '1 in 10'],
    ...['1 in 20', 'under 1 in 30'],
  ])
})

import type { AdviceGrade } from '../records/shelf'
import type { MaterialClass } from '../knowledge/materials'
import type { Face, Situation } from '../situation/situation'

export const verdicts = ['block', 'caution', 'fit', 'note'] as const
export type RuleVerdict = (typeof verdicts)[number]

export interface Finding {
  verdict: RuleVerdict
  /** the reason in the maker's words, with the numbers of this brief in it */
  text: string
  /** how far it moves the odds, decibans, where the rule knows better than the table of weights */
  db?: number
  /** rests on a value that nobody said: it counts, but blocks nothing */
  assumed?: boolean
  /** a need of the joint is missed by it: a glue of which that is said does not suit, whatever else speaks for it */
  missed?: boolean
  /** where the finding rests on something else than the rule of the trade: the label of the product */
  grade?: AdviceGrade
}

/** A rule of the trade: a prior with its reason that a bond test outranks, except where it is about harm. */
export interface Rule {
  id: string
  /** harm to people: no test result lifts it */
  harm: boolean
  /** a plain pull of one's own, dry and at room temperature, answers what the rule warns of */
  byPull: boolean
  /** a drop on scrap of one's own, looked at after a day, settles it */
  byScrap: boolean
  /** the quick test that settles it */
  settleBy: string
  basis: string
  judge: (s: Situation) => Finding | null
}

export const block = (text: string): Finding => ({ verdict: 'block', text })
export const caution = (text: string): Finding => ({ verdict: 'caution', text })
export const fit = (text: string): Finding => ({ verdict: 'fit', text })
/** Ordinary handling, or a thing to know: never changes the verdict. */
export const note = (text: string): Finding => ({ verdict: 'note', text })

/** A finding with its own push in decibans; none: a thing to know. */
export function push(db: number, text: string, assumed = false): Finding {
  const verdict = db <= -20 ? 'block' : db < 0 ? 'caution' : db > 0 ? 'fit' : 'note'
  return { verdict, text, db, ...(assumed && { assumed }) }
}

const weight: Record<RuleVerdict, number> = { block: 3, caution: 2, note: 1, fit: 0 }
/** What a finding pushes where the table alone says: near enough to tell which of two is worse. */
const usualPush: Record<RuleVerdict, number> = { block: -20, caution: -6, note: 0, fit: 3 }
const pushed = ({ db, verdict }: Finding): number => (verdict === 'note' ? 0 : (db ?? usualPush[verdict]))
/**
 * Judges each face with a known material by itself; the worse finding counts, so that it does not matter which side is
 * A.
 */
export function worseOf(s: Situation, judge: (face: Face, material: MaterialClass) => Finding | null): Finding | null {
  const found = s.faces.flatMap((face) => (face.material && judge(face, face.material)) ?? [])
  // The larger push counts, then the verdict; last the words, so that no order of the faces shows.
  return (
    found.sort(
      (x, y) =>
        pushed(x) - pushed(y) ||
        weight[y.verdict] - weight[x.verdict] ||
        (x.text < y.text ? -1 : x.text > y.text ? 1 : 0),
    )[0] ?? null
  )
}

type Meaning = Partial<Pick<Rule, 'harm' | 'byPull' | 'byScrap'>>
/** A rule in one line each: what it is called, how it is settled and on what it rests, and its predicate. */
export const rule = (
  id: string,
  settleBy: string,
  basis: string,
  judge: Rule['judge'],
  meaning: Meaning = {},
): Rule => ({
  id,
  settleBy,
  basis,
  judge,
  harm: meaning.harm ?? false,
  byPull: meaning.byPull ?? false,
  byScrap: meaning.byScrap ?? false,
})
/** No result lifts a rule about harm. */
export const HARM: Meaning = { harm: true }
/** One's own bond test answers it. */
export const BY_PULL: Meaning = { byPull: true }
/** A drop on scrap of one's own answers it. */
export const BY_SCRAP: Meaning = { byScrap: true }

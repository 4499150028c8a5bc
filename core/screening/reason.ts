import type { AdviceGrade } from '../records/shelf'
import type { RuleVerdict } from './rule'

export type Verdict = 'block' | 'caution' | 'fit'

export interface Reason {
  rule: string
  verdict: RuleVerdict
  text: string
  settleBy: string
  basis: string
  harm: boolean
  /** a plain pull of one's own answers it */
  byPull: boolean
  /** a drop on scrap of one's own settles it */
  byScrap?: boolean
  grade: AdviceGrade
  /** decibans, where the rule itself knows them */
  db?: number
  /** rests on a value that nobody said */
  assumed?: boolean
  /** a rule of the house */
  house?: boolean
  /** experienced makers disagree: the id of the question */
  school?: string
  /** outranked by own evidence */
  lifted?: boolean
  /** a need of the joint is missed by it */
  missed?: boolean
}

import type { Gauge } from '../coupons/reading'
import type { Family } from '../knowledge/families'
import type { Brief } from '../records/joint'
import type { Arm, Round } from '../records/round'
import type { Procedure } from '../records/procedure'
import type { Candidate } from '../screening/shortlist'

/** What is planned, before there are coupons. */
export interface PlanDraft {
  arms: Arm[]
  procedures: Procedure[]
  blocks: number
  order: Round['order']
  control: string | null
}

export interface FairnessSetting {
  brief: Brief
  /** material classes; null while open */
  a: string | null
  b: string | null
  gauge: Gauge
  familyOf: (procedure: Procedure) => Family
  /** days until the pack in use is past its date or too long open; null where nothing is known */
  packDaysLeft: (procedure: Procedure) => number | null
  now: number
  /** the glue of a procedure as the advice judges it here; left out, or null: nothing is said of cure and steps */
  advice?: (procedure: Procedure) => Advice | null
}

/** A glue as the advice judges it in a joint. */
export type Advice = Pick<Candidate, 'situation' | 'screening'>

export interface Fault {
  id: string
  /** the arm, or the letters, that it is about */
  about: string
  /** what is unfair, and what it would do to the answer */
  text: string
  /** one press mends it; null where only the maker can */
  mend: Mend | null
  /** other ways to mend it, in the order in which a maker takes them */
  more?: Mend[]
  /** not unfair: what the test cannot show */
  note?: true
}

export interface Mend {
  words: string
  apply: (draft: PlanDraft) => PlanDraft
}
export type Check = (draft: PlanDraft, setting: FairnessSetting) => Fault[]

export const letters = (list: readonly Pick<Procedure, 'letter'>[]): string =>
  list.map(({ letter }) => letter).join(' and ')
export const withArm = (draft: PlanDraft, armId: string, patch: Partial<Arm>): PlanDraft => ({
  ...draft,
  arms: draft.arms.map((arm) => (arm.id === armId ? { ...arm, ...patch } : arm)),
})
export const withProcedure = (draft: PlanDraft, id: string, patch: Partial<Procedure>): PlanDraft => ({
  ...draft,
  procedures: draft.procedures.map((one) => (one.id === id ? { ...one, ...patch } : one)),
})

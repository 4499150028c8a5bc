import { formulaOf, testKinds, type TestId } from '../knowledge/testKinds'
import type { Arm } from '../records/round'
import type { Procedure, Step, StepKind } from '../records/procedure'
import { armWords } from './arms'
import { bendsWhatBreaks } from './bendFaults'
import { bestTrusted } from './control'
import { asDeepAsTheJoint, asTheJoint, readable } from './couponFaults'
import { cureOfTheRoom, demandLeftOut, ruledOut } from './cureFaults'
import { letters, withArm, withProcedure, type Check, type Fault, type FairnessSetting, type PlanDraft } from './fault'
import { limitCanBeRead } from './limitFaults'
import { limitFor } from './limitFor'

export type { Fault, FairnessSetting, Mend, PlanDraft } from './fault'

export const ENOUGH_BLOCKS = 3
const NEAR_DATE_DAYS = 30

/**
 * Names what would make the result unfair, each with what it would do to the answer, and mends it where a press can.
 */
export const fairness = (draft: PlanDraft, setting: FairnessSetting): Fault[] =>
  checks.flatMap((check) => check(draft, setting))

const noControl: Check = ({ procedures, control }, { familyOf, advice }) => {
  if (procedures.length < 2 || procedures.some(({ id }) => id === control)) return []
  const trusted = bestTrusted(procedures, advice)
  return [
    {
      id: 'no-control',
      about: '',
      text:
        'No control: without a glue you already trust among them, a bad batch of pieces or a wrong pull looks ' +
        'like bad glue.',
      mend: trusted && {
        words: `Take ${trusted.letter}, ${trusted.name || familyOf(trusted).name}, as the control`,
        apply: (draft) => ({ ...draft, control: trusted.id }),
      },
    },
  ]
}

const fewerThanThree: Check = ({ blocks }) =>
  blocks >= ENOUGH_BLOCKS
    ? []
    : [
        {
          id: 'fewer-than-three',
          about: '',
          text:
            `${blocks === 1 ? 'One piece' : 'Two pieces'} of each: one odd piece decides, and the scatter cannot ` +
            'be told from a difference.',
          mend: { words: `Make it ${ENOUGH_BLOCKS} of each`, apply: (draft) => ({ ...draft, blocks: ENOUGH_BLOCKS }) },
        },
      ]

const notShuffled: Check = ({ order }) =>
  order !== 'as-written'
    ? []
    : [
        {
          id: 'order-not-shuffled',
          about: '',
          text:
            'Glued one kind after the other: the last ones get the thickened pot, the warmer room and the tired ' +
            'hands.',
          mend: { words: 'Shuffle them in blocks of one each', apply: (draft) => ({ ...draft, order: 'shuffled' }) },
        },
      ]

const noPassLimit: Check = ({ arms }, { brief, now }) =>
  arms
    .filter(({ passLimit, test }) => passLimit === null && formulaOf(test) !== null)
    .map((arm) => {
      const set = limitFor(brief, arm.test, arm.size)?.limit ?? null
      return {
        id: 'no-pass-limit',
        about: arm.id,
        text: `${armWords(arm)} has no pass limit: one that is made up afterwards bends to the result.`,
        mend:
          set === null
            ? null
            : {
                words: `Set it, ${set} ${testKinds[arm.test].unit}`,
                apply: (draft: PlanDraft) => withArm(draft, arm.id, { passLimit: set, passSetAt: now }),
              },
      }
    })

/** Arms of one test that differ in size: what the exposure did cannot be told from what the size did. */
const unequalArea: Check = ({ arms }) => {
  const first = new Map<TestId, Arm>()
  return arms.flatMap((arm): Fault[] => {
    const like = first.get(arm.test)
    if (!like) return (first.set(arm.test, arm), [])
    if (JSON.stringify(sorted(arm.size)) === JSON.stringify(sorted(like.size))) return []
    return [
      {
        id: 'unequal-area',
        about: arm.id,
        text:
          `${armWords(arm)} has another size than ${armWords(like)}: what the exposure does cannot be told from ` +
          'what the size does.',
        mend: { words: 'Give it the same size', apply: (draft) => withArm(draft, arm.id, { size: like.size }) },
      },
    ]
  })
}

/** Procedures of one glue that ought to differ in one thing, and differ in another beside it. */
function pairs(procedures: readonly Procedure[]): [Procedure, Procedure][] {
  return procedures.flatMap((one, i) =>
    procedures
      .slice(i + 1)
      .filter((two) => two.family === one.family && two.adhesive === one.adhesive)
      .map((two): [Procedure, Procedure] => [one, two]),
  )
}
const stepOf = (procedure: Procedure, kind: StepKind) => procedure.steps.find((step) => step.kind === kind)
/** Told apart by their preparation, wait or helpers: that is what the maker compares. */
const prepared = ({ steps, helpers }: Procedure) =>
  JSON.stringify([
    helpers,
    steps.filter(({ kind }) => kind.startsWith('prepare') || kind === 'wait').map(({ text, minS }) => [text, minS]),
  ])

const unequalAmount: Check = ({ procedures }) =>
  pairs(procedures)
    .filter(([x, y]) => (x.coats !== y.coats || x.spreadGm2 !== y.spreadGm2) && prepared(x) !== prepared(y))
    .map(([x, y]) => ({
      id: 'unequal-amount',
      about: letters([x, y]),
      text: `${letters([x, y])} differ in preparation and in the amount of glue: a difference could come from either.`,
      mend: {
        words: `Give ${y.letter} the amount of ${x.letter}`,
        apply: (draft: PlanDraft) => withProcedure(draft, y.id, { coats: x.coats, spreadGm2: x.spreadGm2 }),
      },
    }))

const unequalPressure: Check = ({ procedures }) =>
  pairs(procedures)
    .filter(
      ([x, y]) =>
        prepared(x) !== prepared(y) &&
        (['hold', 'clamp'] as const).some((kind) => stepOf(x, kind)?.minS !== stepOf(y, kind)?.minS),
    )
    .map(([x, y]) => ({
      id: 'unequal-pressure',
      about: letters([x, y]),
      text:
        `${letters([x, y])} differ in preparation and in how they are held or clamped: a difference could come ` +
        'from either.',
      mend: {
        words: `Hold and clamp ${y.letter} like ${x.letter}`,
        apply: (draft: PlanDraft) => withProcedure(draft, y.id, { steps: withStepsOf(y, x, ['hold', 'clamp']) }),
      },
    }))

const unequalAge: Check = ({ procedures }) =>
  pairs(procedures)
    .filter(([x, y]) => prepared(x) !== prepared(y) && stepOf(x, 'cure')?.minS !== stepOf(y, 'cure')?.minS)
    .map(([x, y]) => ({
      id: 'unequal-age',
      about: letters([x, y]),
      text:
        `${letters([x, y])} are the same glue but cure for different times: one would be tested riper than the ` +
        'other.',
      mend: {
        words: `Cure both as long as the longer one`,
        apply: (draft: PlanDraft) => {
          const longer = (stepOf(x, 'cure')?.minS ?? 0) >= (stepOf(y, 'cure')?.minS ?? 0) ? x : y
          const other = longer === x ? y : x
          return withProcedure(draft, other.id, { steps: withStepsOf(other, longer, ['cure']) })
        },
      },
    }))

const packNearDate: Check = ({ procedures }, { packDaysLeft }) =>
  procedures.flatMap((procedure): Fault[] => {
    const days = packDaysLeft(procedure)
    if (days === null || days > NEAR_DATE_DAYS) return []
    return [
      {
        id: 'pack-near-date',
        about: procedure.letter,
        mend: null,
        text:
          `The pack for ${procedure.letter}, ${procedure.name}, ` +
          `${days < 0 ? 'is past its time' : `has ${days} days left`}: an old bottle speaks for itself, not for ` +
          'its kind. Open a new one, or bond and break two scraps first.',
      },
    ]
  })

const checks: Check[] = [
  noControl,
  fewerThanThree,
  notShuffled,
  noPassLimit,
  unequalArea,
  unequalAmount,
  unequalPressure,
  unequalAge,
  packNearDate,
  readable,
  limitCanBeRead,
  asDeepAsTheJoint,
  asTheJoint,
  bendsWhatBreaks,
  ruledOut,
  cureOfTheRoom,
  demandLeftOut,
]
export const faultIds = [
  'no-control',
  'fewer-than-three',
  'order-not-shuffled',
  'no-pass-limit',
  'unequal-area',
  'unequal-amount',
  'unequal-pressure',
  'unequal-age',
  'pack-near-date',
  'reads-not-so-high',
  'reads-not-so-low',
  'limit-not-read',
  'not-as-deep',
  'not-as-the-joint',
  'cannot-bend',
  'ruled-out',
  'another-cure',
  'demand-left-out',
] as const

const sorted = (size: object) =>
  Object.entries(size)
    .filter(([, value]) => value != null)
    .sort()
/** Takes the times of some steps over from another procedure; where it has none of a kind, none is left. */
function withStepsOf(one: Procedure, other: Procedure, kinds: readonly StepKind[]): Step[] {
  const kept = one.steps.filter((step) => !kinds.includes(step.kind) || stepOf(other, step.kind))
  const taken = kept.map((step) =>
    kinds.includes(step.kind)
      ? { ...step, minS: stepOf(other, step.kind)!.minS, text: stepOf(other, step.kind)!.text }
      : step,
  )
  const missing = kinds.filter((kind) => stepOf(other, kind) && !stepOf(one, kind))
  const at = taken.findIndex(({ kind }) => kind === 'cure')
  return [
    ...taken.slice(0, at),
    ...missing.map((kind) => ({ ...stepOf(other, kind)!, id: `${kind}-${one.letter}` })),
    ...taken.slice(at),
  ]
}

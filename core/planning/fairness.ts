import { figureOf } from '../quantities/figure'
import { couponSize } from '../coupons/size'
import { type CouponTest, expectedBond } from '../coupons/bond'
import type { Family } from '../knowledge/families'
import type { Brief } from '../records/joint'
import type { Arm, Procedure, Round, Step, StepKind } from '../records/round'
import { formulaOf, testKinds, type TestId } from '../knowledge/testKinds'
import { armWords } from './arms'
import { limitFromBrief } from './newArm'

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
  gauge: { limitN: number; resolutionN: number }
  familyOf: (procedure: Procedure) => Family
  /** days until the pack in use is past its date or too long open; null where nothing is known */
  packDaysLeft: (procedure: Procedure) => number | null
  now: number
}

export interface Fault {
  id: string
  /** the arm, or the letters, that it is about */
  about: string
  /** what is unfair, and what it would do to the answer */
  text: string
  /** one press mends it; null where only the maker can */
  mend: { words: string; apply: (draft: PlanDraft) => PlanDraft } | null
}

export const ENOUGH_BLOCKS = 3
const NEAR_DATE_DAYS = 30

/**
 * Names what would make the result unfair, each with what it would do to the answer, and mends it where a press can.
 */
export const fairness = (draft: PlanDraft, setting: FairnessSetting): Fault[] =>
  checks.flatMap((check) => check(draft, setting))

type Check = (draft: PlanDraft, setting: FairnessSetting) => Fault[]
const letters = (list: readonly Procedure[]) => list.map(({ letter }) => letter).join(' and ')

const noControl: Check = ({ procedures, control }, { familyOf }) => {
  if (procedures.length < 2 || procedures.some(({ id }) => id === control)) return []
  const trusted = procedures.find(({ adhesive, anyway }) => adhesive !== null && !anyway) ?? procedures[0]!
  return [
    {
      id: 'no-control',
      about: '',
      text:
        'No control: without a glue you already trust among them, a bad batch of pieces or a wrong pull looks ' +
        'like bad glue.',
      mend: {
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
      const set = limitFromBrief(brief, arm.test)
      return {
        id: 'no-pass-limit',
        about: arm.id,
        text: `${armWords(arm)} has no pass limit: one that is made up afterwards bends to the result.`,
        mend:
          set === null
            ? null
            : {
                words: `Set it from the brief, ${set} ${testKinds[arm.test].unit}`,
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

const readable: Check = ({ arms, procedures }, { a, b, brief, gauge, familyOf }) =>
  arms.flatMap((arm): Fault[] => {
    const test = sizedTest(arm.test)
    if (!test || a === null || b === null) return []
    const found = procedures.map((procedure) => ({ procedure, load: expectedLoad(arm, a, b, familyOf(procedure).id) }))
    const high = found.filter(({ load }) => load && load[1] > gauge.limitN)
    const low = found.filter(({ load }) => load && load[0] < 5 * gauge.resolutionN)
    const mend = mendSize(
      arm,
      test,
      procedures.map((one) => familyOf(one).id),
      a,
      b,
      brief,
      gauge,
    )
    const fault = (id: string, list: typeof found, text: string): Fault[] =>
      list.length
        ? [
            {
              id,
              about: arm.id,
              text: `${armWords(arm)}, ${letters(list.map(({ procedure }) => procedure))}: ${text}`,
              mend,
            },
          ]
        : []
    return [
      ...fault(
        'reads-not-so-high',
        high,
        `up to ${Math.round(Math.max(0, ...high.map(({ load }) => load![1])))} N are expected and the gauge ` +
          `ends at ${Math.round(gauge.limitN)} N: the best ones would all read “at least”.`,
      ),
      ...fault(
        'reads-not-so-low',
        low,
        `weak pieces would let go below ${figureOf(5 * gauge.resolutionN)} N, which the gauge cannot ` + 'tell apart.',
      ),
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
] as const

const sorted = (size: object) =>
  Object.entries(size)
    .filter(([, value]) => value != null)
    .sort()
const withArm = (draft: PlanDraft, armId: string, patch: Partial<Arm>): PlanDraft => ({
  ...draft,
  arms: draft.arms.map((arm) => (arm.id === armId ? { ...arm, ...patch } : arm)),
})
const withProcedure = (draft: PlanDraft, id: string, patch: Partial<Procedure>): PlanDraft => ({
  ...draft,
  procedures: draft.procedures.map((one) => (one.id === id ? { ...one, ...patch } : one)),
})
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

export const sizedTest = (test: TestId): CouponTest | null => {
  const force = formulaOf(test)?.id
  return force === 'lap-shear' || force === 'peel' || force === 'tension' ? force : null
}

/**
 * Load expected on a coupon of this arm, from a weak to a strong piece, N; null where the tables or the size say
 * nothing.
 */
export function expectedLoad(
  arm: Pick<Arm, 'test' | 'size'>,
  a: string,
  b: string,
  family: string,
): [number, number] | null {
  const test = sizedTest(arm.test)
  if (!test || family === 'unknown') return null
  const [low, high] = expectedBond(a, b, family, test)
  const { widthMm, overlapMm, areaMm2 } = arm.size
  const here =
    test === 'peel' ? (widthMm ?? 25) : test === 'tension' ? (areaMm2 ?? 400) : (widthMm ?? 25) * (overlapMm ?? 12)
  return [low * here, high * here]
}

/**
 * A size at which every glue of the round can be read and none of the parts is expected to tear; null where there is
 * none.
 */
function mendSize(
  arm: Arm,
  test: CouponTest,
  families: readonly string[],
  a: string,
  b: string,
  brief: Brief,
  gauge: FairnessSetting['gauge'],
): Fault['mend'] {
  const answers = [...new Set(families)]
    .filter((id) => id !== 'unknown')
    .map((adhesive) =>
      couponSize({
        test,
        a,
        aThicknessMm: brief.a.thicknessMm,
        b,
        bThicknessMm: brief.b.thicknessMm,
        adhesive,
        gauge,
        widthMm: arm.size.widthMm ?? 25,
      }),
    )
  if (!answers.length || answers.some(({ possible }) => !possible)) return null
  const widthMm = Math.min(...answers.map((one) => one.widthMm!))
  const overlapMm = test === 'peel' ? null : Math.min(...answers.map((one) => one.overlapMm!))
  const size =
    test === 'peel'
      ? { ...arm.size, widthMm }
      : test === 'tension'
        ? { ...arm.size, areaMm2: overlapMm! ** 2 }
        : { ...arm.size, widthMm, overlapMm }
  const ok = families.every((id) => {
    const load = expectedLoad({ test: arm.test, size }, a, b, id)
    return !load || (load[1] <= gauge.limitN && load[0] >= 5 * gauge.resolutionN)
  })
  if (!ok || JSON.stringify(sorted(size)) === JSON.stringify(sorted(arm.size))) return null
  const words =
    test === 'tension'
      ? `Make the spot ${size.areaMm2} mm²`
      : test === 'peel'
        ? `Make the strips ${widthMm} mm wide`
        : `Make it ${widthMm} × ${overlapMm} mm`
  return { words, apply: (draft) => withArm(draft, arm.id, { size }) }
}

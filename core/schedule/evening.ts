import { letters } from '../planning/fault'
import type { Procedure } from '../records/procedure'
import { PULL, sessionOf, type RoundToGlue } from './round'
import { armOf } from '../planning/armOf'
import type { Placed, Schedule } from './problem'
import type { Hours } from './windows'

/** One thing done at a bench: a step of one or of several pieces one after the other, ms. */
export interface Task extends Hours {
  step: string
  procedure: string
  coupons: string[]
}

/** An evening with its work: what is glued, and what is pulled. */
export interface Evening extends Hours {
  /** procedures of which something is glued, in the order in which they are begun, with how many pieces */
  glued: { procedure: string; pieces: number }[]
  /** coupons that are pulled, and the session that they belong to */
  pulled: { session: string; coupons: string[] }[]
  tasks: Task[]
}

const MINUTE = 60_000
/** Work that lies further apart is another evening, min. */
const APART = 180

/**
 * A schedule as the evenings that it takes, each with what is done in it.
 * @param start ms, where its minutes begin
 */
export function eveningsOf(schedule: Schedule, rounds: readonly RoundToGlue[], start: number): Evening[] {
  const known = new Map(
    rounds.flatMap((of) => of.coupons.map((coupon) => [coupon.id, { coupon, round: of.round }] as const)),
  )
  const byHand = schedule.steps
    .filter(({ chain, step, to }) => known.has(chain) && step !== 'through' && to > 0)
    .sort((x, y) => x.from - y.from || x.chain.localeCompare(y.chain))
  const groups: Placed[][] = []
  let until = -Infinity
  for (const one of byHand) {
    if (one.from > until + APART) groups.push([])
    groups.at(-1)!.push(one)
    until = Math.max(until, one.to - one.from > APART ? one.from : one.to)
  }
  /** what is fixed in place stays there by itself */
  const clamps = new Set(
    rounds.flatMap(({ procedures }) =>
      procedures.flatMap(({ id, steps }) => steps.flatMap((one) => (one.kind === 'clamp' ? [`${id} ${one.id}`] : []))),
    ),
  )
  const handsFree = ({ chain, step }: Placed) => clamps.has(`${known.get(chain)!.coupon.procedure} ${step}`)
  return groups.map((placed) => {
    const at = (minutes: number) => start + minutes * MINUTE
    const tasks: Task[] = []
    const begun = new Map<string, Set<string>>()
    const pulled = new Map<string, string[]>()
    for (const { chain, step, from, to } of placed) {
      const { coupon, round } = known.get(chain)!
      const last = tasks.at(-1)
      if (last && last.step === step && last.procedure === coupon.procedure && at(from) - last.to < MINUTE * 2) {
        last.to = Math.max(last.to, at(to))
        if (!last.coupons.includes(chain)) last.coupons.push(chain)
      } else tasks.push({ step, procedure: coupon.procedure, coupons: [chain], from: at(from), to: at(to) })
      if (step === PULL) {
        const session = sessionOf(armOf(round, coupon))
        pulled.set(session, [...(pulled.get(session) ?? []), chain])
      } else if (step !== 'into' && step !== 'out')
        begun.set(coupon.procedure, (begun.get(coupon.procedure) ?? new Set()).add(chain))
    }
    return {
      from: at(placed[0]!.from),
      to: Math.max(...placed.map((one) => at(handsFree(one) ? one.from : one.to))),
      glued: [...begun].map(([procedure, pieces]) => ({ procedure, pieces: pieces.size })),
      pulled: [...pulled].map(([session, coupons]) => ({ session, coupons })),
      tasks,
    }
  })
}

/** An evening’s work in a few words: “glue B, then A and C”, “pull all 16”. */
export function eveningWords(
  { glued, pulled }: Pick<Evening, 'glued' | 'pulled'>,
  procedures: readonly Pick<Procedure, 'id' | 'letter'>[],
  coupons: number,
): string {
  const of = glued.flatMap(({ procedure }) => procedures.find(({ id }) => id === procedure) ?? [])
  const all = pulled.reduce((sum, one) => sum + one.coupons.length, 0)
  const glue = of.length ? `glue ${of.length > 1 ? `${of[0]!.letter}, then ${letters(of.slice(1))}` : letters(of)}` : ''
  const pull = all ? `pull ${all === coupons ? `all ${all}` : `${all} of ${coupons}`}` : ''
  return [glue, pull].filter(Boolean).join('; ') || 'see to what is in the oven, the freezer or the wash'
}

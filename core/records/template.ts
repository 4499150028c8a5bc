import { emptyBench } from './emptyBench'
import type { Side } from './joint'
import type { Round } from './round'
import { noTables, type Tables } from './tables'

/**
 * A build as a pattern for the next one: its joints with their briefs, the procedures and tests that were planned last,
 * shelf, materials and rules, all under ids of their own; without coupons, readings and decisions, and without what
 * other makers brought.
 * @param newId gives a fresh id each time @param now ms
 */
export function templateOf(tables: Tables, name: string, newId: () => string, now: number): Tables {
  const ids = new Map<string, string>()
  const own = <T extends { owner?: string }>(rows: readonly T[]) => rows.filter(({ owner }) => owner === undefined)
  const fresh = <T extends { id: string }>(row: T): T => {
    const id = newId()
    ids.set(row.id, id)
    return { ...row, id }
  }
  const of = <T extends string | null>(id: T): T => (id === null ? id : ((ids.get(id) ?? id) as T))
  const bench = tables.bench[0]!
  const made = noTables()
  const { room, gauge, instruments, hands, ratePerHour, currency, shop, maker } = bench
  made.bench = [
    {
      ...emptyBench('template', name, now),
      room,
      gauge,
      hands,
      ratePerHour,
      currency,
      maker: maker ?? bench.id,
      ...(instruments && { instruments }),
      ...(shop && { shop: { ...shop, exceptions: [] } }),
    },
  ]
  made.build = own(tables.build).map((build) => ({ ...fresh(build), name, inServiceBy: null }))
  made.material = own(tables.material).map(fresh)
  made.adhesive = own(tables.adhesive).map(fresh)
  made.stock = tables.stock.flatMap((pack) =>
    ids.has(pack.adhesive) ? [{ ...fresh(pack), adhesive: of(pack.adhesive) }] : [],
  )
  made.offcut = tables.offcut.map((one) => ({ ...fresh(one), material: of(one.material) }))
  made.houseRule = own(tables.houseRule).map((rule) => ({
    ...fresh(rule),
    adhesive: of(rule.adhesive),
    material: of(rule.material),
  }))
  const side = (one: Side): Side => ({ ...one, material: of(one.material) })
  made.joint = tables.joint.flatMap((joint) => {
    if (!ids.has(joint.build)) return []
    const { brief } = joint
    return [
      {
        ...fresh(joint),
        build: of(joint.build),
        createdAt: now,
        brief: { ...brief, a: side(brief.a), b: side(brief.b), inServiceBy: null, handledBy: null },
      },
    ]
  })
  const last = lastRounds(tables.round)
  made.procedure = tables.procedure.flatMap((procedure) => {
    if (!ids.has(procedure.joint)) return []
    const { second } = procedure
    return [
      {
        ...fresh(procedure),
        joint: of(procedure.joint),
        adhesive: of(procedure.adhesive),
        ...(second && { second: { ...second, adhesive: of(second.adhesive) } }),
      },
    ]
  })
  made.round = last.flatMap((round) => (ids.has(round.joint) ? [draftFrom(fresh(round), of, now)] : []))
  return made
}

/** The last round of each joint. */
function lastRounds(rounds: readonly Round[]): Round[] {
  const last = new Map<string, Round>()
  for (const round of rounds) if (round.number >= (last.get(round.joint)?.number ?? 0)) last.set(round.joint, round)
  return [...last.values()]
}

/** A round as a draft: the same procedures and tests, limits open to be set anew, nothing sealed and nothing timed. */
function draftFrom(round: Round, of: <T extends string | null>(id: T) => T, now: number): Round {
  return {
    ...round,
    timetable: undefined,
    joint: of(round.joint),
    number: 1,
    procedures: round.procedures.map(of),
    control: of(round.control),
    hunch: null,
    weights: round.weights && { ...round.weights, setAt: now, changedLate: null },
    arms: round.arms.map((arm) => ({ ...arm, passSetAt: arm.passLimit === null ? null : now, lateChanges: [] })),
    plannedAt: now,
  }
}

import { isMaterialClass } from '../knowledge/materials'
import type { RecordOf, TableName } from './tables'

/** Where records are looked up: a bench as it stands, as it will stand, or what a file holds. */
export interface Lookup {
  get<T extends TableName>(table: T, id: string): RecordOf<T> | null
}

/** A part of a record that names what is not there. */
export interface Stray {
  field: string
  why: string
}

const doubled = (ids: readonly string[]): string | undefined => ids.find((id, i) => ids.indexOf(id) !== i)
const noArm = (round: RecordOf<'round'>, arm: string): Stray | null =>
  round.arms.some(({ id }) => id === arm) ? null : { field: 'arm', why: `its round has no arm “${arm}”` }
const notIn = (round: RecordOf<'round'>, procedure: string): Stray | null =>
  round.procedures.includes(procedure) ? null : { field: 'procedure', why: 'its round has no such procedure' }

function strayOfRound(round: RecordOf<'round'>, records: Lookup): Stray | null {
  const { procedures, arms, control, hunch, timetable } = round
  const twice = doubled(procedures) ?? doubled(arms.map(({ id }) => id))
  if (twice !== undefined) return { field: 'procedures', why: `“${twice}” stands there twice` }
  // A draft names its procedures when it is planned; what is set in it before is of the joint's.
  const isOfJoint = (id: string) => records.get('procedure', id)?.joint === round.joint
  if (!procedures.every(isOfJoint)) return { field: 'procedures', why: 'not all its procedures are there' }
  if (control !== null && !isOfJoint(control))
    return { field: 'control', why: 'its control is no procedure of its joint' }
  if (hunch && (doubled(hunch.order) !== undefined || !hunch.order.every(isOfJoint)))
    return { field: 'hunch', why: 'the expected order is not one of procedures of its joint' }
  if (timetable && !timetable.notBefore.every(({ procedure }) => isOfJoint(procedure)))
    return { field: 'timetable', why: 'its timetable names a procedure that its joint has not' }
  return null
}

/**
 * What in a record names a part of another one that is not there: an arm, a procedure of its round, a step of its own,
 * a class of the tables. Whole records that are pointed to are looked up elsewhere (references in tables.ts).
 */
const strays: { [T in TableName]?: (record: RecordOf<T>, records: Lookup) => Stray | null } = {
  material: ({ classId }) =>
    isMaterialClass(classId) ? null : { field: 'classId', why: `“${classId}” is no material class of the tables` },
  procedure: ({ steps }) => {
    const twice = doubled(steps.map(({ id }) => id))
    return twice === undefined ? null : { field: 'steps', why: `the step “${twice}” stands there twice` }
  },
  round: strayOfRound,
  coupon: (coupon, records) => {
    const round = records.get('round', coupon.round)
    return round && (noArm(round, coupon.arm) ?? notIn(round, coupon.procedure))
  },
  decision: (decision, records) => {
    const round = records.get('round', decision.round)
    if (!round) return null
    if (round.joint !== decision.joint) return { field: 'round', why: 'its round is of another joint' }
    return noArm(round, decision.arm) ?? notIn(round, decision.procedure)
  },
  reading: (reading, records) => {
    if (reading.because === undefined) return null
    const earlier = records.get('reading', reading.because)
    return earlier?.coupon === reading.coupon
      ? null
      : { field: 'because', why: 'the earlier pull that it names is none of its coupon' }
  },
}

/** @returns the first stray part of a record; null where all that it names is there */
export const strayOf = <T extends TableName>(table: T, record: RecordOf<T>, records: Lookup): Stray | null =>
  strays[table]?.(record, records) ?? null

import * as z from 'zod/mini'
import { directions } from '../knowledge/directions'
import { rungs } from '../knowledge/rungs'
import { findUnit, knownUnits, type Dimension } from '../quantities/units'
import { amount, couponSize, gap, id, lengthMm, moment, owner, positive, text, within, words } from './fields'
import { PLACES_OFF } from './placesOff'
import type { Versions } from './versioned'

const optional = z.nullish(amount)
/** A unit of what a way reads, as it was typed. */
const unitOf = (dimension: Dimension) =>
  z.string().check(
    z.maxLength(8),
    z.refine((unit) => findUnit(unit, dimension) !== null, `one of ${knownUnits(dimension).join(', ')} expected`),
  )
const hung = { value: amount, tareKg: optional }

/** What was read, as it was read: enough to work the strength out again. */
const rawSchema = z.discriminatedUnion('way', [
  z.object({ way: z.literal('gauge'), ...hung, unit: unitOf('force') }),
  z.object({ way: z.literal('mass'), ...hung, unit: unitOf('mass') }),
  z.object({ way: z.literal('water'), ...hung, unit: unitOf('volume') }),
  /** the beam's own weight with the arm of its middle: both or neither */
  z
    .object({
      way: z.literal('lever'),
      ...hung,
      unit: unitOf('force'),
      armLoadMm: lengthMm,
      armJointMm: lengthMm,
      beamKg: optional,
      beamArmMm: z.nullish(gap),
    })
    .check(z.refine(({ beamKg, beamArmMm }) => (beamKg == null) === (beamArmMm == null), 'a beam with its arm')),
  /** steps of weights: the last step held (0: none) and the one that broke it (null: it held) in `unit` */
  z
    .object({
      way: z.literal('steps'),
      held: amount,
      broke: z.nullable(positive),
      unit: unitOf('mass'),
      tareKg: optional,
    })
    .check(
      z.refine(({ held, broke }) => broke === null || broke > held, 'a step that broke it above the one that held'),
    ),
  /** by hand, with the interval that the maker's own calibration gave at the time, N; null both: order only */
  z
    .object({
      way: z.literal('hands'),
      rung: z.enum(rungs),
      lowN: z.nullable(amount),
      highN: z.nullable(amount),
    })
    .check(
      z.refine(
        ({ lowN, highN }) => (lowN === null ? highN === null : highN === null || highN > lowN),
        'low below high',
      ),
    ),
  z.object({
    way: z.literal('trace'),
    file: text,
    take: z.enum(['peak', 'steady']),
    points: z.array(z.tuple([within, within, z.nullable(within)])).check(z.maxLength(5000)),
    /** it was read from a stand-in, not from a gauge */
    simulated: z.optional(z.boolean()),
    /** the steady part as the maker marked it, mm of travel or s; left out: by the rule */
    steady: z.optional(z.tuple([within, within])),
  }),
  /** bend (radius of the mandrel that did no harm, and the one that cracked it, mm), flex cycles, drops */
  z.object({ way: z.literal('count'), held: amount, broke: z.nullable(positive) }),
  /** looked at or worked on: each thing in three steps, 0 bad to 2 good, so many hours afterwards */
  z.object({
    way: z.literal('grades'),
    grades: z
      .record(z.string(), z.int().check(z.gte(0), z.lte(2)))
      .check(z.refine((all) => Object.keys(all).length > 0, 'a grade expected')),
    afterH: z.nullable(amount),
  }),
  /** of many small things on one piece: how many there were, and how many are left */
  z
    .object({
      way: z.literal('losses'),
      before: z.int().check(z.gte(1), z.lte(100_000)),
      after: z.int().check(z.gte(0)),
    })
    .check(z.refine(({ before, after }) => after <= before, 'no more left than there were')),
  z.object({ way: z.literal('none') }),
])
export type Raw = z.infer<typeof rawSchema>

const share = z.number().check(z.gte(0), z.lte(100))
const placesSchema = z
  .object({ tornA: share, offA: share, glue: share, offB: share, tornB: share })
  .check(
    z.refine(
      ({ tornA, offA, glue, offB, tornB }) => Math.abs(tornA + offA + glue + offB + tornB - 100) <= PLACES_OFF,
      'places that add up to 100 expected',
    ),
  )

/** Cells that a painted face may have at most: what is kept of it stays small. */
const MOST_CELLS = 2500
const side = z.int().check(z.gte(1), z.lte(MOST_CELLS))
/**
 * A broken face as it was painted, as one looks at the face of A: a letter a cell, row by row. A and B torn, a and b
 * off, g in the glue, v a void, w wet, a point for what was not painted.
 */
export const paintedSchema = z
  .object({ columns: side, rows: side, cells: z.string().check(z.regex(/^[AagbBvw.]*$/), z.maxLength(MOST_CELLS)) })
  .check(z.refine(({ columns, rows, cells }) => cells.length === columns * rows, 'a letter for every cell'))
export type Painted = z.infer<typeof paintedSchema>

const outcomeSchema = z.discriminatedUnion('end', [
  z.object({
    end: z.literal('broke'),
    places: placesSchema,
    /** of the bonded area, %: what was never wetted, or a void; the places are shares of the rest */
    voids: z.optional(share),
    /** what was painted, where the places came from that */
    painted: z.optional(paintedSchema),
  }),
  z.object({ end: z.literal('held') }),
  /** lost in handling: below the lightest load that the method reads, N (or count) */
  z.object({ end: z.literal('handling'), lightestN: positive }),
  z.object({ end: z.literal('wet'), places: z.nullable(placesSchema) }),
  z.object({ end: z.literal('fault'), reason: words }),
])
export type OutcomeRecord = z.infer<typeof outcomeSchema>

/** One pull of one coupon, as logged. Corrected or set aside with a reason, never deleted. */
export const readingSchema = z.object({
  id,
  owner,
  coupon: id,
  at: moment,
  /** it was pulled that way before its own test, on the same piece; left out: this is its own test */
  direction: z.optional(z.enum(directions)),
  /** the piece stayed whole and is pulled anew: this one only tells what went wrong */
  again: z.optional(z.boolean()),
  /** the earlier pull of the same piece that ended it before its own test */
  because: z.optional(id),
  raw: rawSchema,
  outcome: outcomeSchema,
  /** what the load was divided by, mm */
  size: couponSize,
  /** pulled before its full cure: how long it had, and what the procedure asks, s */
  early: z.nullable(z.object({ curedS: within, fullS: within })),
  note: text,
  /** figures that were measured on a photo of it */
  measured: z.optional(
    z.array(z.object({ what: words, value: within, unit: z.string().check(z.maxLength(8)) })).check(z.maxLength(50)),
  ),
  setAside: z.nullable(words),
  corrected: z.array(z.object({ at: moment, was: text })),
})
export type Reading = z.infer<typeof readingSchema>

export const readingVersions: Versions = { since: 1 }

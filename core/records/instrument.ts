import * as z from 'zod/mini'
import { forceN, id, moment, positive, text, words } from './fields'

/** How the cells of a line are kept apart. */
export const separators = ['comma', 'semicolon', 'tab', 'space'] as const
export type Separator = (typeof separators)[number]

const column = z.int().check(z.gte(1), z.lte(20))

/** How an instrument writes a line: where its figures stand, and what they are counted in. */
const lineProtocolSchema = z.object({
  baud: z.int().check(z.gte(300), z.lte(921_600)),
  separator: z.enum(separators),
  decimal: z.enum(['point', 'comma']),
  /** the cell of the first figure (load, or warmth), from 1 */
  column,
  /** the cell of the second one (travel, or humidity); null: there is none */
  secondColumn: z.nullable(column),
  /** the unit of the first figure where the line names none */
  unit: z.string().check(z.maxLength(8)),
  /** −1: a pull is written below zero */
  sign: z.union([z.literal(1), z.literal(-1)]),
})
export type LineProtocol = z.infer<typeof lineProtocolSchema>

/** What many a scale sends: one figure a line, a unit behind it. */
export const plainLines: LineProtocol = {
  baud: 9600,
  separator: 'comma',
  decimal: 'point',
  column: 1,
  secondColumn: null,
  unit: 'N',
  sign: 1,
}

/** How an instrument is reached. */
const connections = ['typed', 'serial', 'file', 'simulated'] as const

/** What force is read with beside the usual scale: its range, its step, how it is reached, its checks. */
export const instrumentSchema = z.object({
  id,
  name: words,
  connection: z.enum(connections),
  limitN: forceN,
  resolutionN: forceN,
  lines: z.nullable(lineProtocolSchema),
  /** looks against a known weight, N: what hung there and what it read */
  checks: z.array(z.object({ at: moment, trueN: positive, readN: positive, how: text })).check(z.maxLength(500)),
})
export type Instrument = z.infer<typeof instrumentSchema>

/** A record of whatever version: plain fields, of which nothing is known yet. */
export type Loose = Record<string, unknown>

/** A value as an object, or null. */
export const asObject = (value: unknown): Loose | null =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Loose) : null

/**
 * How the records of one table came to their shape of today. Each step is frozen: it calls nothing that may change
 * later. It gives back, as it is, a record that has the newer shape already: early builds stored benches without their
 * version, and wrote newer records beside older ones.
 */
export interface Versions {
  /** the version in which the table came */
  since: number
  /** by the version that each leads to */
  to?: Readonly<Record<number, (record: Loose) => Loose>>
}

/** The rows of a table that is shipped as its columns: a list each, all of one length. */
export function rowsOfColumns<Row extends object>(columns: { [Key in keyof Row]: readonly Row[Key][] }): Row[] {
  const keys = Object.keys(columns) as (keyof Row)[]
  const length = columns[keys[0]!]!.length
  return Array.from(
    { length },
    (_, at) => Object.fromEntries(keys.map((key) => [key, columns[key][at]])) as unknown as Row,
  )
}

/** Rows by the family they are of, in the table's order. */
export const byFamily = <Row extends { family: string }>(rows: Row[]): Map<string, Row[]> => {
  const by = new Map<string, Row[]>()
  for (const row of rows) by.set(row.family, [...(by.get(row.family) ?? []), row])
  return by
}

/** Answers of a lookup that are kept at most before all are looked up anew; the tables do not change. */
export const MOST_KNOWN = 20_000

/** The rows of a table that is shipped as its columns: a list each, all of one length. */
export function rowsOfColumns<Row extends object>(columns: { [Key in keyof Row]: readonly Row[Key][] }): Row[] {
  const keys = Object.keys(columns) as (keyof Row)[]
  const length = columns[keys[0]!]!.length
  return Array.from(
    { length },
    (_, at) => Object.fromEntries(keys.map((key) => [key, columns[key][at]])) as unknown as Row,
  )
}

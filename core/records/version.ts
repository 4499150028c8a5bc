/**
 * The version of the shapes of all records: of a stored bench and of a bench file. One more with every shape that an
 * older build did not know (structure.md, "A field").
 */
export const BENCH_VERSION = 7

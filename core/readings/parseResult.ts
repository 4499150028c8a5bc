import { CodedError } from '../errors'
import { figureOf } from '../quantities/figure'
import { parseQuantity } from '../quantities/parse'
import { parseNumber } from '../quantities/parseNumber'
import { countingOf, testKinds, type TestId } from '../knowledge/testKinds'

/** A limit below this passes whatever can be read. */
const LEAST = 1e-6

/**
 * A result of a test as typed, in the test's own unit when none is given: a pass limit, for one. Strengths take MPa,
 * kPa, N/mm² and psi, loads on a width N/mm, N/cm and N/m; counts only their own word ("500 cycles").
 * @returns in the unit of the test
 * @throws CodedError not-a-number, rest-not-read, unknown-unit, wrong-kind-of-unit, out-of-range, not-positive
 */
export function parseResult(text: string, test: TestId, path = 'pass limit'): number {
  const { unit } = testKinds[test]
  const field = 'The pass limit'
  const value =
    unit === 'MPa'
      ? parseQuantity(text, 'strength', 'MPa', path).inside
      : unit === 'N/mm'
        ? parseQuantity(text, 'peel', 'N/mm', path).inside
        : parseNumber(text, { path, field, example: `2 ${unit}`, unit, most: countingOf(test)?.end ?? 1e6 })
  if (!(value >= LEAST)) throw new CodedError('not-positive', path, { field, got: figureOf(value) })
  return value
}

import { describe, expect, it } from 'vitest'
import { bruteForce, logLower, type Grid } from './__tests__/bruteForce'
import { normalDraw, seededRandom } from '../planning/random'
import { analyse } from './analyse'
import type { ModelReading } from './data'
import { logPhi, logPhiBetween, phiCdf } from './normal'

const exact = (procedure: string, ...values: number[]): ModelReading[] =>
  values.map((value) => ({ procedure, kind: 'exact', value }))
const atLeast = (procedure: string, ...lows: number[]): ModelReading[] =>
  lows.map((low) => ({ procedure, kind: 'atLeast', low }))
const atMost = (procedure: string, ...highs: number[]): ModelReading[] =>
  highs.map((high) => ({ procedure, kind: 'atMost', high }))
const between = (procedure: string, low: number, high: number): ModelReading => ({
  procedure,
  kind: 'between',
  low,
  high,
})

/** All summaries within 0.5 % (quantiles) and 0.01 (probabilities) of the brute force. */
function expectAgreement(
  readings: ModelReading[],
  grid: Partial<Grid>,
  required: number,
  pairs: [string, string][] = [],
) {
  const answer = analyse({ required, readings, ratios: pairs })
  const force = bruteForce(readings, { sFrom: -3.6, sTo: 1.8, sSteps: 90, muFrom: -8, muTo: 8, muSteps: 1100, ...grid })
  const close = (got: number, wanted: number) =>
    expect(Math.abs(got / wanted - 1), `${got} against ${wanted}`).toBeLessThan(0.005)
  close(answer.scatter!.median, force.scatter(0.5))
  close(answer.scatter!.low90, force.scatter(0.05))
  close(answer.scatter!.high90, force.scatter(0.95))
  answer.procedures.forEach((p, g) => {
    close(p.typical.median, force.typical(g, 0.5))
    close(p.typical.low90, force.typical(g, 0.05))
    close(p.typical.high90, force.typical(g, 0.95))
    const low = force.weak(g, 0.05)
    close(p.weakJoint.low95, low.value)
    close(p.weakJoint.median, force.weak(g, 0.5).value)
    expect(Math.abs(p.pMeets! - low.chanceAbove(required))).toBeLessThan(0.01)
    expect(Math.abs(p.pBest - force.pBest[g]!)).toBeLessThan(0.01)
  })
  answer.ratios.forEach((r) => {
    const [a, b] = [force.names.indexOf(r.of), force.names.indexOf(r.to)]
    close(r.median, force.ratio(a, b, 0.5))
    close(r.low90, force.ratio(a, b, 0.05))
    close(r.high90, force.ratio(a, b, 0.95))
  })
}

describe('the normal distribution', () => {
  it('agrees with a power series and a continued fraction, far into the tails', () => {
    for (let z = -40; z <= 9; z += 0.37) expect(Math.abs(logPhi(z) / logLower(z) - 1), `z ${z}`).toBeLessThan(1e-9)
    expect(phiCdf(1.6448536269514722)).toBeCloseTo(0.95, 12)
    expect(logPhiBetween(30, 30.001)).toBeCloseTo(Math.log(0.001) - 450 - 0.5 * Math.log(2 * Math.PI) - 0.015, 3)
  })
})

describe('the strength model against brute force', () => {
  it('one exact reading', () => expectAgreement(exact('A', 1.7), { muFrom: -6, muTo: 7 }, 1))
  it('two procedures, exact', () =>
    expectAgreement([...exact('A', 0.62, 0.71, 0.66), ...exact('B', 0.9, 1.3, 0.8)], { muFrom: -3, muTo: 3 }, 0.5, [
      ['B', 'A'],
    ]))
  it('every kind of censoring at once', () =>
    expectAgreement(
      [
        ...exact('A', 12.3, 9.1),
        ...atLeast('A', 10),
        between('B', 5, 8),
        ...atMost('B', 3),
        ...atLeast('C', 14, 15, 11),
        between('C', 0, 40),
      ],
      { muFrom: -5, muTo: 11 },
      8,
      [
        ['A', 'B'],
        ['C', 'A'],
      ],
    ))
  it('only "at least": four foam tears out of four', () =>
    expectAgreement(
      [...atLeast('torn', 0.8, 0.9, 0.85, 0.8), ...exact('other', 0.5, 0.6, 0.4)],
      { muFrom: -5, muTo: 9 },
      0.4,
      [['torn', 'other']],
    ))
  it('narrow steps', () =>
    expectAgreement(
      [between('A', 30, 31), between('A', 29, 30), between('B', 44, 45)],
      { muFrom: -4, muTo: 11, muSteps: 4000, sFrom: -4.4, sSteps: 110 },
      25,
    ))
  it('a hundred readings of small scatter', () => {
    const random = seededRandom(7)
    const values = Array.from({ length: 70 }, () => Math.exp(3 + 0.12 * normalDraw(random)))
    expectAgreement(
      [
        ...exact('A', ...values.slice(0, 40)),
        ...atLeast('A', ...values.slice(40, 60)),
        ...atLeast('B', ...values.slice(60)),
        ...exact('B', 22, 24),
      ],
      { sFrom: -3, sTo: -1.2, sSteps: 60, muFrom: 2.4, muTo: 4.2, muSteps: 900 },
      15,
      [['A', 'B']],
    )
  })
  it('values from 1e-4 to 1e4', () => {
    expectAgreement([...exact('A', 1e-4, 3e-4), ...atLeast('A', 2e-4)], { muFrom: -16, muTo: -2 }, 1e-4)
    expectAgreement([...exact('A', 1e4, 3e3), ...atMost('B', 2e3)], { muFrom: 1, muTo: 17 }, 1e3, [['A', 'B']])
    expectAgreement(
      [...exact('A', 1e-4), ...exact('B', 1e4), ...atLeast('B', 1)],
      { sTo: 3.4, sSteps: 130, muFrom: -16, muTo: 16, muSteps: 1800 },
      1,
    )
  })
})

describe('the strength model itself', () => {
  const set = [...exact('A', 1, 2, 3), ...atLeast('B', 2), between('A', 1, 4)]
  it('gives the same answer to the bit, whatever the order within a procedure', () => {
    expect(analyse({ required: 1, readings: set })).toEqual(analyse({ required: 1, readings: set }))
    expect(analyse({ required: 1, readings: [set[4]!, set[2]!, set[0]!, set[1]!, set[3]!] })).toEqual(
      analyse({ required: 1, readings: set }),
    )
  })
  it('is equivariant: ten times the readings, ten times the strengths', () => {
    const times = (k: number): ModelReading[] => [...exact('A', k, 2 * k, 3 * k), between('A', k, 4 * k)]
    expect(analyse({ required: null, readings: times(10) }).procedures[0]!.typical.median).toBeCloseTo(
      10 * analyse({ required: null, readings: times(1) }).procedures[0]!.typical.median,
      4,
    )
  })
  it('reads a zero lower step as "at most", and says which side is open', () => {
    const [zero] = analyse({ required: null, readings: [between('A', 0, 3)] }).procedures
    expect(zero).toEqual(analyse({ required: null, readings: atMost('A', 3) }).procedures[0])
    expect(zero!.open).toBe('below')
    expect(analyse({ required: null, readings: atLeast('A', 3, 4) }).procedures[0]!.open).toBe('above')
    expect(analyse({ required: null, readings: set }).procedures[0]!.open).toBeNull()
  })
  it('never ranks a torn part lower than the same load read as exact', () => {
    const torn = analyse({ required: null, readings: [...atLeast('A', 5, 5, 5), ...exact('B', 5, 5.2, 4.9)] })
    const plain = analyse({ required: null, readings: [...exact('A', 5, 5, 5), ...exact('B', 5, 5.2, 4.9)] })
    expect(torn.procedures[0]!.pBest).toBeGreaterThan(plain.procedures[0]!.pBest)
  })
  it('cannot tell two near glues apart, and can tell two far ones', () => {
    const near = analyse({
      required: null,
      readings: [...exact('A', 5, 6, 4), ...exact('B', 5.2, 5.9, 4.2)],
      ratios: [['A', 'B']],
    })
    const far = analyse({
      required: null,
      readings: [...exact('A', 5, 6, 4), ...exact('B', 15, 19, 14)],
      ratios: [['A', 'B']],
    })
    expect(near.ratios[0]!.toldApart).toBe(false)
    expect(far.ratios[0]!.toldApart).toBe(true)
  })
  it('refuses a ratio of what was not read, and says what was', () => {
    const ratios: [string, string][] = [['A', 'Z']]
    const known = set.map(({ procedure }) => procedure).filter((one, i, all) => all.indexOf(one) === i)
    expect(() => analyse({ required: null, readings: set, ratios })).toThrow(
      expect.objectContaining({
        path: 'ratios.0.1',
        facts: expect.objectContaining({ got: 'Z', known: known.join(', ') }) as unknown,
      }) as Error,
    )
    expect(() => analyse({ required: null, readings: [], ratios })).toThrow(
      expect.objectContaining({
        path: 'ratios.0.0',
        facts: expect.objectContaining({ known: 'none: there is no reading' }) as unknown,
      }) as Error,
    )
  })
  it.each<[string, ModelReading, string, string]>([
    ['nought', exact('A', 0)[0]!, 'not-positive', 'value'],
    ['less than nothing', atLeast('A', -1)[0]!, 'not-positive', 'low'],
    ['nought at most', atMost('A', 0)[0]!, 'not-positive', 'high'],
    ['no number', exact('A', NaN)[0]!, 'not-a-number', 'value'],
    ['a step below nothing', between('A', -1, 3), 'negative', 'low'],
    ['a step that ends at nothing', between('A', 0, 0), 'not-positive', 'high'],
    ['steps the wrong way round', between('A', 5, 3), 'out-of-order', ''],
  ])('refuses %s, and says where', (_, reading, code, at) => {
    expect(() => analyse({ required: null, readings: [set[0]!, reading] })).toThrow(
      expect.objectContaining({
        code,
        path: expect.stringMatching(new RegExp(`readings\\.1.*${at}`)) as unknown,
      }) as Error,
    )
  })
  it('has nothing to say without readings, and reports its progress', () => {
    expect(analyse({ required: 1, readings: [] })).toEqual({ scatter: null, procedures: [], ratios: [] })
    const steps: number[] = []
    analyse({ required: null, readings: set }, { onProgress: (done) => steps.push(done) })
    expect(steps.at(-1)).toBe(1)
    expect([...steps].sort((a, b) => a - b)).toEqual(steps)
  })
})

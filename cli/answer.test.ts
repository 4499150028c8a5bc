import { describe, expect, it } from 'vitest'
import { answer } from './answer'

const run = (verb: string, input: unknown) => answer([verb], JSON.stringify(input))
const lap = { test: 'lap-shear', way: 'gauge', value: 9.5, unit: 'kgf', widthMm: 25, overlapMm: 12 }

describe('the core from the command line', () => {
  it('converts, ignoring fields that do not belong to the test', () => {
    const { code, out } = run('convert', {
      ...lap,
      tareKg: 0.2,
      armLoadMm: 300,
      armJointMm: 50,
      areaMm2: null,
      thicknessMm: 5,
    })
    expect(code).toBe(0)
    expect(JSON.parse(out)).toEqual({ forceN: 9.5 * 9.80665, result: (9.5 * 9.80665) / 300, unit: 'MPa' })
  })

  it.each([
    ['negative width', { ...lap, widthMm: -25 }, 'not-positive', 'widthMm'],
    ['unknown unit', { ...lap, unit: 'furlong' }, 'unknown-unit', 'unit'],
    ['unit of another kind', { ...lap, unit: 'litres' }, 'wrong-kind-of-unit', 'unit'],
    ['missing arm', { ...lap, way: 'lever', armLoadMm: 300 }, 'missing', 'armJointMm'],
    ['missing overlap', { ...lap, overlapMm: null }, 'missing', 'overlapMm'],
    ['unknown test', { ...lap, test: 'tug' }, 'not-one-of', 'test'],
    ['text for a number', { ...lap, value: '9.5' }, 'not-a-number', 'value'],
    ['nothing at all', {}, 'missing', 'test'],
  ])('%s gives a coded error on standard error that names the field', (_, input, code, path) => {
    const { code: exit, out, err } = run('convert', input)
    expect(exit).toBe(2)
    expect(out).toBe('')
    expect(JSON.parse(err).error).toMatchObject({ code, path })
    expect(JSON.parse(err).error.message.length).toBeGreaterThan(10)
  })

  it('answers an array in order, with an error in the place of what was bad', () => {
    const { code, out } = run('convert', [lap, { ...lap, widthMm: 0 }, { ...lap, value: 1, unit: 'N' }])
    expect(code).toBe(0)
    const list = JSON.parse(out)
    expect(list).toHaveLength(3)
    expect(list[1].error).toMatchObject({ code: 'not-positive', path: 'widthMm' })
    expect(list[2].forceN).toBe(1)
  })

  it('analyses, and names the reading that is wrong', () => {
    const good = run('analyse', {
      required: 8,
      readings: [{ procedure: 'A', kind: 'exact', value: 12 }],
      ratios: [['A', 'A']],
    })
    expect(JSON.parse(good.out).procedures[0]).toMatchObject({ procedure: 'A', n: 1, exact: 1, censored: 0, pBest: 1 })
    const bad = run('analyse', { required: null, readings: [{ procedure: 'A', kind: 'between', low: 5, high: 4 }] })
    expect(JSON.parse(bad.err).error).toMatchObject({ code: 'out-of-order', path: 'readings.0.high' })
    const unknown = run('analyse', { required: null, readings: [{ procedure: 'A', kind: 'guess', value: 4 }] })
    expect(JSON.parse(unknown.err).error.path).toBe('readings.0.kind')
  })

  it('makes a timetable in local times, and says what breaks one', () => {
    const step = (id: string, minutes: number, more = {}) => ({ id, minutes, hands: true, ...more })
    const coupon = (id: string) => ({
      id,
      steps: [
        step('glue', 5),
        step('clamp', 90, { hands: false, clamp: true, maxGap: 0 }),
        step('pull', 2, { minGap: 600 }),
      ],
    })
    const asked = {
      start: '2026-12-04T18:00',
      windows: [
        { from: '2026-12-04T18:00', to: '2026-12-04T20:00' },
        { from: '2026-12-05T18:00', to: '2026-12-05T20:00' },
      ],
      hands: 1,
      clamps: 2,
      coupons: [coupon('c1'), coupon('c2')],
      seconds: 0.1,
      seed: 1,
    }
    const { out } = run('schedule', asked)
    const answered = JSON.parse(out)
    expect(answered).toMatchObject({
      feasible: true,
      finish: '2026-12-05T18:04',
      lowerBound: '2026-12-05T18:04',
      why: null,
    })
    expect(answered.steps[0]).toEqual({
      coupon: 'c1',
      step: 'glue',
      start: expect.any(String),
      end: expect.any(String),
    })
    expect(answered.steps.map((one: { coupon: string }) => one.coupon)).toEqual(['c1', 'c1', 'c1', 'c2', 'c2', 'c2'])
    const none = JSON.parse(run('schedule', { ...asked, clamps: 0 }).out)
    expect(none).toMatchObject({ feasible: false, finish: null, constraint: 'clamps' })
    expect(none.why).toMatch(/needs a clamp, and there is none/)
    const bad = run('schedule', { ...asked, start: 'Friday' })
    expect(JSON.parse(bad.err).error).toMatchObject({ code: 'wrong-shape', path: 'start' })
    const back = run('schedule', { ...asked, windows: [{ from: '2026-12-05T18:00', to: '2026-12-04T18:00' }] })
    expect(JSON.parse(back.err).error.path).toBe('windows.0')
  })

  it('says there is nothing to say yet for no readings', () => {
    expect(JSON.parse(run('analyse', { required: 8, readings: [] }).out)).toEqual({
      scatter: null,
      procedures: [],
      ratios: [],
    })
  })

  it('prints the schema of what goes in and out', () => {
    const schema = JSON.parse(answer(['schema', 'convert'], '').out)
    expect(schema.in.required).toEqual(expect.arrayContaining(['test', 'way', 'value', 'unit']))
    expect(schema.out.properties.unit.enum).toEqual(['MPa', 'N/mm'])
  })

  it('says which verbs there are, and what is wrong with the JSON', () => {
    expect(JSON.parse(answer(['glue'], '{}').err).error.code).toBe('unknown-verb')
    expect(JSON.parse(answer(['convert'], '{').err).error.code).toBe('not-json')
  })
})

import { describe, expect, it } from 'vitest'
import { readBenchFile, writeBenchFile } from '../core/formats/benchFile'
import { taskOf } from '../core/planning/gluing'
import { progressOf } from '../core/planning/progress'
import { seededRandom } from '../core/planning/random'
import { typicalPairStrength } from '../core/knowledge/strengths'
import { buildDemoBench } from './bench'
import { simulatePull } from './simulator'
import worked from './worked.json'
import { workOut } from './working'

const NOW = Date.UTC(2026, 10, 24, 18, 30)

describe('what is kept of the demo bench', () => {
  it('is what the app works out today; after a change of rules, steps or statistics: npm run demo-worked', () => {
    expect(worked).toEqual(JSON.parse(JSON.stringify(workOut())))
  })
})

describe('the demo bench', () => {
  const tables = buildDemoBench(NOW)
  it('is deterministic, and a sound bench file', () => {
    expect(buildDemoBench(NOW)).toEqual(tables)
    expect(readBenchFile(writeBenchFile(tables, NOW)).tables).toEqual(tables)
  })
  it('shows one joint decided, one half pulled, one being glued with clocks running, one only asked', () => {
    const at = Object.fromEntries(
      tables.joint.map((joint) => {
        const procedures = tables.procedure.filter((p) => p.joint === joint.id)
        const round = tables.round.find((r) => r.joint === joint.id) ?? null
        const coupons = tables.coupon.filter((c) => c.round === round?.id)
        const readings = tables.reading.filter((r) => coupons.some((c) => c.id === r.coupon))
        const decision = tables.decision.find((d) => d.joint === joint.id) ?? null
        return [joint.code, progressOf(joint.brief, procedures, round, coupons, readings, decision)]
      }),
    )
    expect(at['H1']).toMatchObject({ at: 'choose', decided: true, pulled: 12 })
    expect(at['H2']).toMatchObject({ at: 'break', pulled: 7, coupons: 12 })
    expect(at['H3']!.at).toBe('glue')
    expect(at['H3']!.closed).toBeGreaterThan(1)
    expect(at['H3']!.closed).toBeLessThan(12)
    expect(at['H4']).toMatchObject({ at: 'ask', coupons: 0 })
    expect(at['H5']).toMatchObject({ at: 'plan', procedures: 2 })
    const running = tables.coupon.filter((c) => {
      const task = taskOf(
        c,
        tables.procedure.find((p) => p.id === c.procedure)!,
      )
      return c.stamps.length > 0 && task !== null && task.readyAt > NOW
    })
    expect(running.length).toBeGreaterThan(0)
  })
  it('has a torn part, a wet one, and no stamp or reading in the future', () => {
    const ends = tables.reading.map((r) => r.outcome)
    expect(ends.some((o) => o.end === 'wet')).toBe(true)
    expect(ends.some((o) => o.end === 'broke' && o.places.tornA + o.places.tornB >= 50)).toBe(true)
    for (const { at } of [...tables.reading, ...tables.coupon.flatMap((c) => c.stamps), ...tables.cureCheck])
      expect(at).toBeLessThanOrEqual(NOW)
  })
})

describe('the simulator', () => {
  it('scatters about the typical strength of the tables', () => {
    const random = seededRandom(3)
    const coupon = {
      a: 'metal',
      b: 'metal',
      family: 'ca-medium',
      test: 'lap-shear',
      size: { widthMm: 10, overlapMm: 10 },
    } as const
    const typical = typicalPairStrength('metal', 'metal', 'ca-medium')!.strength
    const logs = Array.from({ length: 4000 }, () => Math.log(simulatePull(coupon, random)!.forceN / 100))
    const mean = logs.reduce((sum, y) => sum + y, 0) / logs.length
    expect(
      Math.abs(mean - Math.log(typical.failure === 'substrate' ? typical.observedMPa : typical.bondMPa)),
    ).toBeLessThan(typical.cv / 4)
  })
})

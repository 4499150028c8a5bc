import { describe, expect, it } from 'vitest'
import { buildDemoBench } from './bench'
import { writeBenchFile } from '../core/formats/writeBenchFile'
import { readBenchFile } from '../core/formats/benchFile'
import { danglingRows } from '../core/records/integrity'
import { tableNames } from '../core/records/tables'
import { templateOf } from '../core/records/template'

const NOW = Date.UTC(2026, 10, 27, 9)
const demo = buildDemoBench(NOW)
function made() {
  let n = 0
  return templateOf(demo, 'Second heron', () => `t${++n}`, NOW + 5)
}

describe('a build as a template', () => {
  it('keeps joints, procedures, shelf and rules, and nothing that was glued, read or chosen', () => {
    const tables = made()
    expect(tables.bench[0]).toMatchObject({ name: 'Second heron', kind: 'own', maker: 'demo', currency: '€' })
    expect(tables.joint.map(({ code }) => code)).toEqual(['H1', 'H2', 'H3', 'H4', 'H5'])
    expect(tables.joint[0]!.brief).toMatchObject({ loads: ['peel', 'flex'], inServiceBy: null })
    expect(tables.procedure.length).toBe(demo.procedure.filter(({ joint }) => joint.startsWith('h')).length)
    for (const name of ['coupon', 'reading', 'decision', 'cureCheck', 'scrap', 'said', 'maker'] as const)
      expect(tables[name]).toEqual([])
    expect(tables.round.every(({ hunch, number }) => hunch === null && number === 1)).toBe(true)
    expect(tables.round[0]!.arms[0]!.passLimit).toBe(demo.round[0]!.arms[0]!.passLimit)
    expect(tables.houseRule).toHaveLength(demo.houseRule.length)
  })

  it('has ids of its own, everywhere that they are named, and hangs together', () => {
    const tables = made()
    const old = new Set(tableNames.flatMap((name) => demo[name].map(({ id }) => id)))
    for (const name of tableNames)
      for (const { id } of tables[name]) if (name !== 'bench') expect(old.has(id)).toBe(false)
    expect(danglingRows(tables)).toEqual([])
    const there = new Set(tables.procedure.map(({ id }) => id))
    for (const round of tables.round) {
      for (const id of round.procedures) expect(there.has(id)).toBe(true)
      if (round.control) expect(there.has(round.control)).toBe(true)
    }
    const materials = new Set(tables.material.map(({ id }) => id))
    expect(materials.has(tables.joint[0]!.brief.a.material!)).toBe(true)
    expect(readBenchFile(writeBenchFile(tables, NOW)).aside).toEqual([])
  })

  it('leaves what other makers brought behind', () => {
    const tables = made()
    expect(tables.build).toHaveLength(1)
    expect(tables.adhesive.map(({ name }) => name)).not.toContain('White contact, jar')
    expect(tables.stock.length).toBe(demo.stock.filter(({ id }) => !id.startsWith('mill')).length)
  })
})

import { describe, expect, it } from 'vitest'
import { CodedError } from '../errors'
import { sayError } from '../messages'
import { emptyBench } from '../records/emptyBench'
import { openBrief } from '../records/openBrief'
import { noTables, type Tables } from '../records/tables'
import { BENCH_VERSION } from '../records/version'
import { readBenchFile, writeBenchFile } from './benchFile'
import { asideWords } from './salvage'

const tables: Tables = {
  ...noTables(),
  bench: [emptyBench('b1', 'Lantern bench', 5)],
  build: [{ id: 'bu', name: 'Heron', inServiceBy: '2026-12-12', budget: 60, what: '' }],
  joint: [{ id: 'j1', build: 'bu', code: 'H1', name: 'Rib to cloth', createdAt: 5, brief: openBrief() }],
}
const text = writeBenchFile(tables, 9)
const failure = (file: string) => {
  try {
    readBenchFile(file)
  } catch (error) {
    return error as CodedError
  }
  throw new Error('expected an error')
}
const edited = (edit: (file: { version: number; tables: Record<string, Record<string, unknown>[]> }) => void) => {
  const file = JSON.parse(text)
  edit(file)
  return JSON.stringify(file)
}

describe('the bench file', () => {
  it('comes back as it went out', () =>
    expect(readBenchFile(text)).toEqual({ tables, savedAt: 9, migratedFrom: null, aside: [] }))

  it('refuses a newer version and leaves it untouched', () => {
    const error = failure(edited((file) => (file.version = BENCH_VERSION + 1)))
    expect(error.code).toBe('newer-version')
    expect(sayError(error)).toContain(`has version ${BENCH_VERSION + 1}; this app knows up to ${BENCH_VERSION}`)
  })

  it.each([
    ['not JSON', 'hello', 'not-a-bench-file'],
    ['another JSON', '{"a":1}', 'not-a-bench-file'],
    ['cut off', text.slice(0, 300), 'damaged'],
    ['no tables', '{"format":"paste-bench","version":2}', 'damaged'],
  ])('refuses %s', (_, file, code) => expect(failure(file).code).toBe(code))

  it('names the place where a file is damaged as a whole', () => {
    expect(failure(edited((file) => file.tables['build']!.push(file.tables['build']![0]!))).path).toBe(
      'tables.build.1.id',
    )
    expect(failure(edited((file) => (file.tables['bench']![0]!['name'] = ''))).path).toBe('tables.bench.0.name')
    expect(failure(edited((file) => (file.tables['bench'] = []))).path).toBe('tables.bench')
    expect(failure(edited((file) => ((file.tables as Record<string, unknown>)['coupon'] = 'x'))).path).toBe(
      'tables.coupon',
    )
    expect(failure(edited((file) => delete file.tables['coupon'])).path).toBe('tables.coupon')
  })

  it('sets single bad rows aside, with what hangs on them, and names each', () => {
    const file = edited(({ tables: { joint, offcut, material } }) => {
      joint!.push({ ...joint![0]!, id: 'j2', code: 7 }, { ...joint![0]!, id: 'j3', build: 'gone' })
      material!.push({ id: 'm1', name: 'Own', classId: 'no-such-class', thicknessMm: null, note: '' })
      offcut!.push({ id: 'o1', material: 'card', widthMm: 1e30, heightMm: 5, count: 1, note: '' })
    })
    const { tables: read, aside } = readBenchFile(file)
    expect(read.joint.map(({ id }) => id)).toEqual(['j1'])
    expect(read.material).toEqual([])
    expect(aside.map(({ place }) => place)).toEqual([
      'tables.joint.1.code',
      'tables.offcut.0.widthMm',
      'tables.joint.2.build',
      'tables.material.0.classId',
    ])
    expect(asideWords(aside[2]!)).toBe(
      'joint j3 (tables.joint.2.build): it points to “gone”, which is not in the file or was set aside',
    )
    const hanging = readBenchFile(
      edited((one) => {
        one.tables['procedure'] = [{ id: 'p1', joint: 'j1', letter: 'a' }]
        one.tables['decision'] = []
        one.tables['cureCheck'] = [{ id: 'k1', coupon: 'c1', at: 1, state: 'firm' }]
      }),
    )
    expect(hanging.aside.map(({ table }) => table)).toEqual(['procedure', 'cureCheck'])
  })

  it('leaves a word of a brief open that cannot be read, and keeps the joint', () => {
    const { tables: read, aside } = readBenchFile(
      edited((file) => {
        const brief = file.tables['joint']![0]!['brief'] as Record<string, unknown>
        Object.assign(brief, { heatC: 'hot', geometry: 'knot', a: { ...(brief['a'] as object), thicknessMm: -2 } })
      }),
    )
    expect(read.joint[0]!.brief).toEqual(openBrief())
    expect(aside.map(({ place }) => place).sort()).toEqual([
      'tables.joint.0.brief.a.thicknessMm',
      'tables.joint.0.brief.geometry',
      'tables.joint.0.brief.heatC',
    ])
  })

  it('takes version 3 as it is: only a size and a price that are not known are new', () => {
    const { tables, migratedFrom } = readBenchFile(edited((file) => void (file.version = 3)))
    expect(migratedFrom).toBe(3)
    const unknown = readBenchFile(
      edited((file) => Object.assign(file.tables['adhesive']?.[0] ?? {}, { packSize: null, packPrice: null })),
    )
    expect(unknown.aside).toEqual([])
    expect(unknown.tables.adhesive.length).toBe(tables.adhesive.length)
  })
  it('migrates version 1: the pack’s dates move out of the adhesive', () => {
    const glue = {
      id: 'g1',
      name: 'Thin instant, 20 g',
      family: 'ca-thin',
      packSize: 20,
      packUnit: 'g',
      packPrice: 6,
      label: {},
      note: '',
    }
    const old = edited((file) => {
      file.version = 1
      delete file.tables['stock']
      file.tables['adhesive'] = [
        { ...glue, openedOn: '2025-12-20', expiresOn: null },
        { ...glue, id: 'g2', name: 'Thick instant, 20 g', openedOn: null, expiresOn: null },
      ]
    })
    const read = readBenchFile(old)
    expect(read.migratedFrom).toBe(1)
    expect(read.tables.adhesive).toEqual([
      { ...glue, aliases: [] },
      { ...glue, id: 'g2', name: 'Thick instant, 20 g', aliases: [] },
    ])
    expect(read.tables.stock).toEqual([
      { id: 'g1-pack', adhesive: 'g1', batch: '', boughtOn: null, openedOn: '2025-12-20', expiresOn: null, left: 1 },
    ])
  })

  it(
    'migrates version 2: new words of the brief are open, a product has no other names, rules of the house have ' +
      'a table',
    () => {
      const old = edited((file) => {
        file.version = 2
        delete file.tables['houseRule']
        const brief = file.tables['joint']![0]!['brief'] as Record<string, unknown>
        for (const word of Object.keys(brief))
          if (
            [
              'edgeMm',
              'fit',
              'curveMm',
              'leverMm',
              'flexDeg',
              'bendRadiusMm',
              'sun',
              'boxed',
              'undo',
              'repositionS',
              'canClamp',
              'reach',
              'inShell',
              'roomM3',
              'heatNear',
              'stakes',
              'readyH',
              'handledBy',
              'perEvening',
            ].includes(word)
          )
            delete brief[word]
        brief['a'] = { material: 'card', thicknessMm: 1, state: 'clean' }
        brief['gapMm'] = 0.5
        file.tables['adhesive'] = [
          {
            id: 'g1',
            name: 'Tin',
            family: 'contact-solvent',
            packSize: 250,
            packUnit: 'ml',
            packPrice: 9,
            label: {},
            note: '',
          },
        ]
        file.tables['procedure'] = [
          {
            id: 'p1',
            joint: 'j1',
            letter: 'A',
            name: 'x',
            family: 'ca-gel',
            adhesive: null,
            helpers: [],
            anyway: false,
            coats: 1,
            spreadGm2: null,
            steps: [],
          },
        ]
        file.tables['round'] = [
          {
            id: 'r1',
            joint: 'j1',
            number: 1,
            test: 'lap-shear',
            size: { widthMm: 25, overlapMm: 12 },
            procedures: ['p1'],
            blocks: 1,
            seed: 4,
            order: 'shuffled',
            passLimit: 0.3,
            passSetAt: 7,
            plannedAt: 6,
          },
        ]
        file.tables['coupon'] = [
          {
            id: 'c1',
            round: 'r1',
            procedure: 'p1',
            block: 1,
            label: 'H1-A1',
            glueAt: 0,
            pullAt: 0,
            size: {},
            stamps: [],
            deviations: [],
          },
        ]
        file.tables['stock'] = [{ id: 's1', adhesive: 'g1', batch: 'x', openedOn: null, expiresOn: null, left: 1 }]
      })
      const { tables: read, migratedFrom } = readBenchFile(old)
      expect(migratedFrom).toBe(2)
      expect(read.round[0]).toMatchObject({
        arms: [
          {
            id: 'a1',
            test: 'lap-shear',
            exposure: null,
            size: { widthMm: 25, overlapMm: 12 },
            passLimit: 0.3,
            passSetAt: 7,
            lateChanges: [],
          },
        ],
        hunch: null,
        control: null,
      })
      expect(read.coupon[0]!.arm).toBe('a1')
      expect(read.joint[0]!.brief).toEqual({
        ...openBrief(),
        gapMm: 0.5,
        a: { material: 'card', thicknessMm: 1, state: 'clean', traits: null },
      })
      expect(read.adhesive[0]!.aliases).toEqual([])
      expect(read.stock[0]!.boughtOn).toBeNull()
      expect(read.houseRule).toEqual([])
    },
  )
})

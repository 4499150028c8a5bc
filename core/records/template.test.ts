import { describe, expect, it } from 'vitest'
import { emptyBench } from './emptyBench'
import { openBrief } from './openBrief'
import { noTables, tableNames, type Tables } from './tables'
import { templateOf } from './template'

const NOW = 1_800_000_000_000
/** A bench on which things happened, and another maker's beside it. */
function worked(): Tables {
  const brief = openBrief()
  const joint = (id: string, build: string) => ({
    id,
    build,
    code: 'H1',
    name: 'Rib',
    createdAt: 5,
    brief: {
      ...brief,
      a: { ...brief.a, material: 'm1' },
      b: { ...brief.b, material: 'cotton' },
      inServiceBy: '2026-12-12',
      handledBy: 9,
      weightKg: 2,
    },
  })
  const round = (id: string, number: number, of = 'j1') => ({
    id,
    joint: of,
    number,
    procedures: of === 'j1' ? ['p1', 'p2'] : ['q1'],
    control: of === 'j1' ? 'p2' : null,
    hunch: { order: ['p1', 'p2'], sealedAt: 4 },
    weights: number === 2 ? { values: { strength: 3 }, setAt: 4, changedLate: 6 } : undefined,
    timetable: { notBefore: [], pullFrom: null },
    arms: [
      { id: 'dry', passLimit: 1.5, passSetAt: 3, lateChanges: [{ at: 4 }] },
      { id: 'wet', passLimit: null, passSetAt: null, lateChanges: [] },
    ],
    plannedAt: 3,
  })
  return {
    ...noTables(),
    bench: [
      {
        ...emptyBench('me', 'Heron bench', 1),
        currency: '€',
        ratePerHour: 12,
        room: { tempC: 17, rh: 58, at: 2 },
        shop: { weekly: [], exceptions: [{ day: '2026-12-01', spans: [] }], hands: 2, clamp: 8 },
      },
    ],
    build: [
      { id: 'b1', name: 'Heron', inServiceBy: '2026-12-12', budget: 60, what: 'a lantern' },
      { id: 'b2', name: 'Theirs', inServiceBy: null, budget: null, what: '', owner: 'them' },
    ],
    material: [{ id: 'm1', name: 'Red cloth' }],
    adhesive: [
      { id: 'g1', name: 'Tin' },
      { id: 'g2', name: 'Theirs', owner: 'them' },
    ],
    stock: [
      { id: 's1', adhesive: 'g1' },
      { id: 's2', adhesive: 'g2' },
    ],
    offcut: [{ id: 'o1', material: 'm1' }],
    houseRule: [{ id: 'h1', name: 'None indoors', adhesive: 'g1', material: null }],
    joint: [joint('j1', 'b1'), joint('j9', 'b2')],
    procedure: [
      { id: 'p1', joint: 'j1', adhesive: 'g1', second: { adhesive: 'g1', role: 'rim' } },
      { id: 'p2', joint: 'j1', adhesive: null, second: null },
      { id: 'q1', joint: 'j9', adhesive: 'g2', second: null },
    ],
    round: [round('r2', 2), round('r1', 1), round('r9', 1, 'j9')],
    coupon: [{ id: 'c1', round: 'r2' }],
    reading: [{ id: 'x1', coupon: 'c1' }],
    decision: [{ id: 'd1', joint: 'j1', round: 'r2' }],
  } as unknown as Tables
}
function made(from = worked()) {
  let n = 0
  return templateOf(from, 'Second heron', () => `new ${++n}`, NOW)
}

describe('a build as a pattern for the next one', () => {
  it('has shelf, joints, procedures and tests, and nothing that was glued, pulled or decided', () => {
    const to = made()
    const counts = Object.fromEntries(tableNames.map((name) => [name, to[name].length]))
    expect(counts).toMatchObject({ build: 1, material: 1, adhesive: 1, stock: 1, offcut: 1, houseRule: 1, joint: 1 })
    expect(counts).toMatchObject({ procedure: 2, round: 1, coupon: 0, reading: 0, decision: 0 })
  })

  it('has no id of the other, and what pointed to something points to its copy', () => {
    const from = worked()
    const to = made(from)
    const old = new Set(tableNames.flatMap((name) => from[name].map(({ id }) => id)))
    for (const name of tableNames) for (const { id } of to[name]) expect(old.has(id), `${name} ${id}`).toBe(false)
    const [build, material, glue, joint, round] = [
      to.build[0]!,
      to.material[0]!,
      to.adhesive[0]!,
      to.joint[0]!,
      to.round[0]!,
    ]
    expect(joint.build).toBe(build.id)
    expect(joint.brief.a.material).toBe(material.id)
    expect(joint.brief.b.material).toBe('cotton')
    expect(to.stock[0]!.adhesive).toBe(glue.id)
    expect(to.offcut[0]!.material).toBe(material.id)
    expect(to.houseRule[0]).toMatchObject({ adhesive: glue.id, material: null })
    const [first, second] = to.procedure
    expect(first).toMatchObject({ joint: joint.id, adhesive: glue.id, second: { adhesive: glue.id, role: 'rim' } })
    expect(second).toMatchObject({ joint: joint.id, adhesive: null, second: null })
    expect(round).toMatchObject({ joint: joint.id, procedures: [first!.id, second!.id], control: second!.id })
  })

  it('keeps what the bench reads with and forgets its days', () => {
    const { bench, build, joint } = made()
    expect(bench[0]).toMatchObject({
      name: 'Second heron',
      createdAt: NOW,
      currency: '€',
      ratePerHour: 12,
      maker: 'me',
    })
    expect(bench[0]!.room?.tempC).toBe(17)
    expect(bench[0]!.shop).toMatchObject({ hands: 2, clamp: 8, exceptions: [] })
    expect(build[0]).toMatchObject({ name: 'Second heron', inServiceBy: null, budget: 60, what: 'a lantern' })
    expect(joint[0]!.createdAt).toBe(NOW)
    expect(joint[0]!.brief).toMatchObject({ inServiceBy: null, handledBy: null, weightKg: 2 })
  })

  it('takes the last round of a joint as a first draft: limits count as set now, nothing is sealed or late', () => {
    const [round] = made().round
    expect(round).toMatchObject({ number: 1, hunch: null, plannedAt: NOW })
    expect(round!.timetable).toBeUndefined()
    expect(round!.weights).toMatchObject({ values: { strength: 3 }, setAt: NOW, changedLate: null })
    const [dry, wet] = round!.arms
    expect(dry).toMatchObject({ passLimit: 1.5, passSetAt: NOW, lateChanges: [] })
    expect(wet).toMatchObject({ passLimit: null, passSetAt: null })
  })

  it('belongs to the same maker where the bench is a copy itself', () => {
    const from = worked()
    from.bench[0] = { ...from.bench[0]!, maker: 'first' }
    expect(made(from).bench[0]!.maker).toBe('first')
  })
})

import { bruteForce } from '../core/statistics/__tests__/bruteForce'
import { emptyBench } from '../core/records/emptyBench'
import { openBrief } from '../core/records/openBrief'
import { insert } from '../core/records/entry'
import type { Reading } from '../core/records/reading'
import { noTables, type Tables } from '../core/records/tables'
import { nest } from '../core/coupons/nest'
import { cutList } from '../core/coupons/pieces'
import { families, familyOf } from '../core/knowledge/families'
import { fairness } from '../core/planning/fairness'
import { needsOf } from '../core/planning/needs'
import { usualSteps } from '../core/planning/draft/usual'
import type { Arm } from '../core/records/round'
import type { Procedure } from '../core/records/procedure'
import { materialClassOf } from '../core/knowledge/materials'
import { seededRandom, normalDraw } from '../core/planning/random'
import type { ModelReading } from '../core/statistics/data'
import { openWordsByEffect } from '../core/screening/openWords'
import { screen } from '../core/screening/screen'
import { helpersThatHelp, shortlist } from '../core/screening/shortlist'
import { situationOf } from '../core/situation/situation'
import { newId } from '../app/bench/ids'
import { Ledger } from '../app/bench/ledger'
import { browserCells } from '../app/storage/browserCells'
import { dropDatabase } from '../app/storage/databases'
import { BenchStorage } from '../app/bench/storage'
import { benchWorker } from '../app/workers/client'

const say = (text: string) => console.log(text)
const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!
async function timed(run: () => unknown): Promise<number> {
  const start = performance.now()
  await run()
  return performance.now() - start
}
const plain = { now: () => Date.now(), newId, announce: () => {} }

async function analysis() {
  const random = seededRandom(12)
  const readings: ModelReading[] = Array.from({ length: 96 }, (_, i) => {
    const procedure = `P${i % 8}`
    const value = Math.exp((i % 8) * 0.1 + 0.25 * normalDraw(random))
    return random() < 0.25
      ? { procedure, kind: 'atLeast', low: value }
      : random() < 0.15
        ? { procedure, kind: 'between', low: 0.9 * value, high: 1.1 * value }
        : { procedure, kind: 'exact', value }
  })
  const client = benchWorker()
  const ask = () => client.analyse({ required: 0.8, readings, ratios: [['P7', 'P0']] })
  await ask()
  const ours = median(
    await Promise.all([0, 1, 2].map(() => timed(ask))).then(async () => [
      await timed(ask),
      await timed(ask),
      await timed(ask),
    ]),
  )
  // A naive grid of the same accuracy: 0.5 % on quantiles wants steps of about 0.005 in ln strength.
  const naive = await timed(() =>
    bruteForce(readings, { sFrom: -3, sTo: 0.5, sSteps: 60, muFrom: -4, muTo: 5, muSteps: 1800 }),
  )
  say(
    `analysis of 8 procedures × 12 readings in the worker: naive grid takes ${(naive / ours).toFixed(1)} times as long`,
  )
}

function benchOf(count: number): Tables {
  const reading = (i: number): Reading => ({
    id: `r${i}`,
    coupon: `c${i}`,
    at: i,
    raw: { way: 'gauge', value: 9 + (i % 7), unit: 'kgf', tareKg: 0 },
    outcome: { end: 'broke', places: { tornA: 0, offA: 0, glue: 100, offB: 0, tornB: 0 } },
    size: { widthMm: 25, overlapMm: 12 },
    early: null,
    note: '',
    setAside: null,
    corrected: [],
  })
  const joints = Array.from({ length: 20 }, (_, i) => ({
    id: `j${i}`,
    build: 'b',
    code: `B${i + 1}`,
    name: `Joint ${i}`,
    createdAt: 0,
    brief: openBrief(),
  }))
  const procedure = (i: number) => ({
    id: `p${i}`,
    joint: `j${i % 20}`,
    letter: 'ABCDEFGHIJ'[Math.floor(i / 20)]!,
    name: `Glue ${i}`,
    family: 'ca-gel',
    adhesive: null,
    helpers: [],
    anyway: false,
    coats: 1,
    spreadGm2: null,
    dilution: null,
    blend: null,
    steps: [],
  })
  const coupon = (i: number) => ({
    id: `c${i}`,
    round: `r${i % 20}`,
    arm: 'a1',
    procedure: `p${i % 200}`,
    block: 1,
    label: `B1-A${i + 1}`,
    glueAt: i,
    pullAt: i,
    size: {},
    stamps: [],
    deviations: [],
  })
  return {
    ...noTables(),
    bench: [emptyBench('x', 'Big', 0)],
    build: [{ id: 'b', name: 'Big', inServiceBy: null, budget: null, what: '' }],
    joint: joints,
    procedure: Array.from({ length: 200 }, (_, i) => procedure(i)),
    coupon: Array.from({ length: count + 160 }, (_, i) => coupon(i)),
    reading: Array.from({ length: count }, (_, i) => reading(i)),
  }
}

async function saving() {
  const perSave: number[] = []
  let open = 0
  let openSmall = 0
  for (const count of [10, 10_000]) {
    const id = `benchmark-${count}-${newId()}`
    const storage = new BenchStorage(browserCells(id, 'ledger', true))
    await new Ledger(storage, plain).start(benchOf(count))
    const ledger = new Ledger(storage, plain)
    const took = await timed(() => ledger.open())
    if (count === 10) openSmall = took
    else open = took
    const one = ledger.records.all('reading')[0]!
    const pull = (reading: string, coupon: number): Reading => ({ ...one, id: reading, coupon: `c${coupon}` })
    // The first writes warm the database up.
    for (let i = 0; i < 40; i++) await ledger.commit('Pull', [insert('reading', pull(`warm${i}`, count + i))])
    const times: number[] = []
    for (let i = 0; i < 120; i++)
      times.push(await timed(() => ledger.commit('Pull', [insert('reading', pull(`new${i}`, count + 40 + i))])))
    perSave.push(median(times))
    storage.close()
    await dropDatabase(id)
  }
  say(
    `saving one reading: at 10,000 readings ${(perSave[1]! / perSave[0]!).toFixed(2)} times the time at 10 ` +
      '(wanted: below 1.5)',
  )
  say(
    `opening a bench of 20 joints, 200 procedures, 10,000 readings: ${(open / openSmall).toFixed(1)} times an ` +
      `empty one (${open.toFixed(0)} ms here)`,
  )
}

function screening() {
  const brief = {
    ...openBrief(),
    geometry: 'lap' as const,
    widthMm: 60,
    lengthMm: 60,
    loads: ['peel' as const],
    heatC: 50,
    water: 'wash' as const,
    weightKg: 1,
    gapMm: 0.2,
    count: 12,
  }
  const [a, b] = [materialClassOf('foam-eva'), materialClassOf('print-pla')]
  const setting = {
    brief,
    a,
    b,
    room: null,
    now: 0,
    adhesives: [],
    stock: [],
    houseRules: [],
    evidence: [],
    scraps: [],
    classOf: (id: string) => id,
    currency: 'EUR',
  }
  const each = (run: () => unknown, times = 200) => {
    for (let i = 0; i < 50; i++) run()
    const start = performance.now()
    for (let i = 0; i < times; i++) run()
    return (performance.now() - start) / times
  }
  const bare = each(() => families.map((family) => screen(situationOf(brief, a, b, family))))
  const list = each(() => shortlist(setting))
  say(`screening all ${families.length} families for one brief: ${(bare / 20).toFixed(3)} of the 20 ms allowed`)
  say(`the whole shortlist, house rules, evidence and order: ${(list / 20).toFixed(3)} of the 20 ms allowed`)
  const whole = each(() => shortlist(setting).map((one) => helpersThatHelp(one, setting)))
  say(`all glues and their variants with helpers: ${(whole / 20).toFixed(3)} of the 20 ms allowed`)
  say(
    'counting what each open word would move, in the worker: ' +
      `${(each(() => openWordsByEffect(brief, a, b), 5) / bare).toFixed(0)} screenings`,
  )
}

function planning() {
  const procedure = (i: number): Procedure => ({
    id: `p${i}`,
    joint: 'j',
    letter: 'ABCDEF'[i]!,
    name: `Glue ${i}`,
    family: ['ca-gel', 'hotmelt-high', 'pu-clear', 'epoxy-slow', 'mma', 'contact-solvent'][i]!,
    adhesive: null,
    helpers: [],
    anyway: false,
    coats: 1,
    spreadGm2: null,
    dilution: null,
    blend: null,
    steps: usualSteps(
      familyOf(['ca-gel', 'hotmelt-high', 'pu-clear', 'epoxy-slow', 'mma', 'contact-solvent'][i]!),
      null,
      null,
    ),
  })
  const procedures = [0, 1, 2, 3, 4, 5].map(procedure)
  const arm = (id: string, test: Arm['test']): Arm => ({
    id,
    test,
    exposure: null,
    size: { widthMm: 25, overlapMm: 12 },
    passLimit: 0.1,
    passSetAt: 0,
    lateChanges: [],
  })
  const arms = [arm('a1', 'lap-shear'), arm('a2', 'lap-shear'), arm('a3', 't-peel')]
  const of = (one: Procedure) => familyOf(one.family)
  const run = () => {
    fairness(
      { arms, procedures, blocks: 5, order: 'shuffled', control: 'p0' },
      {
        brief: openBrief(),
        a: 'print-pla',
        b: 'wood',
        gauge: { limitN: 490, resolutionN: 0.5 },
        familyOf: of,
        packDaysLeft: () => null,
        now: 0,
      },
    )
    needsOf(
      procedures.map((one) => ({ procedure: one, family: of(one), product: null, left: null })),
      arms,
      5,
    )
  }
  run()
  let start = performance.now()
  for (let i = 0; i < 50; i++) run()
  say(
    `a plan of 6 × 3 × 5, its fairness and needs: ${((performance.now() - start) / 50 / 100).toFixed(4)} of ` +
      'the 100 ms allowed without progress',
  )
  const lines = cutList(arms, 30).filter(({ side }) => side === 'a')
  start = performance.now()
  const { waste, sheets } = nest(lines, [{ widthMm: 190, heightMm: 260, count: null }], 1.5, true)
  say(
    `its cut list nested: ${((performance.now() - start) / 100).toFixed(3)} of the 100 ms; ${sheets.length} ` +
      `sheets, ${Math.round(waste * 100)} % left over`,
  )
}

/** A photo of 1600 × 1200 with four colours, in the worker: against the 1.5 s that a maker waits for it. */
async function photo() {
  const [width, height] = [1600, 1200]
  const random = seededRandom(4)
  const faces = [230, 150, 70, 25]
  const data = Uint8ClampedArray.from({ length: width * height * 4 }, (_, i) => {
    const x = (i >> 2) % width
    return faces[Math.floor((4 * x) / width)]! * (1 - (0.2 * x) / width) + 8 * (random() - 0.5)
  })
  const outline: [number, number][] = [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ]
  const ask = () => benchWorker().photo({ picture: { width, height, data, bytes: 4 }, straighten: null, outline, k: 4 })
  const took = median([await timed(ask), await timed(ask), await timed(ask)])
  say(`a photo of ${width} × ${height}, four colours: ${(took / 1500).toFixed(2)} of the 1.5 s allowed`)
}

await analysis()
await photo()
await saving()
screening()
planning()
document.body.dataset['done'] = 'yes'

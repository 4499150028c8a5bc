import { materialClassOf } from '../core/knowledge/materials'
import { curedFrom, stampsFor, tasksOf } from '../core/planning/gluing'
import { couponsOf } from '../core/planning/coupons'
import { newArm } from '../core/planning/newArm'
import { seededRandom, type Random } from '../core/planning/random'
import { STANDARD_GRAVITY } from '../core/quantities/units'
import { emptyBench } from '../core/records/emptyBench'
import type { Brief, Joint } from '../core/records/joint'
import { openBrief } from '../core/records/openBrief'
import type { Raw, Reading } from '../core/records/reading'
import type { Round } from '../core/records/round'
import type { Decision } from '../core/records/decision'
import type { Coupon } from '../core/records/coupon'
import type { Procedure, Step } from '../core/records/procedure'
import { noTables, type Tables } from '../core/records/tables'
import { build as heron, glues, houseRules, offcuts, ownMaterials, scrap } from './scenario'
import { hearsay, otherMaker } from './otherMaker'
import { joints, type DemoJoint } from './joints'
import { simulatePull } from './simulator'
import workedOut from './worked.json'
import { dayOf } from '../core/quantities/days'

/**
 * What the app works out of the scenario: the steps that the advice drafts for its glues, and what the pulls of its
 * decided joint say. Made by demo/working.ts (`npm run demo-worked`) with the app's functions, and kept, so that the
 * first page need not load rules and statistics; a test compares.
 */
export interface Worked {
  steps: Readonly<Record<string, Step[]>>
  decisions: Readonly<Record<string, Pick<Decision, 'procedure' | 'known'>>>
}
const worked = workedOut as unknown as Worked
export const procedureId = ({ code }: DemoJoint, glue: string): string => `${code.toLowerCase()}-${glue}`

const HOUR = 3_600_000

/**
 * The demo bench: the scenario's joints in a natural state, built from a seed through the same records and functions as
 * a maker's own. Times run relative to now, so that timers are alive whenever it is opened.
 */
export function buildDemoBench(now: number, seed = 20261212): Tables {
  const random = seededRandom(seed)
  const tables = demoShelf(now)
  joints.forEach((scene, i) => {
    // How the gluing went hangs on the hour; what the pieces hold does not: the decision rests on the same readings.
    const chance = { gluing: seededRandom(seed + 1 + i), pulls: seededRandom(seed + 1120 + i) }
    addJoint(tables, scene, now, chance, now - (12 - i) * 24 * HOUR)
  })
  addOther(tables, now, seed + 400)
  tables.cureCheck.push(...cureChecks(tables, random, now))
  const { joint, rule, adhesive, family, laidHoursAgo, lookedAfterMin } = scrap
  const { a, b } = tables.joint.find(({ id }) => id === joint)!.brief
  const startedAt = now - laidHoursAgo * HOUR
  tables.scrap.push({
    id: 'drop',
    joint,
    rule,
    adhesive,
    family,
    sides: [a, b].map(({ material, state }) => ({ material, state })),
    startedAt,
    looks: [{ at: startedAt + lookedAfterMin * 60_000, saw: 'nothing' }],
  })
  return tables
}

/** The bench before anything is asked: its room, hands, shelf and build. */
export function demoShelf(now: number): Tables {
  const tables: Tables = {
    ...noTables(),
    bench: [
      {
        ...emptyBench('demo', 'Lantern heron', now - 20 * 24 * HOUR, 'demo'),
        room: { tempC: 17, rh: 58, at: now - HOUR },
      },
    ],
  }
  tables.bench[0]!.currency = '€'
  tables.bench[0]!.hands = {
    'shaken-off': [2.1, 2.9, 2.4],
    'one-finger': [11, 14, 12.5, 15],
    'one-hand': [48, 61, 55, 52],
    'two-hands': [],
  }
  tables.build.push({
    id: 'heron',
    name: heron.name,
    what: heron.what,
    budget: heron.budget,
    inServiceBy: dayOf(now + 18 * 24 * HOUR),
  })
  addGlues(tables, glues, now)
  for (const { key, ...material } of ownMaterials) tables.material.push({ id: key, ...material })
  for (const offcut of offcuts) tables.offcut.push({ ...offcut, note: '' })
  for (const { key, lookAgainInDays, ...rule } of houseRules)
    tables.houseRule.push({
      id: key,
      family: null,
      adhesive: null,
      material: null,
      ...rule,
      since: now - 15 * 24 * HOUR,
      lookAgainOn: dayOf(now + lookAgainInDays * 24 * HOUR),
    })
  return tables
}

function addGlues(tables: Tables, shelf: typeof glues, now: number, owner?: string): void {
  for (const { key, openedDaysAgo, left, label, aliases, ...glue } of shelf) {
    const whose = owner === undefined ? {} : { owner }
    tables.adhesive.push({ id: key, ...whose, ...glue, aliases: aliases ?? [], label: label ?? {}, note: '' })
    tables.stock.push({
      id: `${key}-pack`,
      adhesive: key,
      batch: '',
      boughtOn: openedDaysAgo === null ? null : dayOf(now - (openedDaysAgo + 6) * 24 * HOUR),
      openedOn: openedDaysAgo === null ? null : dayOf(now - openedDaysAgo * 24 * HOUR),
      expiresOn: null,
      left,
    })
  }
}

/** Another maker's build with its pulls, as it stands here after their bench was put to this one; what was said. */
function addOther(tables: Tables, now: number, seed: number): void {
  const { id: owner, name, gauge, build: theirs, glues: shelf, joints: scenes } = otherMaker
  tables.maker.push({ id: owner, name, gauge, at: now - 6 * 24 * HOUR })
  tables.build.push({ ...theirs, owner, budget: null, inServiceBy: null })
  addGlues(tables, shelf, now, owner)
  const before = tables.reading.length
  for (const scene of scenes) {
    const chance = { gluing: seededRandom(seed), pulls: seededRandom(seed + 1) }
    addJoint(tables, scene, now, chance, now - 40 * 24 * HOUR, theirs.id)
  }
  tables.reading = tables.reading.map((reading, i) => (i < before ? reading : { ...reading, owner }))
  for (const { key, daysAgo, ...said } of hearsay)
    tables.said.push({ id: key, ...said, adhesive: null, at: now - daysAgo * 24 * HOUR, lookAgainOn: null })
}

export function briefOf(scene: DemoJoint, inServiceBy: string | null): Brief {
  const { aThicknessMm = null, bThicknessMm = null, aState = null, bState = null, ...rest } = scene.brief
  return {
    ...openBrief(),
    ...rest,
    inServiceBy,
    a: { material: scene.a, thicknessMm: aThicknessMm, state: aState, traits: [] },
    b: { material: scene.b, thicknessMm: bThicknessMm, state: bState, traits: [] },
  }
}

export const classOf = (tables: Tables, material: string): string =>
  tables.material.find(({ id }) => id === material)?.classId ?? material

function addJoint(
  tables: Tables,
  scene: DemoJoint,
  now: number,
  chance: { gluing: Random; pulls: Random },
  createdAt: number,
  build = 'heron',
): void {
  const id = scene.code.toLowerCase()
  const joint: Joint = {
    id,
    build,
    code: scene.code,
    name: scene.name,
    createdAt,
    brief: briefOf(scene, tables.build[0]!.inServiceBy),
  }
  tables.joint.push(joint)
  const [a, b] = [materialClassOf(classOf(tables, scene.a)), materialClassOf(classOf(tables, scene.b))]
  const procedures = scene.glues.map((key, i): Procedure => {
    const product = tables.adhesive.find((adhesive) => adhesive.id === key)!
    const steps = worked.steps[procedureId(scene, key)] ?? []
    return {
      id: procedureId(scene, key),
      joint: id,
      letter: 'ABCDEFGH'[i]!,
      name: product.name,
      family: product.family,
      adhesive: key,
      helpers: [],
      anyway: false,
      coats: steps.some(({ kind }) => kind === 'coat') ? 2 : 1,
      spreadGm2: null,
      dilution: null,
      blend: null,
      steps,
    }
  })
  tables.procedure.push(...procedures)
  if (!scene.round) return
  const gluedAt = now - scene.gluedHoursAgo * HOUR
  const round: Round = {
    id: `${id}-r1`,
    joint: id,
    number: 1,
    procedures: procedures.map((procedure) => procedure.id),
    blocks: scene.round.blocks,
    seed: scene.round.seed,
    order: 'shuffled',
    arms: [{ ...newArm(joint.brief, 'a1', scene.round.test, gluedAt - HOUR), size: scene.round.size }],
    control: procedures[0]!.id,
    hunch: scene.hunch ? { order: scene.hunch.map((key) => procedureId(scene, key)), at: gluedAt - HOUR / 2 } : null,
    weights: null,
    plannedAt: gluedAt - HOUR,
  }
  tables.round.push(round)
  const coupons = glueUp(
    couponsOf(joint.code, round, procedures, (label) => label.toLowerCase()),
    procedures,
    gluedAt,
    now,
    chance.gluing,
  )
  tables.coupon.push(...coupons)
  if (scene.state === 'gluing') return
  const readings = pullAll(scene, round, coupons, procedures, [a.id, b.id], now, chance.pulls)
  tables.reading.push(...readings)
  if (scene.state === 'decided')
    tables.decision.push(...[decide(joint, round, readings, scene.reason ?? '')].filter((one) => one !== null))
}

/** Works through the tasks as the app shows them, a step after the other, until all are glued or now is reached. */
function glueUp(
  coupons: Coupon[],
  procedures: readonly Procedure[],
  from: number,
  now: number,
  random: Random,
): Coupon[] {
  const list = coupons.map((coupon) => ({ ...coupon }))
  for (let at = from; ;) {
    const task = tasksOf(list, procedures, at)[0]
    if (!task) break
    if (task.readyAt > at) at = task.readyAt + 5_000 + random() * 40_000
    if (at >= now) break
    const coupon = list.find(({ id }) => id === task.coupon.id)!
    const { adhesive } = procedures.find(({ id }) => id === coupon.procedure)!
    const stock = task.step.kind === 'apply' ? { stock: `${adhesive}-pack` } : {}
    coupon.stamps = [...coupon.stamps, ...stampsFor(task, Math.round(at)).map((stamp) => ({ ...stamp, ...stock }))]
    if (task.step.kind === 'clamp' && random() < 0.06)
      coupon.deviations = [{ at: Math.round(at), text: 'clamp slipped a little, set again' }]
    at += 25_000 + random() * 50_000
  }
  return list
}

/** Pulls in the planned order once all are cured; half of them when the session is still going on. */
function pullAll(
  scene: DemoJoint,
  round: Round,
  coupons: readonly Coupon[],
  procedures: readonly Procedure[],
  pair: [string, string],
  now: number,
  random: Random,
): Reading[] {
  const procedureOf = (coupon: Coupon) => procedures.find(({ id }) => id === coupon.procedure)!
  const cured = Math.max(...coupons.map((coupon) => curedFrom(coupon, procedureOf(coupon)) ?? 0))
  const inOrder = [...coupons].sort((x, y) => x.pullAt - y.pullAt)
  const count = scene.state === 'decided' ? inOrder.length : 7
  let at = scene.state === 'decided' ? Math.min(cured + 2 * HOUR, now - 24 * HOUR) : now - 35 * 60_000
  return inOrder.slice(0, count).map((coupon): Reading => {
    at += 150_000 + random() * 120_000
    const procedure = procedureOf(coupon)
    const pull = simulatePull(
      {
        a: pair[0],
        b: pair[1],
        family: procedure.family,
        test: round.arms[0]!.test,
        size: round.arms[0]!.size,
        thicknessMm: { a: scene.brief.aThicknessMm ?? null, b: scene.brief.bThicknessMm ?? null },
      },
      random,
    )!
    const early = (curedFrom(coupon, procedure) ?? 0) > at
    // The cold corner of the shed: the damp-cured one of block 1 had not gone off.
    const wet = procedure.family === 'pu-clear' && coupon.block === 1
    const base = {
      id: `pull-${coupon.id}`,
      coupon: coupon.id,
      at: Math.round(at),
      size: round.arms[0]!.size,
      early: early ? { curedS: 0, fullS: 0 } : null,
      setAside: null,
      corrected: [],
    }
    if (wet)
      return {
        ...base,
        raw: rawOf(pull.forceN * 0.2, random),
        outcome: { end: 'wet', places: null },
        note: 'threads of glue, smells still',
      }
    return { ...base, raw: rawOf(pull.forceN, random), outcome: { end: 'broke', places: pull.places }, note: '' }
  })
}

/** As it is read on a luggage scale with steps of 10 g; now and then a hung weight instead. */
function rawOf(forceN: number, random: Random): Raw {
  const kg = Math.max(0.05, Math.round((forceN / STANDARD_GRAVITY) * 100) / 100)
  if (random() < 0.15)
    return { way: 'mass', value: Math.max(0.01, Math.round((kg - 0.15) * 100) / 100), unit: 'kg', tareKg: 0.15 }
  return { way: 'gauge', value: kg, unit: 'kgf', tareKg: 0 }
}

function decide(
  joint: Joint,
  round: Round,
  readings: readonly Reading[],
  reason: string,
): Tables['decision'][number] | null {
  const choice = worked.decisions[joint.id]
  return choice
    ? {
        id: `${joint.id}-decision`,
        joint: joint.id,
        round: round.id,
        arm: round.arms[0]!.id,
        procedure: choice.procedure,
        reason,
        at: Math.max(...readings.map(({ at }) => at)) + HOUR,
        known: choice.known,
      }
    : null
}

/** A few looks at what is curing now. */
function cureChecks(tables: Tables, random: Random, now: number): Tables['cureCheck'] {
  return tables.coupon
    .filter(({ round, stamps }) => round === 'h3-r1' && stamps.length >= 6)
    .slice(0, 2)
    .map((coupon, i) => ({
      id: `check-${coupon.id}`,
      coupon: coupon.id,
      at: Math.round(now - (4 + random() * 5) * 60_000),
      state: i ? 'slides' : 'tacky',
    }))
}

import { careFor } from '../../core/care/care'
import { glueCautions } from '../../core/care/steps'
import { marginOf } from '../../core/choice/real/margin'
import { hazardsOf } from '../../core/knowledge/hazards'
import { families, type Family } from '../../core/knowledge/families'
import { formulaOf, testIds } from '../../core/knowledge/testKinds'
import { copiesJoint } from '../../core/loads/copies'
import { demands } from '../../core/loads/demand'
import { openingMm, requiredLoad, requiredStrength } from '../../core/loads/requirement'
import { curedFrom } from '../../core/planning/gluing'
import { draftOf } from '../../core/planning/draft/procedure'
import { draftRound } from '../../core/planning/draftRound'
import { fairness, type FairnessSetting, type PlanDraft } from '../../core/planning/fairness'
import { limitFor } from '../../core/planning/limitFor'
import { limitMeans } from '../../core/planning/limitMeans'
import { plainProcedure, plainSetting } from '../../core/planning/__tests__/plain'
import { readyFrom } from '../../core/planning/pullQueue'
import { fullCureS, handsOnMinutes } from '../../core/planning/steps'
import { canBend, testsOf } from '../../core/planning/testsOf'
import { HOUR_MS } from '../../core/quantities/days'
import type { Coupon } from '../../core/records/coupon'
import type { Procedure } from '../../core/records/procedure'
import { compare } from '../../core/screening/compare'
import { likelyPeel, likelyPull } from '../../core/screening/likely'
import { usableDab } from '../../core/screening/rules/help'
import {
  helpersThatHelp,
  inOrder,
  judged,
  onlyWith,
  type Candidate,
  type Setting,
} from '../../core/screening/shortlist'
import { harmOfUndoing, undoing, undoWords } from '../../core/screening/undoing'
import { tones } from '../stations/shortlist/whyGlue'
import { randomPlan } from './randomPlan'

/** Two places that speak of one thing and do not say the same. */
export interface Contradiction {
  seed: number
  thing: string
  text: string
}

/**
 * What pages ask of the core, each by its place. The finder reads all of them through here, so that a test can plant a
 * contradiction in any one of them.
 */
export const places = {
  /** Ask: the load panel */
  demands,
  /** Shortlist: verdict, chance and reasons of a glue */
  judged,
  helpersThatHelp,
  /** Shortlist, the comparison: how it comes apart */
  compare,
  /** Card and repair kit */
  undo: (candidate: Candidate) => undoWords(undoing([candidate.situation])),
  /** Plan: limit, tests, steps, and what is unfair */
  limitFor,
  testsOf,
  draftOf,
  fairness,
  /** Break: from when a piece is ready; Glue: from when it is cured */
  readyFrom,
  curedFrom,
  /** Choose: the margin of the real joint */
  marginOf,
  /** Card: cautions of the glue */
  cautions: (candidate: Candidate) => glueCautions(careFor(candidate.situation)),
}
export type Places = typeof places

const near = (x: number, y: number, share = 0.006) => Math.abs(x - y) <= share * Math.max(Math.abs(x), Math.abs(y))
const noGlue = { adhesive: null, helpers: [], second: undefined }

/** What of a random joint, judged, planned, glued and decided, is told in two ways. Same seed, same answer. */
export function contradictions(seed: number, at: Places = places): Contradiction[] {
  const found: Contradiction[] = []
  const differ = (thing: string, text: string) => void found.push({ seed, thing, text })
  const { brief: half, a, b } = randomPlan(seed)
  // Every second joint is said in full, so that load, limit and margin are there to be compared.
  const brief = seed % 2 ? half : inFull(half, seed)
  const setting = plainSetting(a, b, { brief, room: { tempC: 16, rh: 60 }, currency: 'EUR' })
  const candidates = inOrder(families.map((family) => at.judged(family, null, setting)))
  verdicts(candidates, differ)
  for (const candidate of candidates) comesApart(candidate, at, differ)
  for (const candidate of candidates.slice(0, 6)) helped(candidate, setting, at, differ)
  needs(brief, candidates, at, differ)
  tested(setting, at, differ)
  const glues = candidates.filter(({ screening }) => screening.verdict !== 'block').slice(0, 3)
  if (glues.length) planned(glues, setting, at, differ)
  return found
}
const GEOMETRIES = ['butt-edge', 'lap', 'edge-strip', 'face-large', 'rod', 'patch'] as const
const LOADS = ['shear', 'tension', 'peel', 'bend', 'torsion', 'cleavage'] as const
/** The same joint with all that a load is worked out from. */
function inFull(brief: Setting['brief'], seed: number): Setting['brief'] {
  const n = Math.floor(seed / 2)
  return {
    ...brief,
    geometry: GEOMETRIES[n % GEOMETRIES.length]!,
    loads: brief.loads?.length ? brief.loads : [LOADS[Math.floor(n / GEOMETRIES.length) % LOADS.length]!],
    widthMm: brief.widthMm ?? 8,
    lengthMm: brief.lengthMm ?? 60,
    leverMm: brief.leverMm ?? 80,
    weightKg: brief.weightKg ?? 1.5,
    stakes: [],
  }
}
type Differ = (thing: string, text: string) => void

/** Verdict, its word, its chance and the order: one sum. */
function verdicts(candidates: readonly Candidate[], differ: Differ): void {
  const place = { fit: 0, caution: 1, block: 2 }
  candidates.forEach(({ key, screening: { verdict, chance, reasons } }, i) => {
    const next = candidates[i + 1]?.screening
    if (next && place[verdict] > place[next.verdict]) differ('verdict', `${key}: ${verdict} above ${next.verdict}`)
    if (next && chance < next.chance - 1e-9)
      differ('chance', `${key} ${tones[verdict].word} ${chance} above ${tones[next.verdict].word} ${next.chance}`)
    const said =
      verdict === 'fit' ? chance >= 0.75 : verdict === 'block' ? chance <= 0.25 : chance > 0.2 && chance < 0.8
    if (!said) differ('chance', `${key}: ${tones[verdict].word}, and serves in ${chance}`)
    if (verdict === 'fit' && reasons.some(({ missed, lifted }) => missed && !lifted))
      differ('need', `${key} suits, and its weak joint misses the load`)
  })
}

/** How it comes apart: one answer for the comparison, the card and the kit, and none that harms the parts. */
function comesApart(candidate: Candidate, at: Places, differ: Differ): void {
  const { key, situation } = candidate
  const said = at.undo(candidate)
  const row = at.compare([candidate], String).find(({ what }) => /undo|apart/i.test(what))
  if (row && !row.values[0]!.includes(said.slice(0, 40)) && !said.includes(row.values[0]!.slice(0, 40)))
    differ('undo', `${key}: comparison “${row.values[0]}”, card “${said}”`)
  const { way, harms } = undoing([situation])
  if (way && !harms.length && harmOfUndoing(way, situation))
    differ('undo', `${key}: “${way.how}” is offered, and ${harmOfUndoing(way, situation)}`)
  const cautions = at.cautions(candidate)
  for (const { show } of hazardsOf(careFor(situation).hazards.map(({ id }) => id)))
    if (!cautions.includes(show)) differ('hazard', `${key}: the card leaves out “${show}”`)
}

/** A helper is judged as a glue is: none is offered where it is ruled out itself. */
function helped(candidate: Candidate, setting: Setting, at: Places, differ: Differ): void {
  const helps = at.helpersThatHelp(candidate, setting)
  const { key, screening } = candidate
  for (const { helper, screening: withIt } of helps) {
    const again = at.judged(candidate.family, null, setting, { helpers: [helper] }).screening
    if (again.verdict !== withIt.verdict) differ('helper', `${key} with ${helper}: ${withIt.verdict}, ${again.verdict}`)
    if (helper === 'tack-and-cure' && !usableDab(candidate.situation))
      differ('helper', `${key}: dabs that do not hold here`)
  }
  if (screening.verdict === 'block' && helps.some((help) => help.screening.verdict === 'fit')) {
    const harm = screening.reasons.some((one) => one.harm && one.verdict === 'block' && !one.lifted)
    if (!harm && !onlyWith(candidate, helps)) differ('helper', `${key}: ruled out beside a helper with which it suits`)
  }
}

/** The need of the joint: Ask, Shortlist, limit and margin count one load on one size. */
function needs(brief: Setting['brief'], candidates: readonly Candidate[], at: Places, differ: Differ): void {
  const load = requiredLoad(brief)
  for (const { mode, value, unit } of at.demands(brief)) {
    if (value === null || !load || mode === 'flex') continue
    const wanted = unit === 'N' ? load.n : unit === 'N·mm' ? load.n * brief.leverMm! : load.n / openingMm(brief)!
    if (!near(value, wanted)) differ('need', `Ask has ${value} ${unit} in ${mode}, the load makes it ${wanted}`)
  }
  const limit = at.limitFor(brief, 't-peel', { widthMm: 25 })?.limit ?? null
  for (const { key, situation } of candidates) {
    const peel = likelyPeel(situation)
    if (peel && limit !== null && brief.widthMm !== null && openingMm(brief) !== null) {
      // Of what hangs the Shortlist compares what is left for long with the load, or handling with all of it.
      const most = peel.under === 'light' ? peel.needs : Math.max(peel.needs, limit)
      if (!near(most, limit) && peel.needs > limit * 1.006)
        differ('need', `${key}: Shortlist asks ${peel.needs} N/mm, the limit is ${limit}`)
    }
    const pull = likelyPull(situation)
    if (pull && load && !near(pull.needs, load.n))
      differ('need', `${key}: Shortlist asks ${pull.needs} N, Ask ${load.n}`)
  }
}

/** Plan, Glue, Break and Choose of the glues that are picked. */
function planned(glues: readonly Candidate[], setting: Setting, at: Places, differ: Differ): void {
  const { brief, a, b } = setting
  const procedures = glues.map(({ family }, i): Procedure => {
    const letter = 'ABC'[i]!
    return {
      ...plainProcedure(letter, family.id),
      id: letter,
      letter,
      family: family.id,
      steps: at.draftOf({ family: family.id, ...noGlue }, setting),
    }
  })
  procedures.forEach((procedure, i) => times(procedure, glues[i]!, differ))
  for (const { key, situation } of glues) {
    const { beads } = situation.cure
    if (beads && beads.widthMm > 2 * (situation.edgeMm ?? Infinity))
      differ('half-width', `${key}: beads of ${beads.widthMm} mm in a joint that is ${situation.edgeMm} mm deep`)
  }
  const familyOf = ({ letter }: { letter: string }): Family => glues['ABC'.indexOf(letter)]!.family
  const fair: FairnessSetting = {
    brief,
    a: a!.id,
    b: b!.id,
    gauge: { limitN: 490, resolutionN: 0.1 },
    familyOf,
    packDaysLeft: () => null,
    now: 0,
    advice: ({ letter }) => glues['ABC'.indexOf(letter)]!,
  }
  const draft: PlanDraft = draftRound(procedures, fair, ({ procedures: of, blocks, arms }) =>
    of.reduce((sum, { steps }) => sum + blocks * arms.length * handsOnMinutes(steps), 0),
  )
  for (const { id, text, note } of at.fairness(draft, fair))
    if (!note && id !== 'pack-near-date') differ('step', `an own draft is unfair, ${id}: ${text}`)
  for (const arm of draft.arms) limits(arm, setting, glues[0]!, at, differ)
  for (const arm of draft.arms) for (const procedure of procedures) ready(procedure, arm, at, differ)
}

/** A test is judged as a glue is: it copies the joint, and its parts stand it. */
function tested({ brief, a, b }: Setting, at: Places, differ: Differ): void {
  for (const test of at.testsOf(brief, a, b)) {
    if (!testIds.includes(test)) differ('test', `no test is called ${test}`)
    if (!copiesJoint(brief.geometry, test)) differ('test', `${test} does not copy ${brief.geometry}`)
    if ((test === 'bend' || test === 'flex') && !(canBend(a) && canBend(b))) differ('test', `${test} bends what breaks`)
  }
}

/** Cure and coats: the Shortlist’s figures are the plan’s. */
function times({ letter, steps, coats }: Procedure, { key, family }: Candidate, differ: Differ): void {
  if (fullCureS(steps) !== family.fullS && !near(fullCureS(steps), family.fullS, 0.06))
    differ('time', `${letter} ${key}: cured after ${family.fullS} s on Shortlist, ${fullCureS(steps)} s on Plan`)
  const laid = steps.filter(({ kind }) => kind === 'apply' || kind === 'coat').length
  if (laid > 0 && laid < coats) differ('coats', `${letter} ${key}: ${coats} coats, ${laid} steps that lay them`)
  if (new Set(steps.map(({ id }) => id)).size !== steps.length) differ('step', `${letter} ${key}: two steps are one`)
}

/** A limit is the need of the joint: held just so, the real joint has a margin of one. */
function limits(arm: PlanDraft['arms'][number], { brief }: Setting, glue: Candidate, at: Places, differ: Differ): void {
  const { test, passLimit, size } = arm
  if (passLimit === null || !formulaOf(test)) return
  const set = at.limitFor(brief, test, size)
  if (set && !near(set.limit, passLimit)) differ('limit', `${test}: ${passLimit} on Plan, ${set.limit} from the brief`)
  const needed = requiredStrength(brief, test)
  if (needed !== null && set?.assumed === null && !near(passLimit, needed))
    differ('limit', `${test}: limit ${passLimit}, need ${needed}`)
  const margin = at.marginOf(brief, test, passLimit, size, glue.family, [])
  const own = set && (set.assumed === null || set.assumed.open === 'handling')
  if (margin && !margin.capped && own && !near(margin.times, 1))
    differ('margin', `${test}: who just passes has ${margin.times} times the load`)
  const { jointN } = limitMeans(passLimit, arm, brief)
  if (margin && jointN !== null && !margin.capped && !near(margin.dryN, jointN))
    differ('margin', `${test}: Plan says ${jointN} N on the real joint, Choose ${margin.dryN}`)
}

/** Ready is cured, and through what its arm asks. */
function ready(procedure: Procedure, arm: PlanDraft['arms'][number], at: Places, differ: Differ): void {
  const close = procedure.steps.find(({ kind }) => kind === 'close')
  if (!close) return
  const coupon = { stamps: [{ step: close.id, at: 0 }], arm: arm.id } as unknown as Coupon
  const cured = at.curedFrom(coupon, procedure, arm)
  const hours = arm.exposure?.hours ?? 0
  const exposed = hours ? { ...coupon, exposed: { from: cured!, until: cured! + hours * HOUR_MS } } : coupon
  const from = at.readyFrom(exposed, procedure, arm)
  if (from !== cured! + hours * HOUR_MS)
    differ('ready', `${procedure.letter} ${arm.test}: cured ${cured}, ready ${from}`)
  const acts = arm.exposure && !['wait', 'flex'].includes(arm.exposure.kind)
  if (acts && at.readyFrom(coupon, procedure, arm) !== null)
    differ('ready', `${procedure.letter} ${arm.test}: ready without its ${arm.exposure!.kind}`)
}

import { forecastsOf } from '../core/choice/forecasts'
import { openedHunch } from '../core/choice/hunch'
import { knownOf } from '../core/choice/known'
import { marginOf } from '../core/choice/real/margin'
import { modelReadings } from '../core/evidence/modelReadings'
import { familyOf } from '../core/knowledge/families'
import { materialClassOf } from '../core/knowledge/materials'
import { draftOf } from '../core/planning/draft/procedure'
import { testKinds } from '../core/knowledge/testKinds'
import { ownReadings } from '../core/readings/counting'
import type { Step } from '../core/records/procedure'
import type { Tables } from '../core/records/tables'
import type { Setting } from '../core/screening/shortlist'
import { analyse } from '../core/statistics/analyse'
import { briefOf, buildDemoBench, classOf, demoShelf, procedureId, type Worked } from './bench'
import { glues } from './scenario'
import { otherMaker } from './otherMaker'
import { joints, type DemoJoint } from './joints'

/** The steps of every procedure of the scenario, as the app drafts them from its briefs, shelf and room. */
function draftedSteps(): Record<string, Step[]> {
  const tables = demoShelf(0)
  const made: Record<string, Step[]> = {}
  for (const scene of [...joints, ...otherMaker.joints]) {
    const setting = settingFor(tables, scene)
    for (const glue of scene.glues) {
      const { family } = [...glues, ...otherMaker.glues].find(({ key }) => key === glue)!
      made[procedureId(scene, glue)] = draftOf({ family, adhesive: glue, helpers: [] }, setting)
    }
  }
  return made
}

/** A joint of the scenario as the advice sees it before anything was pulled. */
function settingFor(tables: Tables, scene: DemoJoint): Setting {
  const { room, currency } = tables.bench[0]!
  const cls = (material: string) => classOf(tables, material)
  return {
    brief: briefOf(scene, tables.build[0]!.inServiceBy),
    a: materialClassOf(cls(scene.a)),
    b: materialClassOf(cls(scene.b)),
    room,
    currency,
    now: 0,
    adhesives: tables.adhesive.filter(({ owner }) => owner === undefined),
    stock: tables.stock,
    houseRules: tables.houseRule,
    evidence: [],
    scraps: [],
    classOf: cls,
  }
}

/** What the pulls of a joint say when it is decided: the strongest weak joint, by the strength model. */
function decidedBy(tables: Tables, jointId: string): Worked['decisions'][string] {
  const joint = tables.joint.find(({ id }) => id === jointId)!
  const round = tables.round.find((one) => one.joint === jointId)!
  const arm = round.arms[0]!
  const coupons = tables.coupon.filter((one) => one.round === round.id && one.arm === arm.id)
  const ids = new Set(coupons.map(({ id }) => id))
  const model = modelReadings(arm, coupons, ownReadings(tables.reading.filter(({ coupon }) => ids.has(coupon))))
  const { procedures: summaries } = analyse({ required: arm.passLimit, readings: model })
  const best = [...summaries].sort((x, y) => y.weakJoint.low95 - x.weakJoint.low95)[0]!
  const { family } = tables.procedure.find(({ id }) => id === best.procedure)!
  const margin = marginOf(joint.brief, arm.test, best.weakJoint.low95, arm.size, familyOf(family))
  const scene = joints.find(({ code }) => code === joint.code)!
  const procedures = tables.procedure.filter((one) => one.joint === jointId)
  const hunch = openedHunch(round, true, summaries)
  return {
    procedure: best.procedure,
    known: {
      ...knownOf(best, best.n, testKinds[arm.test].unit, margin),
      required: arm.passLimit,
      ...(hunch && { hunch: { expected: hunch.expected, found: hunch.found } }),
      forecasts: forecastsOf(settingFor(tables, scene), procedures, round.id),
    },
  }
}

/** All of it; what is decided is worked out of the bench as it is built with the steps that are kept. */
export function workOut(): Worked {
  const tables = buildDemoBench(0)
  const decided = joints.filter(({ state }) => state === 'decided').map(({ code }) => code.toLowerCase())
  return {
    steps: draftedSteps(),
    decisions: Object.fromEntries(decided.map((id) => [id, decidedBy(tables, id)])),
  }
}

import * as z from 'zod/mini'
import { familyOf } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import { faceStates } from '../knowledge/faceStates'
import { faceTraits, geometries, helpers, loadModes, stakes } from '../knowledge/vocabulary'
import { contractShape, contractWords } from '../records/briefWords'
import type { Brief } from '../records/joint'
import { openBrief } from '../records/openBrief'
import type { Weighed } from './forecast'
import { schoolReasons } from './schools'
import { screen, weighed, type Screening } from './screen'
import { curedHere, situationOf, type Situation } from '../situation/situation'

const yes = z.optional(z.nullable(z.boolean()))
const number = z.optional(z.nullable(z.number()))
const state = z.optional(z.nullable(z.enum(faceStates)))
const traits = z.optional(z.nullable(z.array(z.enum(faceTraits))))

/** One glue for one joint, asked in the words of the core contract. What is left out or null is unknown. */
export const questionSchema = z.object({
  joint: z.object({
    a: z.nullable(z.string()),
    aState: state,
    aThicknessMm: number,
    aTraits: traits,
    b: z.nullable(z.string()),
    bState: state,
    bThicknessMm: number,
    bTraits: traits,
    geometry: z.optional(z.nullable(z.enum(geometries))),
    load: z.optional(z.nullable(z.array(z.enum([...loadModes, 'steady'])))),
    needs: z.optional(
      z.nullable(
        z.object({
          clear: yes,
          neat: yes,
          white: yes,
          flex: z.optional(z.nullable(z.enum(['must-flex', 'must-be-stiff', 'band']))),
          heatC: number,
          coldC: number,
          wash: yes,
          wet: yes,
          soak: yes,
          sun: yes,
          carve: yes,
          sand: yes,
          hotWire: yes,
          heatForm: yes,
          paintOver: yes,
          boxed: yes,
          indoorsNoVentilation: yes,
          heatNear: yes,
          skinContact: yes,
          children: yes,
          sensitised: yes,
          archival: yes,
          temporary: yes,
          stakes: z.optional(z.nullable(z.array(z.enum(stakes)))),
          maxCureH: number,
          repositionS: number,
          noClamp: yes,
          oneFaceOnly: yes,
          inShell: yes,
          gapMm: number,
          roughFit: yes,
          curveMm: number,
          areaCm2: number,
          edgeMm: number,
          weightKg: number,
          roomC: number,
          roomRH: number,
          ...contractShape,
        }),
      ),
    ),
  }),
  adhesive: z.string(),
  helpers: z.optional(z.nullable(z.array(z.enum(helpers)))),
  dab: z.optional(z.nullable(z.enum(['ca-gel', 'hotmelt-low', 'tape-foam']))),
})
export type Question = z.infer<typeof questionSchema>

/** Words that the contract asks as the brief does. */
const saidInContract = (needs: object): Partial<Brief> =>
  Object.fromEntries(
    contractWords.map(({ word, name }) => [word, (needs as Record<string, unknown>)[name] ?? null]),
  ) as Partial<Brief>

/** A need that is true counts; false and unknown ask nothing. */
const said = <T>(value: boolean | null | undefined, then: T): T | null => (value ? then : null)

/** @throws CodedError not-one-of for an unknown material or adhesive, with its path */
function situationOfQuestion(question: Question): Situation {
  const { joint } = question
  const n = joint.needs ?? {}
  const materialOf = (id: string | null, path: string) => (id === null ? null : materialClassOf(id, path))
  const open = openBrief()
  const later = [
    n.paintOver && 'paint',
    n.sand && 'sand',
    n.carve && 'carve',
    n.hotWire && 'hot-wire',
    n.heatForm && 'heat-form',
  ].filter((work) => typeof work === 'string') as Situation['later']
  const users = [n.children && 'child', n.sensitised && 'sensitised'].filter(
    (user) => typeof user === 'string',
  ) as Situation['users']
  const side = (which: 'a' | 'b') => ({
    material: joint[which],
    thicknessMm: joint[`${which}ThicknessMm`] ?? null,
    state: joint[`${which}State`] ?? null,
    traits: joint[`${which}Traits`] ?? null,
  })
  const areaCm2 = n.areaCm2 ?? null
  const base = situationOf(
    { ...open, a: side('a'), b: side('b'), geometry: joint.geometry ?? null, weightKg: n.weightKg ?? null },
    materialOf(joint.a, 'joint.a'),
    materialOf(joint.b, 'joint.b'),
    familyOf(question.adhesive, 'adhesive'),
    { helpers: question.helpers ?? [], dab: question.dab ?? null },
  )
  const edgeMm = n.edgeMm ?? edgeFrom(areaCm2, base)
  const gapMm = n.gapMm ?? null
  const air = { roomC: n.roomC ?? null, roomRH: n.roomRH ?? null }
  return {
    ...base,
    ...curedHere(base.cure.question.family, { faces: base.faces, edgeMm, gapMm, readyH: n.maxCureH ?? null, ...air }),
    ...air,
    loads: joint.load ?? null,
    areaCm2,
    edgeMm,
    gapMm,
    fit: said(n.roughFit, 'rough' as const),
    curveMm: n.curveMm ?? null,
    tempMaxC: n.heatC ?? null,
    tempMinC: n.coldC ?? null,
    water: n.soak ? 'soak' : n.wash || n.wet ? 'wash' : null,
    sun: said(n.sun, true),
    flex: n.flex ?? null,
    look: n.clear ? 'clear' : n.white ? 'white' : n.neat ? 'neat' : null,
    boxed: said(n.boxed, true),
    lasts: said(n.archival, 'archival' as const),
    comesApart: n.temporary === true,
    later: later?.length ? later : null,
    readyH: n.maxCureH ?? null,
    said: { ...base.said, ...saidInContract(n) },
    repositionS: n.repositionS ?? null,
    canClamp: said(n.noClamp, true) === null ? null : false,
    reach: said(n.oneFaceOnly, 'one' as const),
    inShell: said(n.inShell, true),
    air: said(n.indoorsNoVentilation, 'closed' as const),
    heatNear: said(n.heatNear, true),
    users: users?.length ? users : null,
    skin: said(n.skinContact, true),
    stakes: n.stakes ?? null,
  }
}

/**
 * Half-width of a joint whose area alone is known, taken as square; an edge against a face is as wide as its part is
 * thick.
 */
function edgeFrom(areaCm2: number | null, { geometry, faces }: Situation): number | null {
  const thin = Math.min(...faces.map((face) => face.thicknessMm ?? face.material?.typicalThicknessMm ?? Infinity))
  if (geometry === 'butt-edge' && Number.isFinite(thin)) return thin / 2
  return areaCm2 === null ? null : (Math.sqrt(areaCm2) * 10) / 2
}

export interface QuestionAnswer {
  verdict: Screening['verdict']
  /** decibans of the odds to serve, and the chance that they make */
  db: number
  chance: number
  reasons: Pick<Weighed, 'rule' | 'verdict' | 'mode' | 'db' | 'grade' | 'text' | 'settleBy' | 'basis'>[]
}

export function answerQuestion(question: Question): QuestionAnswer {
  const situation = situationOfQuestion(question)
  const { verdict, db, chance, reasons } = weighed(situation.family, [
    ...screen(situation).reasons,
    ...schoolReasons(situation),
  ])
  return {
    verdict,
    db,
    chance,
    reasons: reasons.map(({ rule, verdict: own, mode, db: pushed, grade, text, settleBy, basis }) => ({
      rule,
      verdict: own,
      mode,
      db: pushed,
      grade,
      text,
      settleBy,
      basis,
    })),
  }
}

import { CodedError, type ErrorCode } from '../../core/errors'
import { copyBench } from '../bench/copyBench'
import { packageBytes, ZIP_TYPE } from '../bench/packageFile'
import { readAnyBench, type AnyBenchRead } from '../bench/readAnyBench'
import { photoOf } from '../bench/photos'
import type { Change } from '../../core/records/entry'
import type { Tables } from '../../core/records/tables'
import {
  clashKey,
  laterStands,
  mergeChanges,
  previewMerge,
  type MergePreview,
  type OtherBench,
  type Side,
} from '../../core/records/together/merge'
import type { Whose } from '../../core/records/together/owners'
import { gatheredEvidence, type EvidenceTables, type PairEvidence } from '../../core/evidence/pairEvidence'
import { materialClassOf } from '../../core/knowledge/materials'
import type { Brief } from '../../core/records/joint'
import { openWordsByEffect, type OpenWord } from '../../core/screening/openWords'
import type { Around } from '../../core/situation/situation'
import { inOrder, sidesFor, straightened } from '../../core/photo/perspective'
import type { Picture, Point } from '../../core/photo/picture'
import { colourShares, type ColourShares } from '../../core/photo/shares'
import { planJoints, type BuildPlan, type JointsToGlue } from '../../core/schedule/buildJoints'
import { repairKit, type RepairKit } from '../../core/choice/build/kit'
import { planWhole, type BuildPart, type WholeBuild } from '../../core/schedule/wholeBuild'
import type { Setting } from '../../core/screening/shortlist'
import type { Shop } from '../../core/records/shop'
import { findTimetable, type TimetableInput, type TimetableResult } from './timetable'
import { keptShares, type KeptAsked, type KeptShare } from '../../core/choice/real/keptShares'
import { nextTests, type NextTests, type NextTestsInput } from '../../core/choice/next/further'
import type { School } from '../../core/choice/rank'
import type { Moves } from '../../core/choice/whatIf'
import type { WeighResult } from '../../core/choice/weighRound'
import { moves, weighed, type MovesAsked, type WeighAsked } from './weighing'
import { analyse, type Analysis, type AnalysisInput } from '../../core/statistics/analyse'

/** The brief with its material classes, plain: it goes to another thread. */
export interface OpenWordsInput {
  brief: Brief
  a: string | null
  b: string | null
  room: Around['room']
}

/** The records of the rounds whose pulls are looked through, and the class of each material in them. */
export interface EvidenceInput {
  tables: EvidenceTables
  classes: Record<string, string | null>
}

/** Which bench gets its second copy brought up to date. */
export interface CopyInput {
  bench: string
  /** ms, for the copy's date */
  now: number
}

/** The build's own joints, and when they must carry, ms. */
export interface JointsInput {
  of: JointsToGlue
  shop: Shop
  readyBy: number
  now: number
}

/** A photo's pixels and what is outlined in it. */
export interface PhotoInput {
  picture: Picture
  /** of the face, upper left first: put straight before its colours are counted; null: it is as it should be */
  straighten: { corners: Point[]; face: { widthMm: number; heightMm: number } | null } | null
  outline: Point[]
  k: number
}
export interface PhotoResult extends Pick<ColourShares, 'groups' | 'labels'> {
  /** what the labels belong to, put straight where that was asked for */
  picture: Picture
}

function photoShares({ picture, straighten, outline, k }: PhotoInput, onProgress: (done: number) => void): PhotoResult {
  if (!straighten) return { picture, ...colourShares(picture, outline, k, { onProgress }) }
  const corners = inOrder(straighten.corners)
  const straight = straightened(picture, corners, sidesFor(corners, straighten.face))
  const { width, height } = straight
  const whole: Point[] = [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ]
  return { picture: straight, ...colourShares(straight, whole, k, { onProgress }) }
}

/** The decided joints of a build; a setting goes to another thread without its function. */
export interface KitInput {
  joints: { id: string; code: string; setting: Omit<Setting, 'classOf'> }[]
  classes: Record<string, string | null>
}
/** All kinds of joints of a build that are left to be glued. */
export interface WholeInput {
  parts: BuildPart[]
  shop: Shop
  now: number
}

const kitOf = ({ joints, classes }: KitInput): RepairKit =>
  repairKit(
    joints.map(({ setting, ...joint }) => ({
      ...joint,
      setting: { ...setting, classOf: (id) => classes[id] ?? null },
    })),
  )

/** A bench as it stands, whose photos lie under its id. */
export interface PackageInput {
  bench: string | null
  tables: Tables
  /** ms */
  now: number
  /** only these photos go along; all, where none is named */
  photos?: readonly string[]
}
export interface MergeInput {
  here: Tables
  other: OtherBench
  whose: Whose
}

const mergedChanges = ({ here, other, whose, answers }: Tasks['mergeChanges']['input']): Change[] =>
  mergeChanges(here, other, whose, (clash) => answers[clashKey(clash)] ?? laterStands(clash)).changes

async function packaged(
  { bench, tables, now, photos }: PackageInput,
  onProgress: (done: number) => void,
): Promise<Blob> {
  const chosen = photos && new Set(photos)
  const pixels = async (id: string) => (!chosen || chosen.has(id) ? photoOf(bench, id) : null)
  return new Blob([await packageBytes(tables, now, pixels, onProgress)], { type: ZIP_TYPE })
}

/** What the worker can do: what goes in, what comes out. */
export interface Tasks {
  analyse: { input: AnalysisInput; result: Analysis }
  openWords: { input: OpenWordsInput; result: OpenWord[] }
  evidence: { input: EvidenceInput; result: PairEvidence[] }
  /** whether the browser took the copy */
  copy: { input: CopyInput; result: boolean }
  timetable: { input: TimetableInput; result: TimetableResult }
  joints: { input: JointsInput; result: BuildPlan }
  photo: { input: PhotoInput; result: PhotoResult }
  weigh: { input: WeighAsked; result: WeighResult }
  moves: { input: MovesAsked; result: Record<School, Moves[]> }
  next: { input: NextTestsInput; result: NextTests }
  kept: { input: KeptAsked[]; result: KeptShare[] }
  kit: { input: KitInput; result: RepairKit }
  whole: { input: WholeInput; result: WholeBuild }
  package: { input: PackageInput; result: Blob }
  readFile: { input: { file: Blob }; result: AnyBenchRead }
  mergePreview: { input: MergeInput; result: MergePreview }
  mergeChanges: { input: MergeInput & { answers: Record<string, Side> }; result: Change[] }
}
export type TaskKind = keyof Tasks

/** What the app asks of the worker, and what comes back; one union each. Every message bears the number of its job. */
export type Request = { [K in TaskKind]: { kind: K; job: number; input: Tasks[K]['input'] } }[TaskKind]
export type Response =
  /** the worker lives and has begun */
  | { kind: 'begun'; job: number }
  /** done 0…1; best: what is found so far, where that is worth something by itself and is better than before */
  | { kind: 'progress'; job: number; done: number; best?: Tasks[TaskKind]['result'] }
  | { kind: 'done'; job: number; result: Tasks[TaskKind]['result'] }
  | {
      kind: 'failed'
      job: number
      error: { code: ErrorCode; path: string; facts: Record<string, string | number> } | { message: string }
    }

const classOf = (id: string | null) => (id === null ? null : materialClassOf(id))

type Result = Tasks[TaskKind]['result']

type Say = (done: number, best?: Result) => void

function work(request: Request, onProgress: Say): Result | Promise<Result> {
  switch (request.kind) {
    case 'analyse':
      return analyse(request.input, { onProgress })
    case 'openWords': {
      const { brief, a, b, room } = request.input
      return openWordsByEffect(brief, classOf(a), classOf(b), undefined, { room })
    }
    case 'evidence': {
      const { tables, classes } = request.input
      return gatheredEvidence(tables, (material) => classes[material] ?? null, onProgress)
    }
    case 'copy':
      return copyBench(request.input)
    case 'photo':
      return photoShares(request.input, onProgress)
    case 'weigh':
      return weighed(request.input)
    case 'moves':
      return moves(request.input)
    case 'next':
      return nextTests(request.input)
    case 'kept':
      return keptShares(request.input)
    case 'kit':
      return kitOf(request.input)
    case 'whole': {
      const { parts, shop, now } = request.input
      return planWhole(parts, shop, now)
    }
    case 'package':
      return packaged(request.input, onProgress)
    case 'readFile':
      return readAnyBench(request.input.file, onProgress)
    case 'mergePreview': {
      const { here, other, whose } = request.input
      return previewMerge(here, other, whose)
    }
    case 'mergeChanges':
      return mergedChanges(request.input)
    case 'joints': {
      const { of, shop, readyBy, now } = request.input
      return planJoints(of, shop, readyBy, now)
    }
    case 'timetable':
      return findTimetable(
        request.input,
        () => performance.now(),
        (done, best) => onProgress(done, best ?? undefined),
      )
  }
}

/** Answers one request; the worker is only this with postMessage, so it is tested without one. */
export async function answerRequest(request: Request, post: (response: Response) => void): Promise<void> {
  const { job } = request
  post({ kind: 'begun', job })
  try {
    const result = await work(request, (done, best) =>
      post({ kind: 'progress', job, done, ...(best !== undefined && { best }) }),
    )
    post({ kind: 'done', job, result })
  } catch (error) {
    const told =
      error instanceof CodedError
        ? { code: error.code, path: error.path, facts: error.facts }
        : { message: String(error) }
    post({ kind: 'failed', job, error: told })
  }
}

import type { Family } from '../knowledge/families'
import { measured } from '../quantities/betterUnit'
import { durationWords } from '../quantities/durations'
import { inSentence } from '../quantities/inSentence'
import type { Brief } from '../records/joint'
import type { Procedure } from '../records/procedure'
import { coverS } from '../screening/rules/cover'
import { perMix, skins, within } from './benchSums'
import { glueShare, recipe } from './mix'
import { LEAST_MIX_G } from './mixing'
import { WASTE } from '../costs/cost'
import { gramsPerCm2 } from './needs'

/** Mixes of the build's own joints that are alike: how many, and of each the joints it serves and its weight. */
interface RealMix {
  times: number
  joints: number
  grams: number
}

/** A procedure at the size and number of the real joints. */
export interface RealJoint {
  widthMm: number
  lengthMm: number
  joints: number
  /** on one joint and on all, waste counted, g; of everything that is laid on */
  eachG: number
  allG: number
  /** what the pot life makes of them, in order; none where nothing is mixed */
  mixes: RealMix[]
  potS: number | null
  /** of what it is stirred from, for all of them */
  parts: { name: string; grams: number }[]
  /** until one joint is covered */
  coverS: number
  /** after which it skins, where it is closed wet; null: it does not skin */
  skinsS: number | null
  /** joints that may be laid before the first is closed; 0: not even one, it is laid in strips; null: no limit */
  atOnce: number | null
}

/** Amounts and batches for the real joints (methods.md 8); null while their size is open. */
export function realJoint(procedure: Procedure, family: Family, brief: Brief): RealJoint | null {
  const { widthMm, lengthMm } = brief
  if (widthMm === null || lengthMm === null) return null
  const joints = brief.count ?? 1
  const areaCm2 = (widthMm * lengthMm) / 100
  const eachG = areaCm2 * gramsPerCm2(procedure, family)
  const fit = perMix(procedure, family, areaCm2)
  const mixed = procedure.steps.some(({ kind }) => kind === 'mix')
  const mixes = mixed ? mixesOf(joints, fit ?? joints, eachG * glueShare(procedure)) : []
  const cover = coverS(areaCm2, family)
  const skinsS = skins(family) ? family.openS : null
  return {
    widthMm,
    lengthMm,
    joints,
    eachG,
    allG: joints * eachG,
    mixes,
    potS: mixes.length ? family.potLifeS : null,
    parts: recipe({ ...procedure, name: 'glue' }, joints * eachG),
    coverS: cover,
    skinsS,
    atOnce: skinsS === null ? null : cover > skinsS ? 0 : within(skinsS, areaCm2, family),
  }
}

/** So many full mixes, and one for what is left. */
function mixesOf(joints: number, fit: number, eachG: number): RealMix[] {
  const mix = (times: number, of: number): RealMix[] =>
    times > 0 && of > 0 ? [{ times, joints: of, grams: Math.max(LEAST_MIX_G, of * eachG) }] : []
  return [...mix(Math.floor(joints / fit), fit), ...mix(1, joints % fit)]
}

const g = (grams: number) => measured(grams, 'g')
const count = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`
const mm = (length: number) => +length.toPrecision(3)

/** “3 of 12.0 g for 4 joints each, 1 of 5.00 g for 2 joints” */
const mixWords = (mixes: readonly RealMix[]): string =>
  mixes
    .map(
      ({ times, joints, grams }) => `${times} of ${g(grams)} for ${count(joints, 'joint')}${times > 1 ? ' each' : ''}`,
    )
    .join(', ')

/** What the real joints take, a line each, as it is read at the bench. */
export function realJointWords(of: RealJoint): string[] {
  const amount =
    of.eachG === 0
      ? 'no glue'
      : `${g(of.eachG)} of glue each${of.joints > 1 ? `, ${g(of.allG)} in all` : ''}, ${100 * WASTE} % lost included`
  const lines = [`${count(of.joints, 'joint')} of ${mm(of.widthMm)} × ${mm(of.lengthMm)} mm: ${amount}.`]
  if (of.mixes.length)
    lines.push(`Mixes: ${mixWords(of.mixes)}${of.potS === null ? '' : `; use each within ${durationWords(of.potS)}`}.`)
  if (of.parts.length)
    lines.push(
      `Stirred for all: ${of.parts.map(({ name, grams }) => `${g(grams)} of ${inSentence(name)}`).join(' and ')}.`,
    )
  if (of.skinsS !== null) {
    const skins = `it skins after ${durationWords(of.skinsS)}`
    lines.push(
      of.atOnce === 0
        ? `Covering one takes ${durationWords(Math.ceil(of.coverS))}, and ${skins}: lay it in strips, or by more ` +
            'hands.'
        : `Lay no more than ${count(of.atOnce!, 'joint')} before closing the first: ${skins}.`,
    )
  }
  return lines
}

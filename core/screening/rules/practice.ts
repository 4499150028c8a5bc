import { measuredAlike } from '../../quantities/betterUnit'
import { forcesAlike } from '../../quantities/force'
import { useOf } from '../../knowledge/everydayUse'
import { faceClassOf, gripOf } from '../../knowledge/grip'
import { figureOf } from '../../quantities/figure'
import type { Face, Situation } from '../../situation/situation'
import { called, has, is, loaded } from '../../situation/about'
import { likelyParts, likelyPeel, likelyPull, type Likely } from '../likely'
import { BY_PULL, push, type Rule, rule } from '../rule'
import { isCa, isPaper, isPlainHotmelt, isTextile, styreneFoam } from './kinds'
import { graded } from './scale'
import { supplenessOf } from './suppleness'

const pushes = { 'made-for': 6, everyday: 3, workable: 0, odd: -6, never: -20 } as const
/** Faces on which the practised joint is made; on others nothing is praised. */
const prepared = new Set([null, 'clean', 'sanded', 'smooth-side', 'textured-side'])

const reachedFor = rule(
  'use',
  'A good scrap test of your own replaces it.',
  'what makers reach for',
  (s) => {
    const [a, b] = s.faces
    if (!a.material || !b.material) return null
    const found = useOf(s.family.id, a.material, b.material, s.geometry, s.helpers)
    if (!found) return null
    const { use, note } = found.row
    const said = `${note.replace(/^./, (c) => c.toUpperCase())}.`
    if (use === 'workable') return push(0, said)
    const damp = s.family.mechanism === 'moisture' && !isCa(s.family)
    const ready = s.faces.every(({ state }) => prepared.has(state) || (damp && state === 'damp'))
    // Glue sold to come off is praised only where it must, and no other where it must.
    const released = has(s, 'fleeting')
    // A label that calls it foam-safe answers what the tables say of its kind on polystyrene foam.
    if (pushes[use] < 0 && s.facts.foamSafe && s.faces.some(({ material }) => material && styreneFoam(material)))
      return push(0, `${said} Its label calls this one foam-safe.`)
    if (pushes[use] > 0 && (!ready || (s.comesApart && !released))) return push(0, said)
    return push(pushes[use], said)
  },
  BY_PULL,
)

/** Faces that scuffing opens for a glue that wets and sets. */
const scuffs = (face: Face): boolean => {
  if (!face.material || (is('dense')(face.material) && !is('corrodes')(face.material))) return false
  if (face.material.surfaceEnergy === 'low' || face.material.surfaceEnergy === 'very-low') return false
  const cls = faceClassOf(face.material, face.state, face.thicknessMm)
  return cls === 'smooth-sealed-rigid' || cls === 'smooth-sealed-flexible' || cls === 'skinned-foam'
}
const wetsAndSets = ({ family }: Situation) =>
  family.mechanism === 'two-part' ||
  family.chemistry === 'cyanoacrylate' ||
  family.chemistry === 'polyurethane' ||
  family.faces === 'both' ||
  family.mechanism === 'evaporate-solvent' ||
  family.mechanism === 'melt' ||
  family.mechanism === 'light'

/** Grip with what ordinary preparation does for it, and whether that was needed. */
function gripOn(s: Situation, face: Face): { grip: number; scuffed: boolean } {
  const { material, state, thicknessMm } = face
  if (isCa(s.family) && s.helpers.includes('primer') && material!.surfaceEnergy === 'low')
    return { grip: 3, scuffed: false }
  const grip = gripOf(s.family.id, { material: material!, state, thicknessMm }, s.loads ?? [])
  if (grip >= 3 || grip === 0 || !wetsAndSets(s) || !scuffs(face)) return { grip, scuffed: false }
  const most = isPlainHotmelt(s.family) ? 2 : 3
  return { grip: Math.max(grip, Math.min(most, grip + 1)), scuffed: grip < most && state !== 'sanded' }
}

const LIGHT_KG = 0.1
const grips = rule(
  'grip',
  'Pull one scrap open by hand and look whether a clean skin of glue lifts off.',
  'grip of the family on this kind of face',
  (s) => {
    const faces = s.faces.filter((face) => face.material !== null)
    if (!faces.length || has(s, 'melts-parts') || has(s, 'fuses-sheet') || s.family.mechanism === 'unknown') return null
    const worst = faces.map((face) => ({ face, ...gripOn(s, face) })).sort((x, y) => x.grip - y.grip)[0]!
    const { face, grip, scuffed } = worst
    const name = called(face)
    if (grip <= 0) return push(-20, `It does not take on ${name}: a clean skin of it lifts off.`)
    if (grip >= 2) {
      const text = grip === 2 ? `It grips ${name} well enough, not firmly` : `It grips ${name}`
      return push(grip === 2 ? -1 : 0, `${text}${scuffed ? ', once that is scuffed and wiped' : ''}.`)
    }
    const heavy = s.said.weightKg !== null && s.said.weightKg > LIGHT_KG
    const hard = heavy || loaded(s, 'tension', 'peel', 'cleavage', 'torsion', 'bend', 'flex', 'impact')
    return push(
      hard ? -10 : -6,
      `It only lies on ${name}: ${hard ? 'loaded like this it lets go' : 'light parts at rest only'}.`,
    )
  },
  BY_PULL,
)

/** A page spine or a fold that opens flat: paper at an edge. */
const layFlat = rule(
  'lay-flat',
  'Open a dry dummy flat ten times.',
  'stiffness of the film at a spine',
  (s) => {
    const stiff = supplenessOf(s)
    const sheets = s.faces.every(({ material }) => material && (isPaper(material) || isTextile(material)))
    const paper = s.faces.some(({ material }) => material && isPaper(material))
    if (!stiff || s.geometry !== 'edge-strip' || !sheets || !paper) return null
    if (stiff.layFlat >= 3) return push(3, 'It stays so supple that a spine opens flat.')
    if (stiff.layFlat === 2) return null
    return stiff.layFlat === 1
      ? push(-6, 'It sets too stiff, or too soft, for a spine that is opened flat.')
      : push(-20, 'A spine glued with it cracks when it is opened.')
  },
  BY_PULL,
)

const margins = [0.5, 1, 2, 4]
const byMargin = (margin: number) => graded(margin, margins, [-20, -10, -6, -3, 0])

/** What a joint falls short of: its load, or the margin over it that the last of margins asks for; rounded down. */
const short = ({ holds, needs, under }: Pick<Likely, 'holds' | 'needs' | 'under'>) =>
  holds < needs
    ? under === 'light'
      ? 'lift it by the parts, not by the joint'
      : 'it may let go'
    : `it should hold ${margins.at(-1)} times that, not ${(Math.floor((10 * holds) / needs) / 10).toFixed(1)} times`

const MEND = 'Widen it or add a fixing.'

const strength = rule(
  'strength',
  'Hang four times the weight for a day, or pull a scrap until it lets go.',
  'typical strengths of the tables, the weaker face, the weak joint in twenty',
  (s) => {
    const peeled = likelyPeel(s)
    // Checked for light handling only, it counts half, and a part that tears before its glue not at all.
    const share = peeled?.under !== 'light' ? 1 : peeled.partFirst ? 0 : 0.5
    const inPeel = peeled ? byMargin(peeled.holds / peeled.needs) * share : 0
    if (peeled && inPeel < 0) {
      const [holds, needs] = measuredAlike([peeled.holds, peeled.needs], 'N/mm')
      const { long, meets } = likelyParts(peeled)
      const found = push(
        inPeel,
        `A weak joint holds about ${holds}${long} in peel${peeled.partFirst ? ', then the part tears' : ''}, and ` +
          `${meets} ${needs}: ${short(peeled)}.${peeled.under === 'light' ? '' : ` ${MEND}`}`,
        s.geometry === null,
      )
      // What light handling asks is assumed: short of it is no missed need.
      return peeled.under !== 'light' && peeled.holds < peeled.needs ? { ...found, missed: true } : found
    }
    const pulled = likelyPull(s)
    const db = pulled ? byMargin(pulled.holds / pulled.needs) : 0
    if (!pulled || db === 0) return null
    const [holds, needs] = forcesAlike([pulled.holds, pulled.needs], s.forceUnit)
    const { long, meets } = likelyParts(pulled)
    const found = push(
      db,
      `A weak joint of ${figureOf(s.areaCm2!)} cm² holds about ${holds}${long} here, and ${meets} ${needs}: ` +
        `${short(pulled)}. ${MEND}`,
    )
    return pulled.holds < pulled.needs ? { ...found, missed: true } : found
  },
  BY_PULL,
)

/** Twice the tables' strength is worth this much, decibans, and half of it as much less. */
const TWICE_DB = 3
/** Corrections nearer to 1 than this say nothing. */
const SAYS_SOMETHING = 1.1
const corrected = rule(
  'own-correction',
  'Three pulls of your own on this very pair.',
  'your own pulls against the tables, pair and family by pair and family',
  (s) => {
    if (!s.correction) return null
    const { factor, tested, pulls } = s.correction
    const times = Math.max(factor, 1 / factor)
    if (times < SAYS_SOMETHING) return null
    const db = Math.max(-TWICE_DB, Math.min(TWICE_DB, (TWICE_DB * Math.log(factor)) / Math.LN2))
    const where = tested ? 'Your own pulls on this pair' : 'Your own pulls on like pairs'
    return push(
      Math.round(10 * db) / 10,
      `${where} put it ${figureOf(times)} times ${factor > 1 ? 'above' : 'below'} the tables` +
        `${tested ? '' : `: borrowed from your other tests (${pulls} pulls), not tested here`}.`,
    )
  },
)

/** What practice reaches for, and how each face takes the glue. */
export const practiceRules: Rule[] = [reachedFor, grips, strength, layFlat, corrected]

import type { Family } from '../../knowledge/families'
import { cureAdvice } from '../../cure/advice'
import { passing } from '../../cure/shutIn'
import { block, caution, type Finding, HARM, note, push, type Rule, rule } from '../rule'
import { glueGrams, type Situation } from '../../situation/situation'
import { bothFaces, has, needs, someFace, withTrait } from '../../situation/about'
import { durationWords } from '../../quantities/durations'
import { isCa, isEpoxy, isFoam, isHardPlastic, isHotmelt, isPressure } from './kinds'
import { graded } from './scale'

/** What a room too cold does to a family that reacts or dries. */
const inTheCold = ({ mechanism }: Family, contact: boolean) =>
  mechanism === 'evaporate-water' ? 'it dries chalky' : contact ? 'the film grabs poorly' : 'it stalls'

/** Days that a joint is given to dry through where the brief names no hour. */
const DAYS_GIVEN = 7
const DAY_S = 86_400

/**
 * What water, solvent or damp that must pass a joint between two sealed faces costs: by the days to its middle against
 * the days given (rules of practice, shut-in drying).
 */
function shutIn({ cure, edgeMm, readyH }: Situation, what: string): Finding | null {
  if (cure.depthOpen)
    return note(`${what} only at the rim: in a wide joint the middle stays soft. Say how large it is.`)
  if (cure.closedS === null) return null
  const given = readyH === null ? DAYS_GIVEN : Math.max(1, readyH / 24)
  const db = graded(cure.closedS / DAY_S / given, [1, 2, 5, 15], [0, -3, -6, -10, -20])
  const time = durationWords(cure.closedS)
  const text = `${what} only at the rim, and the middle lies ${edgeMm!.toFixed(0)} mm in: ${time}`
  const { beads } = cure
  const told = beads
    ? `${text} as one film. In beads of ${beads.widthMm} mm with air lanes between them it takes ` +
      `${durationWords(beads.fullS)}.`
    : `${text}, within its cure.`
  return db === 0 ? note(told) : push(db, told)
}

const waterTrapped = rule(
  'water-trapped',
  'Bond a full-size scrap, pull it open after 24 h and look for wet glue.',
  'drying only through the edge; time grows with distance squared',
  (s) => (passing(s.family) === 'water' ? shutIn(s, 'The water leaves') : null),
)

const blindJointSlow = rule(
  'blind-joint-slow',
  'Pull a full-size scrap open after 3 days.',
  'edge diffusion; cure depth follows root of time',
  (s) => {
    const what = passing(s.family)
    if (what === 'solvent') return shutIn(s, 'The solvent leaves')
    return what === 'damp' ? shutIn(s, 'Damp air enters') : null
  },
)

const moistureCureDryAir = rule(
  'moisture-cure-dry-air',
  'One timed scrap in the real room.',
  'water is a reactant',
  (s) => {
    if (!needs(s, 'moisture')) return null
    const foaming = has(s, 'foams')
    const dry = s.faces.every((face) => face.state !== 'damp')
    if (foaming && dry && bothFaces(s, (m) => m.porosity < 0.2))
      return note(
        'It needs water to cure and finds none between these two dry, sealed faces: damp one of them lightly.',
      )
    return s.roomRH !== null && s.roomRH < 35
      ? caution(`It cures with the damp of the air, and the room has ${s.roomRH} %: moisten the air or a face.`)
      : null
  },
)

const dampFace = rule(
  'damp-face',
  'Bond one dried and one damp scrap and peel both.',
  'weak boundary layer of water',
  (s) => {
    const face = s.faces.find((one) => one.state === 'damp')
    const minds =
      has(s, 'minds-damp') || isHotmelt(s.family) || isPressure(s.family) || isEpoxy(s.family) || isCa(s.family)
    return face && minds
      ? caution(
          `Side ${face.side} is damp: a film of water keeps this glue off ` +
            `it${isCa(s.family) ? ', or shocks it into a weak crust' : ''}. Dry it first.`,
        )
      : null
  },
)

const lightPathMissing = rule(
  'light-path-missing',
  'None needed; lift a scrap and find wet glue.',
  'photoinitiator needs light',
  (s) => {
    if (!needs(s, 'light-path')) return null
    const [a, b] = s.faces
    if (a.material && b.material && !a.material.transparent && !b.material.transparent)
      return block('No side lets light through: where light cannot reach, the glue stays liquid and irritant.')
    const dim =
      withTrait(s, 'tinted', (m) => m.transparent) ??
      s.faces.find((face) => face.material?.transparent && face.thicknessMm !== null && face.thicknessMm > 6)
    if (dim) return caution(`Side ${dim.side} dims the lamp: cure a drop through the real sheet first.`)
    return someFace(s, (m) => m.porosity > 0.3)
      ? caution(
          'The other face is porous: resin that soaks into the shade stays wet. Light a drop through the real ' +
            'sheet first.',
        )
      : null
  },
)

const willNotCureHere = rule(
  'will-not-cure-here',
  'A drop on scrap in the real room, looked at after a day.',
  'least temperature of the reaction or the film; vapour pressure and water content of the air',
  // Where no light finds a way, the rule of the light says it.
  (s) => (s.cure.cures || s.cure.why === 'dark' ? null : block(cureAdvice(s.cure)[0]!)),
)

const coldOrHumidRoom = rule(
  'cold-or-humid-room',
  'A scrap bonded in the real room next to one bonded in the warm.',
  'film-forming temperature; rate roughly halves per 10 °C; evaporative cooling',
  (s) => {
    if (!s.cure.cures) return null
    const contact = has(s, 'dry-grab')
    const reacts = ['evaporate-water', 'two-part', 'moisture'].includes(s.family.mechanism)
    if (s.roomC !== null && s.roomC < (contact ? 15 : 10) && (contact || reacts))
      return caution(
        `The room has ${s.roomC} °C: ${inTheCold(s.family, contact)} below ${contact ? 15 : 10} °C. Glue in the warm.`,
      )
    const dew = contact || s.family.chemistry === 'elastomer'
    return s.roomRH !== null && s.roomRH > 75 && dew
      ? caution(`The air is humid (${s.roomRH} %): dew on the cooling film kills its grab.`)
      : null
  },
)

const mixOffRatio = rule(
  'mix-off-ratio',
  'Leave the cup; it must go hard.',
  'stoichiometry error grows as batch shrinks',
  (s) => {
    if (s.family.mechanism !== 'two-part') return null
    const grams = s.areaCm2 === null ? null : glueGrams(s.family, s.areaCm2, s.gapMm) * Math.max(1, s.count ?? 1)
    return grams !== null && grams >= 5
      ? null
      : note(
          `${grams === null ? 'A tiny' : `A ${grams.toFixed(1)} g`} batch is easily off ratio and stays ` +
            'sticky: mix 5 g or more, by weight or a metering nozzle.',
        )
  },
)

const bigBatchHeat = rule(
  'big-batch-heat',
  'Watch a small cup on a tile.',
  'exotherm exceeds heat loss in bulk',
  (s) => {
    if (!has(s, 'heats-in-bulk') || s.areaCm2 === null) return null
    const grams = glueGrams(s.family, s.areaCm2, s.gapMm)
    // Spread thin over a broad face the same grams shed their heat: a pool is what stands a millimetre deep or more.
    const pool = s.gapMm !== null && s.gapMm >= 1
    const tender = pool
      ? someFace(s, (m, face) => isFoam(m) || (face.thicknessMm !== null && face.thicknessMm < 1 && isHardPlastic(m)))
      : null
    return grams > 50 || (tender && grams > 10)
      ? caution(
          `About ${grams.toFixed(0)} g in one place heats ` +
            `itself${tender ? ` and can melt side ${tender.side}` : ' and can smoke'}: fill in thin layers.`,
        )
      : null
  },
  HARM,
)

const shelfOld = rule(
  'shelf-old',
  'Bond and break two scraps before trusting the pack.',
  'moisture ingress, polymerisation, broken emulsion',
  (s) => {
    const { pack, family } = s
    if (!pack) return null
    if (pack.expired)
      return caution('The pack on your shelf is past its date: it may be thick, lumpy or half reactive.')
    if (pack.daysOpen !== null && pack.daysOpen > family.shelfOpenedDays)
      return caution(`The pack has been open for ${pack.daysOpen} days and keeps about ${family.shelfOpenedDays}.`)
    return pack.monthsOld !== null && pack.monthsOld > family.shelfUnopenedMonths
      ? caution(`The pack is ${pack.monthsOld} months old and keeps about ${family.shelfUnopenedMonths}.`)
      : null
  },
)

/** Drying, curing, and being ready in time. */
export const curingRules: Rule[] = [
  waterTrapped,
  blindJointSlow,
  moistureCureDryAir,
  dampFace,
  lightPathMissing,
  willNotCureHere,
  coldOrHumidRoom,
  mixOffRatio,
  bigBatchHeat,
  shelfOld,
]

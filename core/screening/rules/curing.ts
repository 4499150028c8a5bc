import type { Family } from '../../knowledge/families'
import { cureAdvice } from '../../cure/advice'
import { shareAfter } from '../../cure/cure'
import { passing } from '../../cure/shutIn'
import { block, caution, type Finding, HARM, note, push, type Rule, rule } from '../rule'
import {
  bothFaces,
  glueGrams,
  has,
  needs,
  someFace,
  withTrait,
  loaded,
  type Situation,
} from '../../situation/situation'
import { durationWords } from '../../quantities/durations'
import { isCa, isEpoxy, isFoam, isHardPlastic, isHotmelt, isPressure } from './kinds'
import { coverS } from './cover'
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

const potLifeVsBatch = rule('pot-life-vs-batch', 'Time a dry run.', 'wetting falls as viscosity doubles', (s) => {
  const pot = s.family.potLifeS
  if (pot === null || s.family.mechanism !== 'two-part' || s.areaCm2 === null) return null
  // Spreading, and half a minute to line up and close.
  const one = coverS(s.areaCm2, s.family) + 30
  const all = one * (s.count ?? 1)
  if (one > 0.7 * pot)
    return caution(
      `Spreading and closing takes about ${durationWords(one)} and the mix is good for ${durationWords(pot)}: ` +
        'it thickens before ' +
        'the last part is wetted.',
    )
  return all > 0.7 * pot
    ? note(
        `All ${s.count} take about ${durationWords(all)} and a mix is good for ${durationWords(pot)}: mix ` +
          `${Math.ceil(all / (0.7 * pot))} small lots.`,
      )
    : null
})

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

/** Share of its strength that a joint wants at its hour: half, nearly all where a clamp comes off or it is knocked. */
const shareNeeded = (s: Situation) => (s.family.clamp === 'clamp' || loaded(s, 'impact') ? 0.9 : 0.5)

const notReadyInTime = rule(
  'not-ready-in-time',
  'A scrap pulled at the hour at which you need it.',
  'handling and full-cure times of the table or the label',
  (s) => {
    if (s.readyH === null || !s.cure.cures) return null
    const limit = s.readyH * 3600
    const { handlingS, fullS, waitMinS } = s.family
    const labelled = s.labelled.includes('handlingS') || s.labelled.includes('fullS')
    const share = labelled ? null : shareAfter(s.cure, limit - waitMinS)
    const asked = durationWords(limit)
    if (share === null) {
      if (handlingS > limit)
        return block(`It can be handled after ${durationWords(handlingS)}, and you need it in ${asked}.`)
      return fullS <= limit ? null : note(`Full strength takes ${durationWords(fullS)}, and you need it in ${asked}.`)
    }
    const early = handlingS > 1.5 * limit ? -20 : handlingS > limit ? -10 : 0
    const db = Math.min(early, graded(share / shareNeeded(s), [0.2, 0.4, 0.7, 0.9999], [-20, -10, -6, -3, 0]))
    const has100 = Math.round(100 * share)
    const text = `In ${asked} it has about ${has100} % of its strength`
    if (db === 0) return has100 < 100 ? note(`${text}; full strength takes ${durationWords(fullS)}.`) : null
    return push(db, `${text}, too little to be handled: full strength takes ${durationWords(fullS)}.`)
  },
)

/** Handling times past the moment by these shares, and what they push. */
const LATE = [1, 1.5, 3]
const notHandledInTime = rule(
  'not-handled-in-time',
  'A scrap taken up at the minute at which you need it.',
  'handling time of the table or the label against the minute that was said',
  (s) => {
    const limitH = s.said.handledH ?? null
    if (limitH === null) return null
    // Dabs of a fast glue hold it meanwhile.
    if (s.helpers.includes('tack-and-cure')) return note('Its fast dabs hold until it can be handled.')
    const { handlingS } = s.family
    const limit = limitH * 3600
    const db = graded(handlingS / limit, LATE, [0, -6, -10, -20])
    const finding = push(
      db,
      `It can be handled ${durationWords(handlingS)} after closing, and you want to take it up after ` +
        `${durationWords(limit)}.`,
    )
    return db === 0 ? null : { ...finding, ...(s.labelled.includes('handlingS') && { grade: 'label' as const }) }
  },
)

const slowForSoMany = rule(
  'slow-for-so-many',
  'Time three in a row.',
  'hands are the bottleneck: hold time × pieces',
  (s) => {
    if (s.perEvening === null || s.family.clamp !== 'hold') return null
    const hours = (s.perEvening * (s.family.holdS + 30)) / 3600
    return hours > 3
      ? caution(
          `${s.perEvening} pieces in an evening, each held for ${durationWords(s.family.holdS)}, take about ` +
            `${hours.toFixed(0)} h of holding still.`,
        )
      : null
  },
)

/** A mend that serves until a better one is wanted within the hour, s. */
const MEND_S = 3600
const slowForAMend = rule('slow-for-a-mend', 'Time it on a scrap.', 'handling time of the table or the label', (s) =>
  s.said.life === 'mend' && s.family.handlingS > MEND_S
    ? caution(`For a mend until a better one it is slow: it can be handled after ${durationWords(s.family.handlingS)}.`)
    : null,
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
  potLifeVsBatch,
  bigBatchHeat,
  shelfOld,
  notReadyInTime,
  notHandledInTime,
  slowForSoMany,
  slowForAMend,
]

import type { Family } from '../../knowledge/families'
import { block, caution, HARM, note, type Rule, rule } from '../rule'
import { bothFaces, glueGrams, has, needs, someFace, withTrait } from '../../situation/situation'
import { durationWords } from '../../quantities/durations'
import { barrier, isCa, isContact, isEpoxy, isFoam, isHardPlastic, isHotmelt, isPressure } from './kinds'
import { coverS } from './cover'

/** Days until the middle of a closed joint is dry or cured: (half-width ÷ k)², k in mm/√day (methods.md 6). */
const rimDays = (edgeMm: number, k: number) => (edgeMm / k) ** 2
const days = (n: number) =>
  n > 365 ? 'over a year' : `about ${Math.max(1, Math.round(n))} ${n < 1.5 ? 'day' : 'days'}`

/** What a room too cold does to a family that reacts or dries. */
const inTheCold = ({ mechanism }: Family, contact: boolean) =>
  mechanism === 'evaporate-water' ? 'it dries chalky' : contact ? 'the film grabs poorly' : 'it stalls'

const waterTrapped = rule(
  'water-trapped',
  'Bond a full-size scrap, pull it open after 24 h and look for wet glue.',
  'drying only through the edge; time grows with distance squared',
  (s) => {
    if (s.family.mechanism !== 'evaporate-water' || isContact(s.family) || !bothFaces(s, barrier)) return null
    if (s.edgeMm === null)
      return caution(
        'Both faces keep water in, so it dries only from the rim. Say how large the joint is to know how long.',
      )
    const time = days(rimDays(s.edgeMm, 2.5))
    return s.edgeMm <= 15
      ? caution(
          `Both faces keep the water in: from the rim inwards the ${s.edgeMm.toFixed(0)} mm to the middle may ` +
            `take ${time}.`,
        )
      : block(
          `The water cannot get out: both faces keep it in and the middle lies ${s.edgeMm.toFixed(0)} mm from ` +
            `the rim, ${time} of drying.`,
        )
  },
)

const blindJointSlow = rule(
  'blind-joint-slow',
  'Pull a full-size scrap open after 3 days.',
  'edge diffusion; cure depth follows root of time',
  (s) => {
    const solvent = s.family.mechanism === 'evaporate-solvent' && s.family.faces === 'one' && !has(s, 'mist')
    const damp = has(s, 'damp-cured')
    if (!(solvent || damp) || !bothFaces(s, barrier)) return null
    const what = solvent ? 'Solvent leaves only at the rim' : 'Damp air enters only at the rim, 2–3 mm a day at first'
    if (s.edgeMm === null)
      return s.geometry === 'face-large'
        ? caution(
            `${what}: between large sealed faces the middle stays soft for weeks. Lay separate beads with air gaps.`,
          )
        : note(`${what}: in a wide joint the middle stays soft. Say how large it is.`)
    if (s.edgeMm <= 10) return null
    return caution(
      `${what}, and the middle lies ${s.edgeMm.toFixed(0)} mm in: ${days(rimDays(s.edgeMm, solvent ? 4 : 3))}. ` +
        'Lay separate beads with air gaps and wait.',
    )
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
      return caution(
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

const coldOrHumidRoom = rule(
  'cold-or-humid-room',
  'A scrap bonded in the real room next to one bonded in the warm.',
  'film-forming temperature; rate roughly halves per 10 °C; evaporative cooling',
  (s) => {
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

const notReadyInTime = rule(
  'not-ready-in-time',
  'A scrap pulled at the hour at which you need it.',
  'handling and full-cure times of the table or the label',
  (s) => {
    if (s.readyH === null) return null
    const limit = s.readyH * 3600
    const { handlingS, fullS } = s.family
    if (handlingS > limit)
      return block(`It can be handled after ${durationWords(handlingS)}, and you need it in ${durationWords(limit)}.`)
    if (fullS <= limit) return null
    // What grabs early carries most of its load long before the full cure.
    return limit < 10 * handlingS
      ? caution(
          `Full strength takes ${durationWords(fullS)} and you need it in ${durationWords(limit)}: load it ` +
            'lightly till then.',
        )
      : note(`It carries most of its load in ${durationWords(limit)}; the full cure takes ${durationWords(fullS)}.`)
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

/** Drying, curing, and being ready in time. */
export const curingRules: Rule[] = [
  waterTrapped,
  blindJointSlow,
  moistureCureDryAir,
  dampFace,
  lightPathMissing,
  coldOrHumidRoom,
  mixOffRatio,
  potLifeVsBatch,
  bigBatchHeat,
  shelfOld,
  notReadyInTime,
  slowForSoMany,
]

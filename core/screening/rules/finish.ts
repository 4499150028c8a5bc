import { figureOf } from '../../quantities/figure'
import { showMoney } from '../../quantities/money'
import { caution, note, push, type Rule, rule } from '../rule'
import { drinkingFace, glueGrams } from '../../situation/situation'
import { has, inView, thicknessOf } from '../../situation/about'
import { isHotmelt, isPressure, isSilicone } from './kinds'
import { undoing } from '../undoing'

const sandOrCarveLine = rule(
  'sand-or-carve-line',
  'Sand and carve a cured scrap.',
  'hardness step or soft film',
  (s) => {
    const sand = s.later?.includes('sand') && !s.family.sandable
    const carve = s.later?.includes('carve') && !s.family.carvable
    if (!sand && !carve) return null
    const inFace = s.geometry === 'butt-edge' || (carve && (s.geometry === 'face-large' || s.geometry === 'rod'))
    return push(
      inFace ? -10 : carve ? -6 : -3,
      `${sand ? 'Under sandpaper the line gums and rolls up' : 'Under the knife the line stands proud as a ridge'}: ` +
        'keep it 2 mm below the worked face.',
    )
  },
)

const hotWireThroughLine = rule(
  'hot-wire-through-line',
  'Glue small dots away from the cut and try a scrap outdoors.',
  'glue does not melt at wire temperature; decomposition fume',
  (s) => {
    if (!s.later?.includes('hot-wire') || s.family.hotWire === 'yes') return null
    return s.family.hotWire === 'slow'
      ? push(-6, 'The wire drags through this line: keep glue out of the cut path.')
      : push(
          ['butt-edge', 'face-large', 'rod'].includes(s.geometry ?? '') ? -20 : -10,
          'The wire stalls at this line, burns a groove and drives off fumes; keep glue out of the cut path or ' +
            'take another.',
        )
  },
)

const paintWillNotHold = rule(
  'paint-will-not-hold',
  'Paint a glued scrap, cut a cross, pull tape.',
  'low energy or too flexible film',
  (s) =>
    s.later?.includes('paint') && !s.family.paintable
      ? push(
          s.geometry === 'butt-edge' ? -10 : -6,
          'Paint crawls or cracks on this ' +
            `film${isSilicone(s.family) ? ', and silicone spoils the area around it' : ''}: keep it off the ` +
            'painted face.',
        )
      : null,
)

const lineThicknessAndWeight = rule(
  'line-thickness-and-weight',
  'Weigh a coated scrap; feel the seam.',
  'coat weight; print-through',
  (s) => {
    const skin =
      isHotmelt(s.family) || has(s, 'thick')
        ? s.faces.find((face) => face.material?.flexible && (thicknessOf(face) ?? 9) < 0.5)
        : undefined
    if (skin) {
      const text = `Under ${thicknessOf(skin)} mm the bead or tape stands out as a step you can see and feel.`
      return inView(s) ? caution(text) : note(text)
    }
    if (s.areaCm2 === null || s.restN === null || s.restN === 0) return null
    const [glue, part] = [glueGrams(s.family, s.areaCm2, s.gapMm), (s.restN / 9.80665) * 1000]
    return glue > part / 10
      ? caution(`About ${figureOf(glue)} g of glue on a part of ${figureOf(part)} g: the glue itself is weight.`)
      : null
  },
)

const repeatCoats = rule('repeat-coats', 'Peel strip, one coat against two.', 'sizing of absorbent faces', (s) => {
  const face = drinkingFace(s)
  return face
    ? note(`Let a first coat soak into side ${face.side} and dry, then coat again so that glue is left on the surface.`)
    : null
})

const temporaryNeedsRelease = rule(
  'temporary-needs-release',
  'Undo a cured scrap by the listed way.',
  'bond stronger than the surface',
  (s) => {
    if (!s.comesApart) return null
    const { way, harms } = undoing([s])
    if (way) return null
    const why = harms[0] ?? 'it only cuts'
    // What has reacted hard is sawn or torn off.
    const hard = ['two-part', 'moisture', 'light', 'weld'].includes(s.family.mechanism) && s.family.flex === 'rigid'
    return push(hard ? -20 : -10, `This joint will not come apart without harm: ${why}.`)
  },
)

const temporaryUsedAsPermanent = rule(
  'temporary-used-as-permanent',
  'Hot box for three days, then peel strip.',
  'oxidation, plasticiser loss, creep',
  (s) => {
    const fleeting = has(s, 'fleeting') || (s.family.chemistry === 'natural-rubber' && s.reach === 'one')
    const creeping = isPressure(s.family) || has(s, 'dries-out')
    return s.lasts && fleeting
      ? caution(`It ${creeping ? 'dries out or creeps' : 'lets go'} within seasons, and this must last for years.`)
      : null
  },
)

const tooDear = rule('dearer-than-said', 'Weigh what one scrap takes.', 'area × spread × price of the pack', (s) => {
  if (s.maxCost === null || s.glueCost === null || s.glueCost <= s.maxCost) return null
  const [costs, named] = [showMoney(s.glueCost, s.currency), showMoney(s.maxCost, s.currency)]
  return caution(
    costs === named
      ? `The glue alone comes to just over the ${named} a joint that was said.`
      : `The glue alone comes to ${costs} a joint, more than the ${named} that was said.`,
  )
})

/** Later work, weight, money, and coming apart again. */
export const finishRules: Rule[] = [
  sandOrCarveLine,
  hotWireThroughLine,
  paintWillNotHold,
  lineThicknessAndWeight,
  repeatCoats,
  temporaryNeedsRelease,
  temporaryUsedAsPermanent,
  tooDear,
]

import { waterRank } from '../../knowledge/families'
import { block, caution, type Rule } from '../rule'
import { someFace } from '../situation'

const waterWords = { no: 'none', splash: 'splashes', wash: 'washing or rain', soak: 'soaking' } as const

/** What the joint meets afterwards. */
export const serviceRules: Rule[] = [
  {
    id: 'too-hot-for-glue', harm: false,
    settleBy: 'Bonded scrap under load at the highest temperature for 2 h, thermometer inside.',
    basis: 'creep above softening; stated service limit',
    judge: (s) => {
      const limit = s.family.serviceMaxC
      if (s.tempMaxC === null || s.tempMaxC <= limit - 5) return null
      return s.tempMaxC > limit + 10
        ? block(`It lets go in the heat: the joint meets ${s.tempMaxC} °C and this holds to about ${limit} °C.`)
        : caution(`Near its limit of ${limit} °C it creeps slowly under load, and the joint meets ${s.tempMaxC} °C.`)
    },
  },
  {
    id: 'too-cold', harm: false,
    settleBy: 'Overnight in the freezer, then bend and drop.',
    basis: 'glass transition; brittleness',
    judge: (s) => (s.tempMinC !== null && s.tempMinC < s.family.serviceMinC ? caution(`Stiff in the cold: below ${s.family.serviceMinC} °C it cracks when knocked, and the joint meets ${s.tempMinC} °C.`) : null),
  },
  {
    id: 'water-too-much', harm: false,
    settleBy: 'Soak or wash as in real use, then peel.',
    basis: 'water class of the cured film',
    judge: (s) =>
      s.water !== null && waterRank(s.water) > waterRank(s.family.water)
        ? block(`The joint meets ${waterWords[s.water]}; this glue stands ${s.family.water === 'no' ? 'no water' : waterWords[s.family.water]}.`)
        : null,
  },
  {
    id: 'rigid-on-flexing', harm: false,
    settleBy: 'Fold it fifty times.',
    basis: 'strain mismatch; peel concentration',
    judge: (s) => {
      const bends = s.loads?.some((load) => load === 'flex' || load === 'peel')
      return s.family.flex === 'rigid' && bends && someFace(s, (material) => material.flexible) ? caution('The part bends and the glue does not: the edge cracks or tears the part.') : null
    },
  },
  {
    id: 'rigid-in-peel-or-cleavage', harm: false,
    settleBy: 'Peel strip, or drop it from waist height.',
    basis: 'low fracture energy; stress at the edge',
    judge: (s) =>
      s.family.flex === 'rigid' && s.loads?.some((load) => load === 'peel' || load === 'cleavage' || load === 'impact')
        ? caution('Strong in a straight pull, but it unzips from one edge or cracks when dropped.')
        : null,
  },
  {
    id: 'hot-wire-through-line', harm: false,
    settleBy: 'Glue small dots away from the cut and try a scrap outdoors.',
    basis: 'glue does not melt at wire temperature; decomposition fume',
    judge: (s) => {
      if (!s.later?.includes('hot-wire') || s.family.hotWire === 'yes') return null
      return s.family.hotWire === 'slow'
        ? caution('The wire drags through this line: keep glue out of the cut path.')
        : block('The wire stalls at this line, burns a groove and drives off fumes; keep glue out of the cut path or take another.')
    },
  },
  {
    id: 'paint-will-not-hold', harm: false,
    settleBy: 'Paint a glued scrap, cut a cross, pull tape.',
    basis: 'low energy or too flexible film',
    judge: (s) => (s.later?.includes('paint') && !s.family.paintable ? caution('Paint crawls or cracks on this film: keep it off the painted face.') : null),
  },
  {
    id: 'line-shows', harm: false,
    settleBy: 'Bond a scrap, view at arm’s length in the real light.',
    basis: 'colour and refractive mismatch',
    judge: (s) => {
      const shows = s.look !== null && s.look !== 'hidden' && (s.family.look === 'tinted' || s.family.look === 'opaque' || (s.family.look === 'haze' && s.look === 'clear'))
      return shows ? caution(`The line or squeeze-out will show: it dries ${s.family.look === 'haze' ? 'hazy' : s.family.look}.`) : null
    },
  },
] // prettier-ignore

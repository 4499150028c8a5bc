import { block, caution, type Rule } from '../rule'
import { bothFaces, someFace } from '../situation'

/** cm² a second by spreader, cm² by spray, cm of bead: how fast an area is covered (rules, open-time-vs-area). */
function coverS(areaCm2: number, form: string, faces: 'one' | 'both'): number {
  const spread = areaCm2 * (faces === 'both' ? 2 : 1)
  if (form === 'spray') return spread / 100
  if (form === 'melt') return Math.sqrt(areaCm2) / 3 * Math.max(1, Math.sqrt(areaCm2) / 2) // beads 2 cm apart, 3 cm a second
  return spread / 10
} // prettier-ignore

/** Drying, curing, and covering in time. */
export const curingRules: Rule[] = [
  {
    id: 'water-trapped', harm: false,
    settleBy: 'Bond a full-size scrap, pull it open after 24 h and look for wet glue.',
    basis: 'drying only through the edge; time grows with distance squared',
    judge: (s) => {
      if (s.family.mechanism !== 'evaporate-water' || s.family.id === 'contact-water' || !bothFaces(s, (material) => material.vapourBarrier)) return null
      if (s.edgeMm === null) return caution('Both faces keep water in, so it dries only from the rim. Say how large the joint is to know how long.')
      const days = (s.edgeMm / 2.5) ** 2
      return s.edgeMm <= 15
        ? caution(`Both faces keep the water in: from the rim inwards the ${s.edgeMm.toFixed(0)} mm to the middle may take about ${Math.ceil(days)} days.`)
        : block(`The water cannot get out: both faces keep it in and the middle lies ${s.edgeMm.toFixed(0)} mm from the rim, about ${Math.round(days)} days of drying.`)
    },
  },
  {
    id: 'light-path-missing', harm: false,
    settleBy: 'None needed; lift a scrap and find wet glue.',
    basis: 'photoinitiator needs light',
    judge: (s) => {
      if (!s.family.needs.includes('light-path')) return null
      const [a, b] = s.faces
      if (!a.material || !b.material) return null
      if (!a.material.transparent && !b.material.transparent) return block('No side lets light through: where light cannot reach, the glue stays liquid and irritant.')
      const porous = someFace(s, (material) => material.porosity > 0.3)
      return porous ? caution('The other face is porous: resin that soaks into the shade stays wet. Light a drop through the real sheet first.') : null
    },
  },
  {
    id: 'gap-too-wide', harm: false,
    settleBy: 'Bond a scrap with the real gap set by card shims.',
    basis: 'cure depth, shrinkage and cohesive limits',
    judge: (s) => {
      const { gapMaxMm } = s.family
      if (s.gapMm === null || s.gapMm <= gapMaxMm) return null
      const filled = s.helpers.includes('powder-filler') && ['ca-thin', 'ca-medium'].includes(s.family.id) && s.gapMm <= 3
      if (filled) return null
      const text = `The gap is ${s.gapMm} mm and this bridges ${gapMaxMm} mm: it stays wet or shrinks away. Improve the fit or take a gap filler.`
      return s.gapMm > 1.5 * gapMaxMm ? block(text) : caution(text)
    },
  },
  {
    id: 'open-time-vs-area', harm: false,
    settleBy: 'Dry run with a timer on the full size.',
    basis: 'wetting stops at skin or freeze',
    judge: (s) => {
      const { family } = s
      if (s.areaCm2 === null || family.id === 'ca-thin' || family.mechanism === 'pressure' || family.form === 'film') return null
      const need = coverS(s.areaCm2, family.form, family.faces)
      if (need <= 0.7 * family.openS) return null
      const text = `${s.areaCm2.toFixed(0)} cm² takes about ${Math.round(need)} s to cover; this one skins or chills in ${family.openS} s.`
      return need > 1.5 * family.openS ? block(text) : caution(text)
    },
  },
] // prettier-ignore

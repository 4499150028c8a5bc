import { hazardsOf, type Hazard } from '../knowledge/hazards'
import { familyOf } from '../knowledge/families'
import type { Helper } from '../knowledge/vocabulary'
import { helperWords } from '../knowledge/vocabularyWords'
import { type Situation } from '../situation/situation'
import { combinedCautions } from './combined'
import { thingsToHaveReady, type Ready } from './ready'

/** What the helpers bring with them; general practice, their own labels come first. */
const helperHazards: Record<Helper, string[]> = {
  activator: ['flammable', 'vapour-irritant', 'eye'],
  'powder-filler': ['dust', 'exotherm', 'eye'],
  'fibre-filler': ['exotherm', 'dust'],
  primer: ['flammable', 'vapour-narcotic', 'eye'],
  'tack-and-cure': [],
  'cloth-primer': [],
  'paper-backing': [],
}

interface CareHazard extends Hazard {
  /** what brings it: the glue, a helper, a material */
  from: string[]
}

export interface Care {
  hazards: CareHazard[]
  /** what comes from two things meeting: solvent near a hot wire, instant glue on cotton */
  combined: string[]
  /** at preparing and cleaning the faces */
  cleaning: string[]
  ready: Ready[]
}

/** Everything that brings a hazard code into this joint, with its name. */
function hazardSources(s: Situation): { code: string; from: string }[] {
  const glue = s.family.hazards.map((code) => ({ code, from: s.family.name }))
  const helped = s.helpers.flatMap((helper) => {
    const codes = helper === 'tack-and-cure' && s.dab ? familyOf(s.dab).hazards : helperHazards[helper]
    return codes.map((code) => ({ code, from: helperWords[helper].word }))
  })
  const second = s.second ? s.second.family.hazards.map((code) => ({ code, from: s.second!.name })) : []
  const parts = s.faces.flatMap(({ material, traits }) => {
    if (!material) return []
    const codes: string[] = []
    if (
      s.later?.includes('sand') &&
      (material.group === 'wood' || material.group === 'print' || material.group === 'foam')
    )
      codes.push('dust')
    if (material.traits.includes('resin') && traits?.includes('uncured')) codes.push('sensitiser', 'acrylate')
    return codes.map((code) => ({ code, from: material.name }))
  })
  return [...glue, ...helped, ...second, ...parts]
}

/**
 * The care a procedure needs before it is started: hazards of glue, helpers and materials, what their meeting adds,
 * what to have ready.
 */
export function careFor(s: Situation): Care {
  const sources = hazardSources(s)
  const codes = [...new Set(sources.map(({ code }) => code))]
  const hazards = hazardsOf(codes).map((hazard) => ({
    ...hazard,
    from: [...new Set(sources.filter(({ code }) => code === hazard.id).map(({ from }) => from))],
  }))
  return {
    hazards,
    combined: combinedCautions(s, codes, 'gluing'),
    cleaning: combinedCautions(s, codes, 'cleaning'),
    ready: thingsToHaveReady(s, codes),
  }
}

/** Words for what is asked only where it is asked: apart, since the first page needs none of them. */
import type { FaceTrait, Helper, Motion, Stake } from './vocabulary'

export const motionWords: Record<Motion, string> = {
  still: 'hanging still',
  walked: 'walked',
  danced: 'danced or run',
  dropped: 'dropped',
}

export const helperWords: Record<Helper, { word: string; gloss: string }> = {
  activator: { word: 'activator', gloss: 'sets instant glue at once; brittle when overdone' },
  'powder-filler': { word: 'powder', gloss: 'fine powder and thin instant glue make a hard fillet' },
  'fibre-filler': { word: 'cotton fibre', gloss: 'a pinch and instant glue, on hard parts only' },
  primer: { word: 'polyolefin primer', gloss: 'lets instant glue take on polypropylene and polyethylene' },
  'tack-and-cure': { word: 'fast dabs', gloss: 'a fast glue in dabs holds while the slow one cures' },
  'cloth-primer': { word: 'primed cloth', gloss: 'a thin first coat, dried, keeps glue from the good side' },
  'paper-backing': { word: 'paper backing', gloss: 'thin paper laid on the back of thin cloth' },
}

export const traitWords: Record<FaceTrait, { word: string; gloss: string }> = {
  'cut-edge': { word: 'a cut edge or end grain', gloss: 'it drinks thin glue' },
  pale: { word: 'pale or with its good side out', gloss: 'what bleeds through will be seen' },
  printed: { word: 'printed or dyed by hand', gloss: 'ink or dye may run' },
  'glossy-dark': { word: 'glossy or dark, in view', gloss: 'a white frost would be seen' },
  tinted: {
    word: 'tinted, UV-filtering or over 6 mm thick',
    gloss: 'hold it before the lamp: does a drop behind it set?',
  },
  stressed: {
    word: 'bent, flame-polished, laser-cut or screwed tight',
    gloss: 'stress that solvent opens into cracks',
  },
  'across-layers': { word: 'pulled across its print layers', gloss: 'it may split between them' },
  uncured: { word: 'not washed and post-cured', gloss: 'a white cloth wiped over it (gloves on) comes off smeared' },
  'mould-fresh': { word: 'fresh from a mould, oily, or sanded and not wiped', gloss: 'a water drop stays round' },
  'polish-near': { word: 'near silicone spray, wax or polish', gloss: 'a water drop runs off and leaves no film' },
}

export const stakeWords: Record<Stake, { word: string; gloss: string }> = {
  overhead: { word: 'hangs over people or carries one', gloss: 'overhead pieces, seats, flying' },
  climbing: { word: 'is climbed on or held by', gloss: 'ropes, harness, handholds' },
  blade: { word: 'holds a blade or a missile', gloss: 'what may fly off when swung' },
  protective: { word: 'protects a body', gloss: 'helmets, guards' },
  pressure: { word: 'holds pressure', gloss: 'air, gas, water under pressure' },
  mains: { word: 'touches mains electricity', gloss: 'lamps and motors on the mains' },
  food: { word: 'meets food, drink or a mouth', gloss: 'cups, mouthpieces, toys that are chewed' },
  medical: { word: 'serves a medical use', gloss: 'splints, devices, dressings' },
  'skin-closing': { word: 'is glued to a body', gloss: 'glue between a part and skin, or closing skin' },
}

import { type Situation } from '../situation/situation'

export interface Ready {
  what: 'gloves' | 'eyes' | 'air' | 'fire' | 'at hand'
  text: string
}

/** What should lie ready before the lid is opened. The label and the data sheet come first. */
export function thingsToHaveReady(s: Situation, codes: readonly string[]): Ready[] {
  const has = (...some: string[]) => some.some((code) => codes.includes(code))
  const out: Ready[] = []
  const add = (what: Ready['what'], text: string) => out.push({ what, text })
  if (has('sensitiser', 'isocyanate', 'acrylate'))
    add(
      'gloves',
      'of the type the data sheet names, changed as soon as they are wetted: thin general gloves let some ' +
        'resins through in minutes',
    )
  else if (has('vapour-narcotic', 'cancer-suspect')) add('gloves', 'rated for the solvent on the label')
  else if (has('skin-bond')) add('gloves', 'non-absorbent, disposable; never cotton or wool')
  if (has('burn')) add('gloves', 'heat-resistant finger guards for pressing')
  if (s.family.mechanism === 'light') add('eyes', 'glasses rated for the lamp, for everyone near')
  else if (has('eye', 'vapour-irritant', 'skin-bond', 'exotherm')) add('eyes', 'close-fitting eye protection')
  if (has('vapour-narcotic', 'cancer-suspect', 'isocyanate'))
    add(
      'air',
      s.air === 'outdoors'
        ? 'outdoors, the wind from behind you'
        : 'extraction or outdoors, never a closed room; a respirator as the data sheet says',
    )
  else if (has('vapour-irritant', 'flammable', 'pressure-can', 'exotherm')) add('air', 'moving air away from your face')
  if (has('dust')) add('air', 'extraction or a mask of the class in the data sheet when sanding')
  if (has('flammable', 'pressure-can'))
    add(
      'fire',
      'no flame, spark or hot tool in the room; an extinguisher for burning liquids in reach; a closed metal ' +
        'bin for rags as local codes say',
    )
  if (has('skin-bond'))
    add('at hand', 'warm soapy water, and a debonder for the parts: bonded skin is soaked apart, never pulled')
  if (has('burn', 'exotherm')) add('at hand', 'cool running water for burns, about 20 minutes')
  if (codes.length) add('at hand', 'the label and the safety data sheet, and the number of the poison advice service')
  return out
}

import type { Brief, Side } from '../records/joint'

type Words = Partial<Omit<Brief, 'a' | 'b'>>
/** A usual joint in the maker's words: a dozen words of a brief as proposals, to be looked at one by one. */
export interface TradeStart {
  id: string
  word: string
  a: Partial<Side>
  b: Partial<Side>
  words: Words
}

/** Indoors, dry, at the bench with a window open. */
const indoors: Words = { heatC: 30, coldC: 5, water: 'no', sun: false, air: 'window', canClamp: true }
/** Worn: warm, bent, a little damp. */
const worn: Words = { heatC: 40, coldC: 0, water: 'splash', sun: false, air: 'window', flex: 'must-flex', life: 'show' }
const start = (
  id: string,
  word: string,
  a: string | Partial<Side>,
  b: string | Partial<Side>,
  words: Words,
): TradeStart => ({
  id,
  word,
  a: typeof a === 'string' ? { material: a } : a,
  b: typeof b === 'string' ? { material: b } : b,
  words,
})
const size = (widthMm: number, lengthMm: number): Words => ({ widthMm, lengthMm })
const sanded = (material: string): Partial<Side> => ({ material, state: 'sanded' })

export const tradeStarts: readonly TradeStart[] = [
  start('book-spine', 'Book spine', 'paper', 'paper', {
    ...indoors,
    ...size(10, 210),
    geometry: 'edge-strip',
    loads: ['flex'],
    flex: 'must-flex',
    life: 'years',
  }),
  start('endpaper', 'Endpaper on board', 'paper', 'card', {
    ...indoors,
    ...size(150, 210),
    geometry: 'face-large',
    loads: ['peel'],
    look: 'neat',
    life: 'years',
  }),
  start('stacked-foam', 'Stacked foam slabs, cut by hot wire', 'foam-xps', 'foam-xps', {
    ...indoors,
    ...size(200, 300),
    geometry: 'face-large',
    loads: ['shear'],
    later: ['hot-wire'],
    heatNear: false,
    look: 'hidden',
  }),
  start('foam-armour', 'Seam of foam armour', 'foam-eva', 'foam-eva', {
    ...worn,
    ...size(10, 300),
    geometry: 'butt-edge',
    loads: ['flex'],
    look: 'neat',
    later: ['paint'],
  }),
  start('kit-part', 'Styrene kit part', 'sheet-styrene', 'sheet-styrene', {
    ...indoors,
    ...size(2, 60),
    geometry: 'butt-edge',
    loads: ['shear'],
    gapMm: 0,
    fit: 'close',
    look: 'neat',
    later: ['paint'],
  }),
  start('detail', 'Detail on a model', 'print-resin', 'sheet-styrene', {
    ...indoors,
    ...size(5, 8),
    geometry: 'point',
    loads: ['shear'],
    gapMm: 0,
    look: 'neat',
    later: ['paint'],
  }),
  start('sole', 'Sole to upper', sanded('rubber-sole'), sanded('leather'), {
    ...worn,
    ...size(90, 270),
    geometry: 'face-large',
    loads: ['peel', 'flex'],
    water: 'wash',
    look: 'neat',
  }),
  start('printed-halves', 'Printed halves', sanded('print-pla'), sanded('print-pla'), {
    ...indoors,
    ...size(4, 300),
    geometry: 'butt-edge',
    loads: ['shear', 'impact'],
    heatC: 40,
    gapMm: 0.1,
    look: 'neat',
    later: ['sand', 'paint'],
  }),
  start('trim-stretch', 'Trim on stretch cloth', 'webbing', 'fabric-stretch', {
    ...worn,
    ...size(10, 200),
    geometry: 'lap',
    loads: ['flex'],
    skin: true,
    water: 'wash',
    look: 'neat',
  }),
  start('strap-armour', 'Strap on armour', 'webbing', 'foam-eva', {
    ...worn,
    ...size(25, 60),
    geometry: 'lap',
    loads: ['shear', 'peel'],
    look: 'hidden',
  }),
  start('coated-patch', 'Patch on coated cloth', 'vinyl-soft', 'vinyl-soft', {
    ...size(60, 60),
    geometry: 'patch',
    loads: ['peel', 'flex'],
    flex: 'must-flex',
    heatC: 50,
    coldC: -5,
    water: 'wash',
    sun: true,
    air: 'outdoors',
    life: 'years',
  }),
  start('clear-box', 'Clear box', 'sheet-acrylic', 'sheet-acrylic', {
    ...indoors,
    ...size(3, 200),
    geometry: 'butt-edge',
    loads: ['shear'],
    gapMm: 0,
    fit: 'close',
    look: 'clear',
    boxed: false,
    life: 'years',
  }),
  start('fin-tube', 'Fin on a tube', 'balsa', 'card', {
    ...size(3, 80),
    geometry: 'butt-edge',
    loads: ['bend', 'impact'],
    gapMm: 0.1,
    heatC: 40,
    coldC: 0,
    water: 'no',
    sun: false,
    air: 'window',
    later: ['sand', 'paint'],
    look: 'neat',
  }),
  start('magnet', 'Magnet in a pocket', 'metal', 'print-pla', {
    ...indoors,
    ...size(8, 8),
    geometry: 'point',
    loads: ['tension'],
    gapMm: 0.2,
    fit: 'close',
    look: 'hidden',
    life: 'years',
  }),
  start('sign', 'Sign on card', 'paper', 'card', {
    ...indoors,
    ...size(300, 400),
    geometry: 'face-large',
    loads: ['peel'],
    look: 'neat',
    life: 'show',
  }),
  start('stone', 'Stone on stone', 'ceramic-stone', 'ceramic-stone', {
    ...size(60, 80),
    geometry: 'face-large',
    loads: ['shear'],
    gapMm: 0.5,
    heatC: 50,
    coldC: -10,
    water: 'wash',
    sun: true,
    air: 'outdoors',
    look: 'neat',
    life: 'years',
  }),
]

/** Words that a start says, by their keys in the brief: “geometry”, “a.material”. */
export const wordsOf = ({ a, b, words }: TradeStart): string[] => [
  ...Object.keys(a).map((key) => `a.${key}`),
  ...Object.keys(b).map((key) => `b.${key}`),
  ...Object.keys(words),
]

/** The brief with a start's words in what is open; what was said stays. @returns the brief and the words proposed */
export function withStart(brief: Brief, start: TradeStart): { brief: Brief; proposed: string[] } {
  const open = <T extends object>(said: T, offered: Partial<T>): Partial<T> =>
    Object.fromEntries(Object.entries(offered).filter(([key]) => said[key as keyof T] === null)) as Partial<T>
  const taken: TradeStart = {
    ...start,
    a: open(brief.a, start.a),
    b: open(brief.b, start.b),
    words: open(brief, start.words),
  }
  return {
    brief: { ...brief, ...taken.words, a: { ...brief.a, ...taken.a }, b: { ...brief.b, ...taken.b } },
    proposed: wordsOf(taken),
  }
}

/** Words that are still proposals after some were said: a word that was said is one no more. */
export function stillProposed(proposed: readonly string[], before: Brief, patch: Partial<Brief>): string[] {
  const said = Object.entries(patch).flatMap(([key, value]) => {
    if (key !== 'a' && key !== 'b') return [key]
    const side = value as Side
    return Object.keys(side).flatMap((word) =>
      side[word as keyof Side] === before[key][word as keyof Side] ? [] : [`${key}.${word}`],
    )
  })
  return proposed.filter((key) => !said.includes(key))
}

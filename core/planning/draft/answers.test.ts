import { describe, expect, it } from 'vitest'
import { familyOf } from '../../knowledge/families'
import { materialClassOf } from '../../knowledge/materials'
import type { Brief } from '../../records/joint'
import { openBrief } from '../../records/openBrief'
import type { Reason } from '../../screening/reason'
import { situationOf, type Around, type Situation } from '../../situation/situation'
import { answers, demandsOf } from './answers'

const on = (family: string, a: string, b: string, brief: Partial<Brief> = {}, around: Around = {}) =>
  situationOf({ ...openBrief(), ...brief }, materialClassOf(a), materialClassOf(b), familyOf(family), around)
const side = (state: Brief['a']['state']) => ({ ...openBrief().a, state })
const reason = (rule: string, verdict: Reason['verdict'] = 'caution', text = ''): Reason => ({
  rule,
  verdict,
  text,
  settleBy: '',
  basis: '',
  harm: false,
  byPull: false,
  grade: 'rule of the trade',
})
/** What is asked, each as “slot: text”. */
const asked = (s: Situation, ...of: Parameters<typeof reason>) =>
  demandsOf(s, reason(...of)).map(({ at, text }) => `${at}: ${text}`)

const plain = on('epoxy-slow', 'wood', 'metal')
const dropOnScrap = 'try: Put a drop on a scrap of each side first and look after minutes and after a day'
const backFromTheCut = 'mask: Mask so that the glue stays back from the face that is worked, cut or painted later'
const keepShowing = 'mask: Mask what shows beside the line, and wipe squeeze-out at once'

/** Rules whose step is the same wherever they speak. */
const always: Record<string, string[]> = {
  'flammable-near-heat': [
    'ready: No heat gun, hot wire or flame in the room until the film is dry and the air is clear',
  ],
  'no-ventilation': ['ready: Open the window, and air the room while you work and afterwards'],
  'worn-on-skin': ['cure: Then cover or line the joint before it is worn'],
  'activator-on-sensitive-face': [dropOnScrap],
  'weld-unlike-plastics': [dropOnScrap],
  'glue-lifts-paint': [keepShowing],
  'stain-or-corrode': [keepShowing],
  'sand-or-carve-line': [backFromTheCut],
  'paint-will-not-hold': [backFromTheCut],
  'bloom-on-clear': ['mask: Cover what shows round the line, and keep the air moving across it'],
  'solvent-softens-thin-plastic': ['apply: As little as wets it'],
  'ink-or-dye-runs': ['try: Wet a scrap with the glue first and wipe it with a white cloth'],
  'big-batch-heat': ['apply: In thin layers, each cooled before the next'],
  'shelf-old': ['try: Bond and break two scraps first, before this pack is trusted'],
  'open-time-vs-area': ['apply: In strips, each closed before the next is laid'],
  'contact-no-reposition': ['close: With spacers between, one edge at a time'],
  'sets-before-aligned': ['fit: Make a stop or a jig, so that it is right at first touch'],
  'line-thickness-and-weight': ['apply: As thin as holds, pressed flat'],
  // The step as it stands.
  'mix-off-ratio': ['mix: '],
  'gap-helper': ['fill: '],
  'tack-window': ['wait: '],
  'hold-too-long': ['clamp: '],
}
/** Rules that ask for a step until they rule the glue out. */
const unlessBlocked: Record<string, string> = {
  'styrene-foam-attacked': dropOnScrap,
  'heat-marks-part': 'apply: Let it cool a moment before closing',
  'light-path-missing': 'try: Light a drop through the real sheet first: it must set hard',
  'gap-too-wide': 'fit: Sand the fit closer, or pack the gap with a sliver of the same stuff',
  'hot-wire-through-line': backFromTheCut,
  'powder-fill-on-foam': 'fill: Thin layers',
}

describe('what advice asks of a plan', () => {
  it.each(Object.entries(always))('%s: a step of its own', (rule, steps) => expect(asked(plain, rule)).toEqual(steps))

  it.each(Object.entries(unlessBlocked))('%s: a step, and none where the glue is ruled out', (rule, step) => {
    expect(asked(plain, rule)).toEqual([step])
    expect(asked(plain, rule, 'note')).toEqual([step])
    expect(asked(plain, rule, 'block')).toEqual([])
  })

  it('nothing of what own evidence has lifted, nor of what no step answers', () => {
    expect(demandsOf(plain, { ...reason('no-ventilation'), lifted: true })).toEqual([])
    expect(asked(plain, 'line-shows')).toEqual([])
    expect(answers['line-shows']).toBeUndefined()
  })

  it('prepares the side that is named, or both where none is', () => {
    const rules = {
      'close-fit-needed': 'Flatten it until no light shows through the dry joint',
      'old-glue-left': 'Scrape it bare and scrub off what is left',
      'glazed-skin': 'Scuff it matt',
      'dirty-face': 'Clean it, sand it, clean it again',
    }
    for (const [rule, text] of Object.entries(rules)) {
      expect(asked(plain, rule, 'caution', 'Side A (wood) is.')).toEqual([`prepare-a: ${text}`])
      expect(asked(plain, rule, 'caution', 'It is side B that is.')).toEqual([`prepare-b: ${text}`])
      expect(asked(plain, rule)).toEqual([`prepare-a: ${text}`, `prepare-b: ${text}`])
    }
    expect(asked(plain, 'curve-springs-back', 'caution', 'Side B springs back')[0]).toContain('Shape side B')
    expect(asked(plain, 'curve-springs-back')[0]).toContain('Shape side A')
  })

  it('bares, dries and cures the sides that are so, and no other', () => {
    const painted = on('epoxy-slow', 'wood', 'metal', { a: side('damp'), b: side('painted-solvent') })
    expect(asked(painted, 'paint-is-weak-layer')).toEqual(['prepare-b: Take the paint off where the joint comes'])
    const acrylic = on('epoxy-slow', 'wood', 'metal', { a: side('painted-acrylic') })
    expect(asked(acrylic, 'paint-is-weak-layer')[0]).toMatch(/^prepare-a/)
    expect(asked(painted, 'damp-face')).toEqual(['prepare-a: Dry it through'])
    const printed = on('epoxy-slow', 'wood', 'print-resin')
    expect(asked(printed, 'resin-print-not-cured')).toEqual(['prepare-b: Wash, dry and post-cure it'])
  })

  it('a weak edge: a backing, and a fillet of what fills one', () => {
    const fillet = 'fillet: Lay a fillet along both sides of the edge'
    const backing = 'fit: Make a backing strip, a bevel or pins for the thin edge'
    const of = (family: string, around: Around = {}) => asked(on(family, 'wood', 'wood', {}, around), 'butt-edge-small')
    expect(of('epoxy-slow')).toEqual([backing, fillet])
    expect(of('hotmelt-low')).toEqual([backing, fillet])
    expect(of('ca-thin', { helpers: ['powder-filler'] })).toEqual([backing, fillet])
    expect(of('ca-thin')).toEqual([backing])
  })

  it('a can: a mist beside the drop on scrap', () => {
    const can = on('spray-contact', 'foam-xps', 'card')
    expect(asked(can, 'styrene-foam-attacked')).toEqual([
      dropOnScrap,
      'apply: From arm’s length, a mist and no wet spots',
    ])
  })

  it('clear plastic that may craze: eased first, a drop on scrap where it is not only a note', () => {
    const eased = 'fit: Glue before bending, or anneal what was bent, cut or polished hot'
    expect(asked(plain, 'stress-crazing-clear', 'note')).toEqual([eased])
    expect(asked(plain, 'stress-crazing-clear')).toEqual([dropOnScrap])
  })

  it('cloth: a scrap is looked at, or the back is primed for half an hour', () => {
    expect(asked(plain, 'bleed-through-cloth', 'note')).toEqual([
      'try: Glue a scrap of the cloth first and look at its good side',
    ])
    expect(demandsOf(plain, reason('bleed-through-cloth'))).toMatchObject([{ at: 'prime', minS: 1800 }])
    expect(demandsOf(plain, reason('cotton-and-cyanoacrylate'))).toMatchObject([{ at: 'apply', instead: true }])
  })

  it('never clamps what cannot be clamped', () => {
    const loose = (family: string) => on(family, 'card', 'card', { canClamp: false })
    const tight = (family: string) => on(family, 'card', 'card')
    const papers = loose('pva-white')
    const asThick = (a: number | null, b: number | null) => ({
      ...papers,
      faces: [
        { ...papers.faces[0], thicknessMm: a, material: null },
        { ...papers.faces[1], thicknessMm: b, material: null },
      ] as typeof papers.faces,
    })
    expect(asked(asThick(null, 2), 'paper-cockle')).toEqual(['apply: Nothing on side B: it stays dry'])
    expect(asked(asThick(0.1, 2), 'paper-cockle')).toEqual(['apply: Nothing on side A: it stays dry'])
    expect(asked(asThick(3, 2), 'paper-cockle')).toEqual(['apply: Nothing on side B: it stays dry'])
    expect(asked(tight('pva-white'), 'paper-cockle')).toContain('clamp: Between flat boards')
    expect(asked(loose('pu-foaming'), 'expansion-shifts-parts')).toContain(
      'clamp: Tape it tightly all round, so that it cannot swell apart',
    )
    expect(asked(tight('pu-foaming'), 'expansion-shifts-parts')).toContain('clamp: All over: it swells and pushes')
    expect(asked(tight('epoxy-slow'), 'clamp-too-hard')).toEqual(
      familyOf('epoxy-slow').clamp === 'clamp' ? ['clamp: Lightly'] : [],
    )
    const clamped = ['pva-white', 'pva-wood', 'epoxy-slow'].find((id) => familyOf(id).clamp === 'clamp')!
    const pressed = ['contact-solvent', 'ca-gel', 'tape-double'].find((id) => familyOf(id).clamp !== 'clamp')!
    expect(asked(tight(clamped), 'clamp-too-hard')).toEqual(['clamp: Lightly'])
    expect(asked(loose(clamped), 'clamp-too-hard')).toEqual([])
    expect(asked(tight(pressed), 'clamp-too-hard')).toEqual([])
  })

  it('a film that would stay wet: beads with lanes between them, and none where it dries', () => {
    const deep = on('acrylic-paste', 'foam-eva', 'foam-eva', { widthMm: 60, lengthMm: 80, readyH: 300 })
    for (const rule of ['water-trapped', 'blind-joint-slow'])
      expect(demandsOf(deep, reason(rule))).toMatchObject([{ at: 'apply', instead: true }])
    expect(asked(on('epoxy-slow', 'metal', 'metal'), 'blind-joint-slow')).toEqual([])
  })

  it('a cold or damp place: warmed below 15 °C, else warmed or dried', () => {
    const at = (tempC: number) => on('epoxy-slow', 'wood', 'wood', {}, { room: { tempC, rh: 60 } })
    const warm = 'ready: Warm parts, glue and place, and keep them warm until it can be handled'
    const either = 'ready: Warm or dry the air of the place before you start'
    expect(asked(at(14.9), 'cold-or-humid-room')).toEqual([warm])
    expect(asked(at(15), 'cold-or-humid-room')).toEqual([either])
    expect(asked(plain, 'cold-or-humid-room')).toEqual([either])
    expect(asked(at(5), 'will-not-cure-here')).toEqual([
      'ready: Warm parts, glue and place, and keep them warm until it is cured',
    ])
  })

  it('what cures with damp: the side that water does not harm is misted', () => {
    const misted = (a: string, b: string) => asked(on('pu-foaming', a, b), 'moisture-cure-dry-air')
    expect(misted('metal', 'glass')[0]).toMatch(/^damp: Mist side B/)
    expect(misted('glass', 'metal')[0]).toMatch(/^damp: Mist side A/)
    // Both rust: the one that takes no glue first is misted.
    expect(misted('metal', 'metal')[0]).toMatch(/^damp: Mist side B/)
  })

  it('dots and dabs: asked for where the second glue suits', () => {
    expect(asked(plain, 'tack-and-cure-pair', 'fit')).toEqual(['dab: '])
    expect(asked(plain, 'tack-and-cure-pair')).toEqual([])
    expect(asked(plain, 'tack-and-cure-standoff')).toEqual(['apply: Dabs of gel no larger than a lentil'])
    expect(asked(plain, 'tack-and-cure-standoff', 'note')).toEqual([])
    expect(asked(plain, 'print-layers-split')).toEqual(['fit: Set a pin or a patch across the layers'])
    expect(asked(plain, 'print-layers-split', 'note')).toEqual([])
  })

  it('a primer where there is one', () => {
    const of = (...helpers: ('primer' | 'activator')[]) =>
      asked(on('ca-gel', 'polyolefin', 'wood', {}, { helpers }), 'low-energy-fit')
    expect(of('primer')).toEqual(['prime: '])
    expect(of('activator')).toEqual([])
  })

  it('the face that is turned, or roughened', () => {
    expect(asked(plain, 'which-side', 'note')).toEqual([])
    expect(asked(plain, 'which-side', 'caution', 'Side B is smooth')).toEqual([
      'prepare-b: Roughen it, or turn its other face to the joint',
    ])
    const fused = on('heat-fuse', 'thermoform-filled', 'thermoform-filled')
    const turned = asked(fused, 'which-side', 'note', 'Side A')
    expect(turned).toEqual(['prepare-a: Turn its smooth, tacky face to the joint'])
  })

  it('a poor grip that scuffing mends: the face of that material', () => {
    const wood = materialClassOf('wood').name
    expect(asked(plain, 'grip', 'caution', `On ${wood} it holds once that is scuffed`)).toEqual([
      'prepare-a: Scuff it matt and wipe it',
    ])
    expect(asked(plain, 'grip', 'caution', `On ${wood} it holds`)).toEqual([])
  })
})

describe('what stands in figures', () => {
  it('a mix is laid in seven tenths of its pot life: area ÷ 10 cm²/s and half a minute a joint', () => {
    const of = (widthMm: number, lengthMm: number) =>
      asked(on('epoxy-fast', 'wood', 'wood', { widthMm, lengthMm }), 'pot-life-vs-batch')
    const pot = familyOf('epoxy-fast').potLifeS!
    const faces = familyOf('epoxy-fast').faces === 'both' ? 2 : 1
    // 40 cm², and a face so large that only one is laid.
    expect(of(50, 80)[0]).toContain(`no more than ${Math.floor((0.7 * pot) / ((40 * faces) / 10 + 30))} joints,`)
    expect(of(1000, 1000)[0]).toContain('no more than 1 joint,')
    expect(asked(on('epoxy-fast', 'wood', 'wood'), 'pot-life-vs-batch')).toEqual([])
    expect(asked(on('ca-thin', 'wood', 'wood', { widthMm: 50, lengthMm: 80 }), 'pot-life-vs-batch')).toEqual([])
  })

  it('a size dries for twenty minutes at least, longer where the room makes it slow', () => {
    const minS = (room: { tempC: number; rh: number } | null) =>
      demandsOf(on('pva-white', 'card', 'wood', {}, { room }), reason('thin-on-porous'))[0]!.minS!
    expect(minS(null)).toBe(Math.max(familyOf('pva-white').waitMinS, 1200))
    expect(minS({ tempC: 10, rh: 70 })).toBeGreaterThan(1200)
    const slow = on('pva-white', 'card', 'wood', {}, { room: { tempC: 10, rh: 70 } })
    expect(minS({ tempC: 10, rh: 70 })).toBe(Math.max(slow.family.waitMinS, Math.round(1200 * slow.cure.factor)))
    expect(demandsOf(slow, reason('repeat-coats'))).toMatchObject([{ at: 'coat' }])
  })

  it('the size goes on the side that drinks', () => {
    expect(asked(on('ca-thin', 'metal', 'foam-eva'), 'thin-on-porous')[0]).toMatch(/Size side [AB] \(.*\) thinly/)
    expect(asked(on('pva-white', 'metal', 'card'), 'thin-on-porous')[0]).toContain('Size side B (card')
    expect(asked(on('pva-white', 'card', 'metal'), 'thin-on-porous')[0]).toContain('Size side A (card')
    // Neither drinks: the first.
    expect(asked(on('pva-white', 'metal', 'glass'), 'thin-on-porous')[0]).toContain('Size side A (metal) thinly')
  })
})

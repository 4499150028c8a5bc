import { describe, expect, it } from 'vitest'
import { answerQuestion, type Question } from '../question'

/**
 * What makers with years at the bench say of a glue for a joint, written down before the rules were tuned:
 * pair, glue, what is asked, the verdict, and the rule that gives the reason (none for what simply suits).
 */
type Needs = Question['joint']['needs']
type Case = [
  said: string,
  joint: [a: string, b: string, geometry: Question['joint']['geometry'], load: Question['joint']['load']],
  adhesive: string,
  verdict: 'block' | 'caution' | 'fit',
  rule?: string | null,
  more?: {
    aState?: Question['joint']['aState']
    bState?: Question['joint']['bState']
    needs?: Needs
    helpers?: Question['helpers']
  },
]

const cases: Case[] = [
  // Polystyrene foam
  [
    'instant glue eats insulation board',
    ['foam-xps', 'foam-xps', 'face-large', ['tension']],
    'ca-medium',
    'block',
    'styrene-foam-attacked',
  ],
  ['the foam-safe grade spares it', ['foam-xps', 'foam-xps', 'point', ['tension']], 'ca-foam-safe', 'fit'],
  [
    'tin contact dissolves bead board',
    ['foam-eps', 'card', 'face-large', ['peel']],
    'contact-solvent',
    'block',
    'styrene-foam-attacked',
  ],
  [
    'most spray glue does too',
    ['foam-xps', 'paper', 'face-large', ['peel']],
    'spray-contact',
    'caution',
    'styrene-foam-attacked',
  ],
  [
    'water-borne contact is the sheet glue for it',
    ['foam-xps', 'foam-xps', 'face-large', ['shear']],
    'contact-water',
    'fit',
  ],
  ['a hot gun melts a hollow', ['foam-xps', 'wood', 'point', ['tension']], 'hotmelt-high', 'block', 'use'],
  ['a cool gun can do, with care', ['foam-xps', 'wood', 'point', ['tension']], 'hotmelt-low', 'fit', null],
  ['slow epoxy holds board to wood', ['foam-xps', 'wood', 'lap', ['shear']], 'epoxy-slow', 'fit'],
  [
    'white glue stays wet between two boards',
    ['foam-xps', 'foam-xps', 'face-large', ['tension']],
    'pva-white',
    'block',
    'water-glue-on-sealed-faces',
    { needs: { areaCm2: 600 } },
  ],
  [
    'grab paste without a way out stays wet',
    ['foam-xps', 'sheet-pvc', 'face-large', ['shear']],
    'acrylic-paste',
    'block',
    'water-trapped',
    { needs: { areaCm2: 400 } },
  ],
  [
    'paper on foam board with white glue dries through the paper',
    ['foam-xps', 'card', 'face-large', ['peel']],
    'pva-tacky',
    'fit',
  ],
  [
    'the wire stops at a hard line',
    ['foam-xps', 'foam-xps', 'face-large', ['tension']],
    'epoxy-slow',
    'block',
    'hot-wire-through-line',
    { needs: { hotWire: true } },
  ],
  [
    'foaming polyurethane wants a damp face between closed cells',
    ['foam-xps', 'foam-xps', 'face-large', ['tension']],
    'pu-foaming',
    'fit',
    null,
  ],
  [
    'activator may eat foam that the glue spares',
    ['foam-xps', 'foam-xps', 'point', ['tension']],
    'ca-foam-safe',
    'caution',
    'activator-on-sensitive-face',
    { helpers: ['activator'] },
  ],
  // Costume foam
  [
    'tin contact is what foam armour is made with',
    ['foam-eva', 'foam-eva', 'lap', ['peel', 'flex']],
    'contact-solvent',
    'fit',
    null,
  ],
  [
    'it must not be breathed in a closed room',
    ['foam-eva', 'foam-eva', 'lap', ['peel']],
    'contact-solvent',
    'block',
    'no-ventilation',
    { needs: { indoorsNoVentilation: true } },
  ],
  [
    'instant glue cracks where foam bends',
    ['foam-eva', 'foam-eva', 'butt-edge', ['flex']],
    'ca-medium',
    'caution',
    'rigid-on-flexing',
  ],
  [
    'hot glue lets go in a hot car',
    ['foam-eva', 'fabric-synthetic', 'patch', ['peel']],
    'hotmelt-low',
    'block',
    'too-hot-for-glue',
    { needs: { heatC: 65 } },
  ],
  [
    'white glue does not grip closed cells on both sides',
    ['foam-eva', 'foam-eva', 'lap', ['peel']],
    'pva-white',
    'block',
    'water-glue-on-sealed-faces',
  ],
  [
    'a shiny skin wants scuffing',
    ['foam-eva', 'foam-eva', 'lap', ['peel']],
    'contact-solvent',
    'caution',
    'glazed-skin',
    { aState: 'glazed' },
  ],
  [
    'children keep away from tin contact',
    ['foam-eva', 'foam-eva', 'lap', ['peel']],
    'contact-solvent',
    'block',
    'child-use',
    { needs: { children: true } },
  ],
  [
    'contact film cannot be slid into place',
    ['foam-eva', 'foam-eva', 'face-large', ['shear']],
    'contact-water',
    'caution',
    'contact-no-reposition',
    { needs: { repositionS: 60 } },
  ],
  [
    'upholstery foam goes hard under instant glue',
    ['foam-pu-open', 'wood', 'face-large', ['tension']],
    'ca-medium',
    'block',
    'rigid-on-flexing',
  ],
  [
    'spray contact is the upholsterer’s way',
    ['foam-pu-open', 'wood', 'face-large', ['tension']],
    'spray-contact',
    'fit',
    null,
  ],
  // Slippery plastics
  ['epoxy pops off polypropylene', ['polyolefin', 'wood', 'lap', ['shear']], 'epoxy-slow', 'block', 'use'],
  ['instant glue needs the primer there', ['polyolefin', 'polyolefin', 'lap', ['shear']], 'ca-medium', 'block', 'use'],
  [
    'and with it holds',
    ['polyolefin', 'polyolefin', 'lap', ['shear']],
    'ca-medium',
    'fit',
    null,
    { helpers: ['primer'] },
  ],
  [
    'the primer helps epoxy little',
    ['polyolefin', 'wood', 'lap', ['shear']],
    'epoxy-slow',
    'block',
    'use',
    { helpers: ['primer'] },
  ],
  ['welding it to itself works', ['polyolefin', 'polyolefin', 'lap', ['shear']], 'weld-hot-tool', 'fit', null],
  [
    'nothing holds on a non-stick sheet',
    ['fluoropolymer', 'metal', 'lap', ['shear']],
    'epoxy-slow',
    'block',
    'non-stick-surface',
  ],
  [
    'contact on polyethylene foam is a maybe',
    ['foam-pe', 'foam-pe', 'face-large', ['peel']],
    'contact-solvent',
    'fit',
    null,
  ],
  // Prints and sheets
  ['gel instant glue for a printed part', ['print-pla', 'print-pla', 'lap', ['shear']], 'ca-gel', 'fit'],
  ['slow epoxy too', ['print-petg', 'metal', 'rod', ['torsion']], 'epoxy-slow', 'fit'],
  [
    'a printed part sags in a parked car',
    ['print-pla', 'print-pla', 'lap', ['shear']],
    'epoxy-slow',
    'caution',
    'part-softens-first',
    { needs: { heatC: 60 } },
  ],
  [
    'thin cement welds styrene',
    ['sheet-styrene', 'sheet-styrene', 'butt-edge', ['shear']],
    'solvent-weld-thin',
    'fit',
    null,
  ],
  [
    'but does nothing on wood',
    ['sheet-styrene', 'wood', 'lap', ['shear']],
    'solvent-weld-gel',
    'block',
    'weld-needs-soluble-plastic',
  ],
  [
    'unlike plastics need a matched cement',
    ['sheet-styrene', 'sheet-acrylic', 'lap', ['shear']],
    'solvent-weld-gel',
    'caution',
    'weld-unlike-plastics',
  ],
  [
    'instant glue fogs a clear visor',
    ['sheet-acrylic', 'print-pla', 'edge-strip', ['shear']],
    'ca-medium',
    'caution',
    'bloom-on-clear',
  ],
  ['lamp glue under clear sheet', ['sheet-acrylic', 'metal', 'lap', ['shear']], 'uv-acrylic', 'fit'],
  [
    'lamp glue stays wet in the dark',
    ['print-pla', 'metal', 'lap', ['shear']],
    'uv-acrylic',
    'block',
    'light-path-missing',
  ],
  [
    'heat-formable sheet fuses to itself',
    ['thermoform-filled', 'thermoform-filled', 'lap', ['shear']],
    'heat-fuse',
    'fit',
    null,
  ],
  ['and onto scuffed foam', ['thermoform-filled', 'foam-eva', 'lap', ['shear']], 'heat-fuse', 'fit', null],
  [
    'tape on soft vinyl turns to slime over years',
    ['vinyl-soft', 'wood', 'face-large', ['peel']],
    'tape-double',
    'block',
    'vinyl-plasticiser',
    { needs: { archival: true } },
  ],
  [
    'a bridge too wide for thin instant glue',
    ['wood', 'wood', 'lap', ['shear']],
    'ca-thin',
    'block',
    'gap-too-wide',
    { needs: { gapMm: 1 } },
  ],
  [
    'powder and thin instant glue fill a small one',
    ['print-pla', 'print-pla', 'lap', ['shear']],
    'ca-medium',
    'fit',
    null,
    { needs: { gapMm: 1 }, helpers: ['powder-filler'] },
  ],
  [
    'instant glue sets before a broad face is covered',
    ['wood', 'print-pla', 'face-large', ['shear']],
    'ca-medium',
    'block',
    'open-time-vs-area',
    { needs: { areaCm2: 400 } },
  ],
  // Cloth and leather
  [
    'instant glue smokes on cotton',
    ['fabric-cotton', 'wood', 'patch', ['shear']],
    'ca-thin',
    'block',
    'cotton-and-cyanoacrylate',
  ],
  ['and on felt', ['felt', 'print-pla', 'patch', ['shear']], 'ca-gel', 'block', 'cotton-and-cyanoacrylate'],
  [
    'textile glue stands the wash',
    ['fabric-cotton', 'fabric-cotton', 'lap', ['peel']],
    'fabric-glue',
    'fit',
    null,
    { needs: { wash: true } },
  ],
  [
    'white glue does not',
    ['fabric-cotton', 'felt', 'patch', ['peel']],
    'pva-white',
    'block',
    'water-too-much',
    { needs: { wash: true } },
  ],
  ['iron-on web for a hem', ['fabric-cotton', 'fabric-cotton', 'lap', ['peel']], 'web-iron-on', 'fit'],
  ['an iron glazes thin nylon', ['fabric-synthetic', 'fabric-synthetic', 'lap', ['peel']], 'web-iron-on', 'fit', null],
  [
    'contact wicks through thin cloth',
    ['fabric-synthetic', 'foam-eva', 'patch', ['peel']],
    'contact-solvent',
    'fit',
    null,
  ],
  [
    'epoxy cracks on a stretch knit',
    ['fabric-stretch', 'print-tpu', 'patch', ['flex']],
    'epoxy-fast',
    'caution',
    'rigid-on-flexing',
  ],
  ['contact for leather', ['leather', 'leather', 'lap', ['peel']], 'contact-solvent', 'fit', null],
  [
    'worn on skin it wants lining',
    ['leather', 'felt', 'lap', ['peel']],
    'contact-solvent',
    'fit',
    'worn-on-skin',
    { needs: { skinContact: true } },
  ],
  // Paper, wood, hard things
  ['wood glue for wood', ['wood', 'wood', 'lap', ['shear']], 'pva-wood', 'fit', null],
  [
    'a bookbinder’s glue for an album',
    ['paper', 'card', 'face-large', ['peel']],
    'pva-bookbinding',
    'fit',
    null,
    { needs: { archival: true } },
  ],
  [
    'rubber cement stains an album',
    ['paper', 'card', 'face-large', ['peel']],
    'rubber-cement',
    'caution',
    'paper-yellow-acid',
    { needs: { archival: true } },
  ],
  [
    'a broad sheet cockles',
    ['paper', 'card', 'face-large', ['peel']],
    'pva-white',
    'caution',
    'paper-cockle',
    { needs: { areaCm2: 300 } },
  ],
  ['slow epoxy for metal', ['metal', 'metal', 'lap', ['shear']], 'epoxy-slow', 'fit'],
  ['grease first', ['metal', 'metal', 'lap', ['shear']], 'epoxy-slow', 'caution', 'dirty-face', { aState: 'greasy' }],
  ['wood glue does not take on metal', ['wood', 'metal', 'lap', ['shear']], 'pva-wood', 'block', 'grip'],
  ['hot glue snaps off cold metal', ['metal', 'wood', 'lap', ['shear']], 'hotmelt-high', 'caution', 'use'],
  [
    'the paint lets go first',
    ['wood', 'wood', 'lap', ['shear']],
    'epoxy-slow',
    'caution',
    'paint-is-weak-layer',
    { bState: 'painted-acrylic' },
  ],
  [
    'silicone between two tins cures from the rim only',
    ['metal', 'sheet-pvc', 'face-large', ['shear']],
    'silicone',
    'block',
    'blind-joint-slow',
    { needs: { areaCm2: 400 } },
  ],
  [
    'paint crawls on silicone',
    ['wood', 'glass', 'edge-strip', ['shear']],
    'silicone',
    'caution',
    'paint-will-not-hold',
    { needs: { paintOver: true } },
  ],
  [
    'slow epoxy is not ready tonight',
    ['wood', 'metal', 'lap', ['shear']],
    'epoxy-slow',
    'block',
    'not-ready-in-time',
    { needs: { maxCureH: 4 } },
  ],
  [
    'children may use white glue',
    ['card', 'card', 'lap', ['peel']],
    'pva-tacky',
    'fit',
    null,
    { needs: { children: true } },
  ],
  [
    'a hot gun only in an adult’s hand',
    ['card', 'card', 'lap', ['shear']],
    'hotmelt-low',
    'caution',
    'child-use',
    { needs: { children: true } },
  ],
  [
    'a clear line turns amber under epoxy',
    ['glass', 'glass', 'lap', ['shear']],
    'epoxy-fast',
    'fit',
    'yellows-in-view',
    { needs: { clear: true } },
  ],
  [
    'dabs hold while slow epoxy cures',
    ['wood', 'metal', 'lap', ['shear']],
    'epoxy-slow',
    'fit',
    null,
    { helpers: ['tack-and-cure'] },
  ],
  [
    'a drop cracks a hard line',
    ['print-pla', 'metal', 'butt-edge', ['impact']],
    'ca-gel',
    'caution',
    'rigid-in-peel-or-cleavage',
  ],
  [
    'a thin edge has no area',
    ['sheet-styrene', 'sheet-styrene', 'butt-edge', ['bend']],
    'ca-gel',
    'caution',
    'butt-edge-small',
  ],
  [
    'a mould-made sole wants roughening',
    ['rubber-sole', 'leather', 'face-large', ['peel']],
    'contact-solvent',
    'fit',
    null,
  ],
  [
    'mounted to come off again',
    ['card', 'wood', 'point', ['tension']],
    'epoxy-slow',
    'block',
    'temporary-needs-release',
    { needs: { temporary: true } },
  ],
]

const asked = ([, [a, b, geometry, load], adhesive, , , more]: Case): Question => ({
  joint: { a, aState: more?.aState ?? null, b, bState: more?.bState ?? null, geometry, load, needs: more?.needs ?? {} },
  adhesive,
  helpers: more?.helpers ?? [],
})

describe('what practice says', () => {
  it.each(cases.map((one) => [one[0], one] as const))('%s', (_, one) => {
    const answer = answerQuestion(asked(one))
    const [, , , verdict, rule] = one
    const said = answer.reasons.map((reason) => `${reason.rule} ${reason.verdict}`).join(', ')
    expect(answer.verdict, said).toBe(verdict)
    if (rule)
      expect(
        answer.reasons.map((reason) => reason.rule),
        said,
      ).toContain(rule)
  })
  it('is more than forty situations', () => expect(cases.length).toBeGreaterThan(60))
  it('leaves the easy joints mostly unworried', async () => {
    const { families } = await import('../../knowledge/families')
    const easy: Question['joint'][] = [
      { a: 'wood', b: 'wood', geometry: 'lap', load: ['shear'], needs: {} },
      { a: 'card', b: 'card', geometry: 'lap', load: ['shear'], needs: {} },
      { a: 'leather', b: 'leather', geometry: 'lap', load: ['shear'], needs: {} },
    ]
    for (const joint of easy) {
      const careful = families.filter(
        ({ id }) => answerQuestion({ joint, adhesive: id, helpers: [] }).verdict === 'caution',
      )
      expect(careful.length, careful.map(({ id }) => id).join(', ')).toBeLessThan(families.length / 2)
    }
  })
})

/** One way to take a family's joints apart again. General practice; the label and the safety data sheet come first. */
export interface UndoWay {
  by: 'cold' | 'heat' | 'water' | 'solvent' | 'peel' | 'cut' | 'none'
  /** °C at which it lets go */
  atC?: number
  /** class of solvent, as in a material's sensitiveTo */
  solvent?: 'ketone' | 'aromatic' | 'alcohol' | 'hydrocarbon'
  /** takes force as well, which tears what is not hard */
  prise?: boolean
  /** peels off without pulling fibres */
  gentle?: boolean
  /** how it is done */
  how: string
  /** what it may do beside that */
  sideEffect: string
}

const cut = (
  how = 'Cut with a thin blade, wire or saw',
  sideEffect = 'May mark both faces; a glue film stays',
): UndoWay => ({ by: 'cut', how, sideEffect })
const heat = (
  atC: number,
  how: string,
  sideEffect = 'May dent foam, curl thin plastic or lift paint near it',
): UndoWay => ({ by: 'heat', atC, how, sideEffect })
const water = (how: string, sideEffect = 'May swell paper, card and leather, run ink, raise wood grain'): UndoWay => ({
  by: 'water',
  how,
  sideEffect,
})
const peel = (
  how: string,
  gentle = false,
  sideEffect = gentle ? 'May leave traces: roll them off' : 'May lift fibres, paint or nap',
): UndoWay => ({ by: 'peel', how, gentle, sideEffect })
const cold = (how: string): UndoWay => ({ by: 'cold', how, sideEffect: 'Brittle plastic parts may crack too' })
const debonder: UndoWay = {
  by: 'solvent',
  solvent: 'ketone',
  how:
    'Acetone-type debonder at the edge, a minute, again, then ease apart; moving air, no flame, gloves the data ' +
    'sheet names',
  sideEffect: 'May melt styrene and acrylic, dull prints and paint; flammable vapour',
}
const alcohol = (how: string): UndoWay => ({
  by: 'solvent',
  solvent: 'alcohol',
  how,
  sideEffect: 'May craze stressed clear plastic; flammable',
})
const thinner = (how: string, solvent: UndoWay['solvent'] = 'aromatic'): UndoWay => ({
  by: 'solvent',
  solvent,
  how,
  sideEffect: 'May lift paint and soften rubber and foam; flammable',
})

const pva = [
  water('Warm damp cloth or a soak until it turns white and soft'),
  heat(65, 'Warm it with steam and ease it open'),
]
const priseHot = (atC: number, how: string): UndoWay => ({ ...heat(atC, how), prise: true })
const instant = [
  debonder,
  priseHot(100, 'Warm the line until it weakens, then twist'),
  cut('A sharp knock or a thin blade along the line'),
]
const melt = (atC: number) => [
  alcohol('A drop of isopropanol at the edge, then lift'),
  heat(atC, 'Reheat with a heat gun on low and pull'),
  cold('An hour in the freezer, then flick it off smooth faces'),
]
const moistureCured = [cut()]
const isocyanateCured = [cut('Cut or saw; do not heat or burn it, the fume may harm', 'May mark both faces')]
const epoxy = (atC: number) => [
  priseHot(atC, 'Warm the line and prise while hot; moving air'),
  cut('Saw beside the line'),
]
const welded: UndoWay[] = [
  { by: 'none', how: 'The parts are one piece: saw beside the joint', sideEffect: 'The part is lost' },
]
const sticky = peel('Peel low and slow, warm it first where it resists', true)

const ways: Record<string, UndoWay[]> = {
  'pva-white': pva,
  'pva-tacky': pva,
  'pva-wood': [heat(80, 'Steam and a thin blade; slow'), cut()],
  'pva-bookbinding': [water('A warm damp blotter, for the reversible grades'), peel('Lift with a thin spatula')],
  'decoupage-medium': [water('Warm soak, before it is varnished')],
  'fabric-glue': [heat(110, 'Warm iron through paper, then peel'), peel('Peel; traces stay')],
  'glue-stick': [water('Damp it'), peel('Peel within minutes of gluing')],
  'acrylic-paste': [heat(70, 'Warm until soft and slice'), alcohol('Alcohol softens it slowly'), cut()],
  'starch-paste': [water('A damp blotter: it comes off whole')],
  'ca-thin': instant,
  'ca-medium': instant,
  'ca-gel': instant,
  'ca-flexible': instant,
  'ca-foam-safe': instant,
  'contact-solvent': [
    heat(80, 'Warm to about 80 °C and peel slowly'),
    thinner('Solvent named on the label'),
    peel('Start a corner and peel'),
  ],
  'contact-water': [heat(80, 'Warm to about 80 °C and peel slowly')],
  'rubber-cement': [peel('Peel slowly, rub off the film', true), thinner('A little of its own thinner', 'hydrocarbon')],
  'elastomer-solvent': [thinner('Soften with the solvent named on the label'), cut()],
  'hotmelt-low': melt(75),
  'hotmelt-high': melt(90),
  'hotmelt-fabric': [heat(110, 'Reheat with an iron through paper')],
  'hotmelt-pur': isocyanateCured,
  hotfix: [heat(120, 'Reheat from the back and lift')],
  'pu-foaming': isocyanateCured,
  'pu-clear': isocyanateCured,
  'foam-can': isocyanateCured,
  'epoxy-fast': epoxy(80),
  'epoxy-slow': epoxy(90),
  mma: epoxy(120),
  'uv-acrylic': [priseHot(90, 'Warm and work a blade in'), debonder],
  silicone: [cut('Cut and roll off; a silicone remover takes the rest', 'Traces stop later glue and paint')],
  'sealant-pu': isocyanateCured,
  'construction-water': [water('Soak and scrape'), cut('Prise and scrape')],
  'construction-solvent': [priseHot(80, 'Warm and prise'), cut()],
  'construction-hybrid': moistureCured,
  'spray-contact': [heat(60, 'Warm and peel; rub off the film'), peel('Peel; rub off the film')],
  'spray-repositionable': [peel('Peel; rub off the rest', true)],
  'solvent-weld-thin': welded,
  'solvent-weld-gel': welded,
  'tape-double': [sticky, heat(60, 'Warm gently and peel low and slow')],
  dots: [peel('Twist, or saw with thread; roll off', true)],
  'tape-foam': [peel('Saw the foam with thread, roll off the rest', true)],
  'web-iron-on': [heat(110, 'Steam iron and peel; residue stays')],
  'heat-fuse': [heat(75, 'Reheat to forming temperature and pull apart', 'The sheet loses its shape')],
  'weld-hot-tool': welded,
}

/** The ways to undo a family's joint, the mildest first; none for a family that is not in the tables. */
export const undoOf = (family: string): readonly UndoWay[] => ways[family] ?? []

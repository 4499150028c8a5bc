import { exposureRows } from '../knowledge/exposures'
import type { NeedOf } from './needs'
import type { Helper } from '../knowledge/vocabulary'
import { formulaOf, testKinds } from '../knowledge/testKinds'
import type { Arm } from '../records/round'

/** What a helper is, as it is fetched; a second glue of dabs stands among the glues. */
const helperTools: Partial<Record<Helper, string>> = {
  activator: 'activator for instant glue',
  'powder-filler': 'fine dry powder for the fill',
  'fibre-filler': 'cotton fibre for the fill, a small pinch a piece',
  primer: 'polyolefin primer and a brush',
  'cloth-primer': 'primer for the back of the cloth',
  'paper-backing': 'thin paper to line the cloth',
}

/** What should lie at hand, from the tests and the steps: so that nothing is missing halfway. */
export function toolsFor(arms: readonly Pick<Arm, 'test' | 'exposure'>[], list: readonly NeedOf[]): string[] {
  const tools = new Set<string>(['masking tape and a pen', 'ruler', 'knife or saw'])
  const steps = list.flatMap(({ procedure }) => procedure.steps)
  if (steps.some(({ text }) => /\b(sand|scuff|grit)/i.test(text))) tools.add('sandpaper, 120 grit')
  if (steps.some(({ text }) => /isopropanol/i.test(text))) tools.add('isopropanol and cloths')
  if (steps.some(({ kind, text }) => kind === 'clamp' && /clamp/i.test(text))) tools.add('clamps with flat pads')
  if (steps.some(({ kind, text }) => kind === 'clamp' && /weight/i.test(text))) tools.add('flat weights')
  for (const { procedure } of list)
    for (const helper of procedure.helpers) if (helperTools[helper]) tools.add(helperTools[helper])
  const mechanisms = new Set(list.map(({ family }) => family.mechanism))
  if (mechanisms.has('two-part')) tools.add('cups, sticks, a small scale')
  if (mechanisms.has('melt')) tools.add('glue gun on its stand')
  if (mechanisms.has('heat-activated')) tools.add('iron and baking paper')
  if (mechanisms.has('light')) tools.add('lamp and rated glasses')
  if (mechanisms.has('evaporate-water') || mechanisms.has('evaporate-solvent')) tools.add('brush or spreader')
  if (arms.some(({ test }) => formulaOf(test))) tools.add('scale or gauge, a hook, a vice')
  for (const { test } of arms) testKinds[test].tools?.forEach((tool) => tools.add(tool))
  for (const { exposure } of arms) {
    const tool = exposure && exposureRows[exposure.kind].tool
    if (tool) tools.add(tool)
  }
  tools.add('goggles')
  return [...tools]
}

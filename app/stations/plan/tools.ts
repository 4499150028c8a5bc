import type { NeedOf } from '../../../core/planning/needs'
import { testKinds } from '../../../core/readings/tests'
import type { Arm } from '../../../core/records/round'

/** What should lie at hand, from the tests and the steps: so that nothing is missing halfway. */
export function toolsFor(arms: readonly Pick<Arm, 'test' | 'exposure'>[], list: readonly NeedOf[]): string[] {
  const tools = new Set<string>(['masking tape and a pen', 'ruler', 'knife or saw'])
  const steps = list.flatMap(({ procedure }) => procedure.steps)
  if (steps.some(({ text }) => /\b(sand|scuff|grit)/i.test(text))) tools.add('sandpaper, 120 grit')
  if (steps.some(({ text }) => /isopropanol/i.test(text))) tools.add('isopropanol and cloths')
  if (steps.some(({ kind, text }) => kind === 'clamp' && /clamp/i.test(text))) tools.add('clamps with flat pads')
  if (steps.some(({ kind, text }) => kind === 'clamp' && /weight/i.test(text))) tools.add('flat weights')
  const mechanisms = new Set(list.map(({ family }) => family.mechanism))
  if (mechanisms.has('two-part')) tools.add('cups, sticks, a small scale')
  if (mechanisms.has('melt')) tools.add('glue gun on its stand')
  if (mechanisms.has('heat-activated')) tools.add('iron and baking paper')
  if (mechanisms.has('light')) tools.add('lamp and rated glasses')
  if (mechanisms.has('evaporate-water') || mechanisms.has('evaporate-solvent')) tools.add('brush or spreader')
  if (arms.some(({ test }) => testKinds[test].force !== null)) tools.add('scale or gauge, a hook, a vice')
  if (arms.some(({ test }) => test === 'bend')) tools.add('jars or dowels of known radius')
  for (const { exposure } of arms) {
    if (exposure?.kind === 'heat') tools.add('hot box with a thermometer')
    if (exposure?.kind === 'cold') tools.add('room in the freezer')
    if (exposure?.kind === 'wash') tools.add('washing bag')
    if (exposure?.kind === 'soak') tools.add('jar of water')
  }
  tools.add('goggles')
  return [...tools]
}

import { digitsOf } from '../../core/quantities/figure'
import { showMoney } from '../../core/quantities/money'

/** Fields whose name in the records is not what the maker calls them. */
const own: Record<string, string> = {
  minS: 'how long at least, s',
  maxS: 'how long at most, s',
  text: 'words',
  a: 'side A',
  b: 'side B',
  brief: '',
  label: '',
  steps: 'step',
  arms: 'test',
  size: '',
  perEvening: 'how many an evening',
  packPrice: 'price of a pack',
  resolutionN: 'smallest step, N',
  unit: 'unit',
  pull: 'what was pulled',
  limitN: 'it reads up to, N',
  spreadGm2: 'amount, g/m²',
}
const units: [RegExp, string][] = [
  [/Mm2$/, ', mm²'],
  [/Gm2$/, ', g/m²'],
  [/MgM3$/, ', mg/m³'],
  [/M3$/, ', m³'],
  [/Mm$/, ', mm'],
  [/Kg$/, ', kg'],
  [/Deg$/, ', degrees'],
  [/C$/, ', °C'],
  [/S$/, ', s'],
  [/H$/, ', h'],
  [/N$/, ', N'],
]

function wordOf(key: string): string {
  if (Object.hasOwn(own, key)) return own[key]!
  const unit = units.find(([pattern]) => pattern.test(key))
  const bare = unit ? key.replace(unit[0], '') : key
  return bare.replace(/([A-Z])/g, (_, capital: string) => ` ${capital.toLowerCase()}`) + (unit?.[1] ?? '')
}

/** "brief", "a", "thicknessMm" → "side A, thickness, mm". */
export const fieldWords = (path: readonly string[]): string => path.map(wordOf).filter(Boolean).join(', ')

/** “width 25 mm”: a part of a value with its name, its unit behind the figure. */
function measureText(key: string, value: unknown): string {
  const [name, unit] = wordOf(key).split(', ')
  return [name, valueText(value), typeof value === 'number' ? unit : ''].filter(Boolean).join(' ')
}

/** A field's value as the maker reads it. */
export function valueText(value: unknown, path: readonly string[] = []): string {
  if (value === null || value === undefined || value === '') return 'open'
  if (typeof value === 'number')
    return /price|rate|cost|budget/i.test(path.at(-1) ?? '') ? showMoney(value) : digitsOf(value)
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'string') return value
  if (Array.isArray(value)) return value.length ? value.map((one) => valueText(one)).join(', ') : 'none'
  const { text, name, id, ...rest } = value as Record<string, unknown>
  if (typeof text === 'string') return text
  if (typeof name === 'string') return name
  return (
    Object.entries(rest)
      .filter(([, one]) => one !== null && one !== undefined)
      .map(([key, one]) => measureText(key, one))
      .join('; ') || String(id ?? 'none')
  )
}

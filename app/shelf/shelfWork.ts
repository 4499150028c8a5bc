import { familyOf } from '../../core/knowledge/families'
import { labelFactIds, type LabelFact, type LabelFacts } from '../../core/knowledge/labelFactIds'
import { parseMoney } from '../../core/quantities/parseMoney'
import { parseQuantity, parseSeconds } from '../../core/quantities/parse'
import { parseNumber } from '../../core/quantities/parseNumber'
import { CodedError } from '../../core/errors'
import { insert } from '../../core/records/entry'
import type { Adhesive, Material, StockItem } from '../../core/records/shelf'
import { newId } from '../bench/ids'
import type { useBench } from '../bench/store'
import { editOf } from '../bench/edits'

type Store = ReturnType<typeof useBench>

/** A product as it is typed. Empty label fields mean: as its family usually is. */
export interface GlueForm {
  name: string
  family: string
  packSize: string
  packUnit: Adhesive['packUnit']
  packPrice: string
  wait: string
  hold: string
  handling: string
  full: string
  heat: string
  cold: string
  gap: string
  water: '' | 'no' | 'splash' | 'wash' | 'soak'
  hazards: string[] | null
  /** what the label declares: yes, no, or nothing */
  facts: Record<LabelFact, '' | 'yes' | 'no'>
  /** % by weight that evaporates, and the data sheet's limit for it, mg/m³ */
  volatile: string
  limit: string
  aliases: string
  batch: string
  bought: string
  opened: string
  expires: string
  left: string
}

const asText = (s: number | undefined) =>
  s === undefined ? '' : s % 3600 === 0 ? `${s / 3600} h` : s % 60 === 0 ? `${s / 60} min` : `${s} s`

const factsTyped = (said: LabelFacts): GlueForm['facts'] =>
  Object.fromEntries(
    labelFactIds.map((fact) => [fact, said[fact] === undefined ? '' : said[fact] ? 'yes' : 'no']),
  ) as GlueForm['facts']
/** What was said; none of it: undefined. */
function factsFrom(typed: GlueForm['facts']): LabelFacts | undefined {
  const said = labelFactIds.filter((fact) => typed[fact] !== '')
  return said.length ? Object.fromEntries(said.map((fact) => [fact, typed[fact] === 'yes'])) : undefined
}

export function glueForm(adhesive: Adhesive | null, pack: StockItem | null): GlueForm {
  return {
    name: adhesive?.name ?? '',
    family: adhesive?.family ?? 'pva-tacky',
    packSize: adhesive?.packSize == null ? '' : String(adhesive.packSize),
    packUnit: adhesive?.packUnit ?? 'ml',
    packPrice: adhesive?.packPrice == null ? '' : String(adhesive.packPrice),
    wait: asText(adhesive?.label.waitMinS),
    hold: asText(adhesive?.label.holdS),
    handling: asText(adhesive?.label.handlingS),
    full: asText(adhesive?.label.fullS),
    heat: adhesive?.label.serviceMaxC === undefined ? '' : `${adhesive.label.serviceMaxC} °C`,
    cold: adhesive?.label.serviceMinC === undefined ? '' : `${adhesive.label.serviceMinC} °C`,
    volatile:
      adhesive?.label.volatileShare === undefined ? '' : String(+(adhesive.label.volatileShare * 100).toPrecision(4)),
    limit: adhesive?.label.limitMgM3 === undefined ? '' : String(adhesive.label.limitMgM3),
    gap: adhesive?.label.gapMaxMm === undefined ? '' : `${adhesive.label.gapMaxMm} mm`,
    water: adhesive?.label.water ?? '',
    hazards: adhesive?.label.hazards ?? null,
    facts: factsTyped(adhesive?.label.facts ?? {}),
    aliases: adhesive?.aliases.join(', ') ?? '',
    batch: pack?.batch ?? '',
    bought: pack?.boughtOn ?? '',
    opened: pack?.openedOn ?? '',
    expires: pack?.expiresOn ?? '',
    left: pack ? String(Math.round(pack.left * 100)) : '100',
  }
}

const seconds = (text: string, path: string) => (text.trim() ? parseSeconds(text, path) : undefined)

function positiveNumber(text: string, path: string, field: string): number {
  return parseNumber(text, { path, field, example: '120', least: 0.001, most: 1e6 })
}
function percent(text: string, field: string): number {
  return parseNumber(text, { path: field, field, example: '80', unit: '%', least: 0, most: 100 })
}

/**
 * "5 kg" of a pack that counts in grams is 5000 of them; a bare number counts in the pack's own unit. null where
 * nothing is typed: not known.
 */
function packSizeFrom({ packSize, packUnit }: GlueForm): number | null {
  if (!packSize.trim()) return null
  const as = { g: ['mass', 1000], ml: ['volume', 1000], m: ['length', 0.001] } as const
  const path = 'pack size'
  const size =
    packUnit in as
      ? parseQuantity(packSize, as[packUnit as keyof typeof as][0], packUnit, path).inside *
        as[packUnit as keyof typeof as][1]
      : parseNumber(packSize, { path, field: 'The pack size', example: '20', unit: packUnit, most: 1e6 })
  if (size < 0.001) throw new CodedError('not-positive', path, { field: 'The pack size', got: size })
  return Number(size.toPrecision(9))
}

function labelFrom(form: GlueForm): Adhesive['label'] {
  const label = {
    waitMinS: seconds(form.wait, 'wait'),
    holdS: seconds(form.hold, 'hold'),
    handlingS: seconds(form.handling, 'handling'),
    fullS: seconds(form.full, 'full cure'),
    serviceMaxC: form.heat.trim() ? parseQuantity(form.heat, 'temperature', '°C', 'heat').inside : undefined,
    serviceMinC: form.cold.trim() ? parseQuantity(form.cold, 'temperature', '°C', 'cold').inside : undefined,
    volatileShare: form.volatile.trim()
      ? Math.round(percent(form.volatile, 'What evaporates, in percent,') * 100) / 10_000
      : undefined,
    limitMgM3: form.limit.trim() ? positiveNumber(form.limit, 'limit', 'The limit in the data sheet') : undefined,
    gapMaxMm: form.gap.trim() ? parseQuantity(form.gap, 'length', 'mm', 'gap').inside : undefined,
    water: form.water || undefined,
    // An empty list is an answer: its label names none.
    hazards: form.hazards ? (form.hazards as Adhesive['label']['hazards']) : undefined,
    facts: factsFrom(form.facts),
  }
  return Object.fromEntries(Object.entries(label).filter(([, value]) => value !== undefined))
}

/** Other names, between commas; the product's own name is none of them. */
const namesFrom = (text: string, name: string) =>
  [...new Set(text.split(',').map((one) => one.trim()))].filter((one) => one && one !== name.trim())

/**
 * Writes a product and its pack.
 * @param adhesive and pack as they stood when the form was opened; null for new ones
 * @throws CodedError naming the field
 */
export async function keepGlue(
  bench: Store,
  form: GlueForm,
  adhesive: Adhesive | null,
  pack: StockItem | null,
): Promise<boolean> {
  if (!form.name.trim())
    throw new CodedError('missing', 'name', { field: 'What you call it', purpose: 'finding it on the shelf' })
  const size = packSizeFrom(form)
  const left = percent(form.left, 'What is left, in percent,')
  const record: Adhesive = {
    id: adhesive?.id ?? newId(),
    name: form.name.trim(),
    family: familyOf(form.family).id,
    aliases: namesFrom(form.aliases, form.name),
    packSize: size,
    packUnit: form.packUnit,
    packPrice: form.packPrice.trim() ? parseMoney(form.packPrice, 'price') : null,
    label: labelFrom(form),
    note: adhesive?.note ?? '',
  }
  const stock: StockItem = {
    id: pack?.id ?? newId(),
    adhesive: record.id,
    batch: form.batch.trim(),
    boughtOn: form.bought || null,
    openedOn: form.opened || null,
    expiresOn: form.expires || null,
    left: Math.round(left * 100) / 10_000,
  }
  const edits = [
    ...(adhesive ? [editOf('adhesive', adhesive, record)] : []),
    ...(pack ? [editOf('stock', pack, stock)] : []),
  ]
  const made = [...(adhesive ? [] : [insert('adhesive', record)]), ...(pack ? [] : [insert('stock', stock)])]
  return bench.edit(`${adhesive ? 'Change' : 'Put on the shelf'}: ${record.name}`, edits, made, true)
}

export async function keepMaterial(
  bench: Store,
  form: { name: string; classId: string; thickness: string },
  material: Material | null,
): Promise<boolean> {
  if (!form.name.trim())
    throw new CodedError('missing', 'name', { field: 'What you call it', purpose: 'finding it in the sentence' })
  const thicknessMm = form.thickness.trim() ? parseQuantity(form.thickness, 'length', 'mm', 'thickness').inside : null
  if (thicknessMm !== null && thicknessMm <= 0)
    throw new CodedError('not-positive', 'thickness', { field: 'The thickness', got: thicknessMm })
  const record: Material = {
    id: material?.id ?? newId(),
    name: form.name.trim(),
    classId: form.classId,
    thicknessMm,
    note: material?.note ?? '',
  }
  return bench.edit(
    `${material ? 'Change' : 'Add'} material ${record.name}`,
    material ? [editOf('material', material, record)] : [],
    material ? [] : [insert('material', record)],
    true,
  )
}

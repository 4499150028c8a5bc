import { describe, expect, it } from 'vitest'
import { familyOf } from '../../knowledge/families'
import { openBrief } from '../../records/openBrief'
import type { Procedure } from '../../records/procedure'
import type { StockItem } from '../../records/shelf'
import { shoppingList, type JointToBuy } from './shopping'

const DAY = 86_400_000
const WANTED = Date.UTC(2026, 11, 12, 12)
const procedure = (family: string, patch: Partial<Procedure> = {}): Procedure => ({
  id: `p-${family}`,
  joint: 'j',
  letter: 'A',
  name: family,
  family,
  adhesive: null,
  helpers: [],
  anyway: false,
  coats: 1,
  spreadGm2: null,
  dilution: null,
  blend: null,
  steps: [],
  ...patch,
})
const product = (id: string, family: string, packSize: number, packUnit: 'ml' | 'g', packPrice: number) => ({
  id,
  name: id,
  family,
  aliases: [],
  packSize,
  packUnit,
  packPrice,
  label: {},
  note: '',
})
const pack = (adhesive: string, left: number, patch: Partial<StockItem> = {}): StockItem => ({
  id: `${adhesive}-${left}`,
  adhesive,
  batch: '',
  boughtOn: null,
  openedOn: null,
  expiresOn: null,
  left,
  ...patch,
})
const joint = (code: string, glue: ReturnType<typeof product>, size: [number, number], left: number): JointToBuy => ({
  code,
  brief: { ...openBrief(), widthMm: size[0], lengthMm: size[1] },
  procedure: procedure(glue.family),
  glue: { family: familyOf(glue.family), product: glue, left: null },
  others: [],
  left,
})
const milky = product('Milky contact', 'contact-water', 250, 'ml', 11.5)
const twin = product('Slow twin', 'epoxy-slow', 24, 'ml', 12.4)

describe('the shopping list of a build', () => {
  // The example of docs/build-worked.md, worked there by hand.
  it('agrees with the worked example', () => {
    const joints = [
      joint('H1', milky, [25, 60], 36),
      joint('H3', milky, [20, 30], 180),
      joint('H2', twin, [60, 80], 20),
    ]
    const { list, price } = shoppingList(joints, [pack(milky.id, 0.1), pack(twin.id, 0.5)], WANTED)
    const of = (name: string) => list.find((one) => one.name === name)!
    expect(of('Milky contact')).toMatchObject({ codes: ['H1', 'H3'], packs: 1, pack: '250 ml', price: 11.5 })
    expect(of('Milky contact').needG).toBeCloseTo(49.896, 9)
    expect(of('Milky contact').wantedG).toBeCloseTo(54.8856, 9)
    expect(of('Milky contact').leftG).toBeCloseTo(27, 9)
    expect(of('Slow twin').needG).toBeCloseTo(23.232, 9)
    expect(of('Slow twin').wantedG).toBeCloseTo(25.5552, 9)
    expect(of('Slow twin').leftG).toBeCloseTo(13.44, 9)
    expect(of('Slow twin')).toMatchObject({ packs: 1, price: 12.4 })
    expect(price).toBeCloseTo(23.9, 9)
  })

  it('buys nothing where enough stands there, and whole packs beyond it', () => {
    const one = joint('H1', milky, [25, 60], 36)
    expect(shoppingList([one], [pack(milky.id, 0.7)], WANTED).list[0]).toMatchObject({ packs: 0, price: 0 })
    expect(shoppingList([{ ...one, left: 2000 }], [], WANTED).list[0]!.packs).toBe(
      Math.ceil((0.462 * 2000 * 1.1) / 270),
    )
    expect(shoppingList([{ ...one, left: 0 }], [], WANTED).list).toEqual([])
  })

  it('does not count a pack that will be past its date, or open for too long', () => {
    const day = (offset: number) => new Date(WANTED + offset * DAY).toISOString().slice(0, 10)
    const left = (patch: Partial<StockItem>) =>
      shoppingList([joint('H1', milky, [25, 60], 36)], [pack(milky.id, 0.5, patch)], WANTED).list[0]!
    expect(left({ expiresOn: day(0) })).toMatchObject({ expiring: 0, leftG: 135 })
    expect(left({ expiresOn: day(-1) })).toMatchObject({ expiring: 1, leftG: 0, packs: 1 })
    // A tin of this kind keeps 180 days once opened.
    expect(left({ openedOn: day(-179) }).leftG).toBe(135)
    expect(left({ openedOn: day(-181) })).toMatchObject({ expiring: 1, leftG: 0 })
  })

  it('counts what is stirred in under its own glue, and says what it cannot count', () => {
    const blend = {
      parts: [
        { name: milky.id, parts: 3 },
        { name: twin.id, parts: 1 },
      ],
      batch: '',
    }
    const one = joint('H1', milky, [25, 60], 10)
    const known = { family: familyOf('epoxy-slow'), product: twin, left: null }
    const stirred: JointToBuy = {
      ...one,
      procedure: procedure('contact-water', { blend }),
      others: [
        { name: twin.id, share: 0.25, known },
        { name: 'chalk', share: 0.1, known: null },
      ],
    }
    const open = { ...one, code: 'H9', brief: openBrief() }
    const { list, unknown, unsized } = shoppingList([stirred, open], [], WANTED)
    // 4.62 g in all: three parts of four, and one.
    expect(list.find(({ key }) => key === milky.id)!.needG).toBeCloseTo(3.465, 9)
    expect(list.find(({ key }) => key === twin.id)!.needG).toBeCloseTo(1.155, 9)
    expect(unknown).toEqual(['chalk'])
    expect(unsized).toEqual(['H9'])
  })
})

// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { RouteRecordRaw } from 'vue-router'
import { buildDemoBench } from '../../demo/bench'
import { routes } from '../router'
import { hostileTexts } from './hostileTexts'
import { mountAt, type Mounted } from './mountAt'

vi.mock('../workers/client', async () => (await import('./noWorker')).workerHere())

// What the overlays of the interface ask for, and the test's browser has not.
vi.stubGlobal(
  'visualViewport',
  Object.assign(new EventTarget(), { width: 1280, height: 800, scale: 1, offsetTop: 0, offsetLeft: 0 }),
)
vi.stubGlobal('print', () => {})

const NOW = Date.parse('2026-11-24T18:00:00')
/** Every so manyth text is tried in a field, another one first in each: `HOSTILE_EVERY=1` tries all two hundred. */
const EVERY = Number(process.env['HOSTILE_EVERY'] ?? 5)

/** Joints of the demo bench that stand at different stations: pulled, being glued, a draft, only asked. */
const joints = ['h2', 'h3', 'h5', 'h4']
/** Addresses of every page that the router knows. */
function pathsOf(list: readonly RouteRecordRaw[], parent = ''): string[] {
  return list.flatMap((route) => {
    const path = route.path.startsWith('/') ? route.path : `${parent}/${route.path}`
    if (route.children) return pathsOf(route.children, path)
    if (route.redirect !== undefined || path.includes(':rest')) return []
    return path.includes(':joint') ? joints.map((joint) => path.replace(':joint', joint)) : [path]
  })
}
const paths = pathsOf(routes)

/** Every number anywhere in a record, with its place. */
function numbers(value: unknown, path = ''): [string, number][] {
  if (typeof value === 'number') return [[path, value]]
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, one]) => numbers(one, `${path}.${key}`))
}

/** What a field has led to since: entries whose numbers are finite, bounded and without exponent. */
function checkWrites(mounted: Mounted, seen: Set<string>, why: string): void {
  for (const { id, changes } of mounted.bench.history()) {
    if (seen.has(id)) break
    seen.add(id)
    for (const { after } of changes)
      for (const [place, value] of numbers(after)) {
        expect(Number.isFinite(value), `${why}: ${place} ${value}`).toBe(true)
        expect(String(value), `${why}: ${place}`).not.toMatch(/e/)
        expect(Math.abs(value), `${why}: ${place}`).toBeLessThanOrEqual(Date.UTC(9999, 11, 31))
      }
  }
}
/** The text of the page without what was typed itself. */
function checkText(text: string, typed: string, why: string): void {
  const parts = [typed.trim(), typed.trim().slice(0, 40), ...typed.trim().split(/\s+/)].filter(
    (part) => part.length > 1,
  )
  // A sentence may still quote what was typed into the field before.
  const shown = parts.reduce((rest, part) => rest.split(part).join(''), text.replace(/“[^”]*”/g, ''))
  expect(shown, why).not.toMatch(/\bNaN\b|\bundefined\b|\bInfinity\b|\[object|\d(\.\d+)?e[+-]?\d/)
}

type Field = HTMLInputElement | HTMLTextAreaElement
/** What stands in overlays is counted too: it lies outside of the page's own element. */
const fieldsOf = (): Field[] =>
  [...document.querySelectorAll<Field>('input, textarea')].filter(
    (field) =>
      !['checkbox', 'radio', 'file', 'range', 'submit'].includes(field.type) && !field.readOnly && !field.disabled,
  )
/** A field by what it is called, not by where it stands: the same one of another row is tried once. */
const nameOf = (field: Field): string =>
  [
    field.getAttribute('aria-label') ?? field.labels?.[0]?.textContent ?? field.closest('label')?.textContent ?? '',
    field.placeholder,
    field.type,
    field.closest('form, section, li')?.className ?? '',
  ]
    .join('|')
    .replace(/\d+|\b[A-H]\b|[A-H]-/g, '#')
    .trim()
const names = () => fieldsOf().map(nameOf)

const buttonsOf = () =>
  [...document.querySelectorAll<HTMLElement>('main :is(button, [role="button"]), .v-overlay-container button')].filter(
    (button) => !button.matches(':disabled, [type="submit"]'),
  )
/** A button by its first words: the same one of another row brings the same fields. */
const kindOf = (path: string, button: HTMLElement) => {
  const words = button.getAttribute('aria-label') ?? button.textContent ?? ''
  const first = words
    .replace(/(?<!^)[\d“”:].*$/, '')
    .trim()
    .split(/\s+/)
    .slice(0, 5)
  return `${path.split('/').at(-1)} ${first.join(' ')}`
}

async function settle(): Promise<void> {
  await flushPromises()
  for (const details of document.querySelectorAll('details')) details.open = true
  await flushPromises()
}
async function again(mounted: Mounted, path: string): Promise<void> {
  await mounted.go('/history')
  await mounted.go(path)
  await settle()
}
async function takeBack({ bench }: Mounted, to: unknown): Promise<void> {
  for (let n = 0; n < 20 && bench.undoable && bench.undoable !== to; n++) await bench.undo()
}

const pressed = new Set<string>()
/** Buttons that bring fields, found by pressing every kind of button of the page once. */
async function openersOf(mounted: Mounted, path: string): Promise<string[]> {
  const found: string[] = []
  for (;;) {
    const button = buttonsOf().find((one) => !pressed.has(kindOf(path, one)))
    if (!button) break
    const kind = kindOf(path, button)
    pressed.add(kind)
    const before = new Set(names())
    const { undoable } = mounted.bench
    button.click()
    await settle()
    if (names().some((name) => !before.has(name) && !tried.has(name))) found.push(kind)
    await takeBack(mounted, undoable)
    const moved = mounted.router.currentRoute.value.fullPath !== path
    if (moved || names().length !== before.size || !buttonsOf().length) await again(mounted, path)
  }
  // What the test's own browser lacks (printing, a dialog of the system) is no fault of a field.
  mounted.errors.length = 0
  return found
}

/** Fields that were tried on an earlier page. */
const tried = new Set<string>()
let count = 0

/** Every field that is not known yet, with every text of its share. */
async function tryFields(mounted: Mounted, path: string, open: () => Promise<void>): Promise<void> {
  const seen = new Set(mounted.bench.history().map(({ id }) => id))
  const old = mounted.bench.undoable
  for (const name of new Set(names())) {
    if (tried.has(name)) continue
    tried.add(name)
    const start = count++ % EVERY
    for (const text of hostileTexts.filter((_, i) => i % EVERY === start)) {
      const find = () => fieldsOf().find((one) => nameOf(one) === name)
      if (!find()) await open()
      const field = find()
      if (!field) break
      const why = `${path}, field “${name}”, “${text.slice(0, 30)}”`
      field.dispatchEvent(new Event('focus'))
      field.value = text
      for (const type of ['input', 'change', 'blur']) field.dispatchEvent(new Event(type, { bubbles: true }))
      await flushPromises()
      field.closest('form')?.dispatchEvent(new Event('submit', { bubbles: true, cancelable: true }))
      await flushPromises()
      expect(mounted.errors, why).toEqual([])
      checkWrites(mounted, seen, why)
      checkText(`${document.body.textContent} ${mounted.bench.notice?.text ?? ''}`, text, why)
      // What was written is taken back, so that each text meets the same page.
      await takeBack(mounted, old)
      mounted.bench.tell('')
      if (mounted.router.currentRoute.value.fullPath !== path) await open()
    }
  }
}

describe(`hostile texts in every field of every page`, () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it('are two hundred', () => expect(hostileTexts.length).toBeGreaterThanOrEqual(200))

  it.each(paths)(
    '%s: a finite number within bounds, or a sentence',
    async (path) => {
      const mounted = await mountAt(buildDemoBench(NOW), path)
      await settle()
      await tryFields(mounted, path, () => again(mounted, path))
      for (const kind of await openersOf(mounted, path)) {
        const open = async () => {
          await again(mounted, path)
          buttonsOf()
            .find((one) => kindOf(path, one) === kind)
            ?.click()
          await settle()
        }
        await open()
        await tryFields(mounted, path, open)
      }
      mounted.wrapper.unmount()
      document.body.innerHTML = ''
    },
    900_000,
  )

  it('a hundred different fields were found', () => {
    if (process.env['HOSTILE_LIST']) console.log([...tried].join('\n'))
    expect(count).toBeGreaterThan(100)
  })
})

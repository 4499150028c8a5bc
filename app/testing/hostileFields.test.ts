// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { RouteRecordRaw } from 'vue-router'
import { buildDemoBench } from '../../demo/bench'
import { routes } from '../router'
import { hostileTexts } from './hostileTexts'
import { isMeant } from './meant'
import { mountAt, type Mounted } from './mountAt'
import { openClash } from '../bench/clash'

vi.mock('../workers/client', async () => (await import('./noWorker')).workerHere())

// What the overlays of the interface ask for, and the test's browser has not.
vi.stubGlobal(
  'visualViewport',
  Object.assign(new EventTarget(), { width: 1280, height: 800, scale: 1, offsetTop: 0, offsetLeft: 0 }),
)
vi.stubGlobal('print', () => {})

const NOW = Date.parse('2026-11-24T18:00:00')
/**
 * Every so manyth text is tried in a field, another one first in each: ten. `HOSTILE_EVERY=5` tries forty (ten
 * minutes), 1 all two hundred.
 */
const EVERY = Number(process.env['HOSTILE_EVERY'] ?? 20)

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
/** Every value anywhere in a record that stands there anew. */
function written(after: unknown, before: unknown): unknown[] {
  if (typeof after !== 'object' || after === null) return after === before ? [] : [after]
  return Object.entries(after).flatMap(([key, one]) => written(one, (before as Record<string, unknown> | null)?.[key]))
}

const plain = (text: string) => text.replace(/[\s\u0000-\u001f]+/g, ' ').trim()
/** Whether a written text is what was typed, or a sentence that ends with it; a long one may be cut. */
const isTyped = (text: string, value: string) =>
  plain(value) !== '' &&
  (plain(text) === plain(value) ||
    plain(value).endsWith(`: ${plain(text)}`) ||
    (value.length > 40 && plain(text).startsWith(plain(value))))
/** Whether anything that was written reads back as what was typed. */
const readsBack = (text: string, values: readonly unknown[]) =>
  values.some((value) =>
    typeof value === 'number' ? isMeant(text, value) : typeof value === 'string' && isTyped(text, value),
  )
/** What the page says of a field now: its warnings and answers, and the notice at the foot. */
const said = ({ bench }: Mounted) =>
  [...document.querySelectorAll('[role="alert"], [role="status"], .problem')]
    .map((one) => one.textContent)
    .concat(bench.notice?.text ?? '')
    .join(' | ')

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

async function enter(field: Field, text: string): Promise<void> {
  field.dispatchEvent(new Event('focus'))
  field.value = text
  for (const type of ['input', 'change', 'blur']) field.dispatchEvent(new Event(type, { bubbles: true }))
  await flushPromises()
}
/** Words in an empty field that are no example of what to write there. */
const NO_EXAMPLE = /^(usually|not known|none|nobody|your own|as usual|at full|$)/
/** The other fields of a form hold what their examples say: nothing else stands in the way of sending it. */
async function fillOthers(field: Field): Promise<void> {
  for (const other of field.closest('form')?.querySelectorAll<Field>('input, textarea') ?? [])
    if (other !== field && other.value === '' && !NO_EXAMPLE.test(other.placeholder))
      await enter(other, other.placeholder)
  for (const select of field.closest('form')?.querySelectorAll('select') ?? []) {
    if (select.value || select.options.length < 2) continue
    select.selectedIndex = select.options.length - 1
    select.dispatchEvent(new Event('change', { bubbles: true }))
    await flushPromises()
  }
}

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

/** Fields whose text waits for something that the test does not do. */
const waits = /^(Done by|What went wrong|Places used up)/

/**
 * What came of a text in a field: empty for a sentence or a value that reads back, words for anything else.
 */
async function outcomeOf(
  mounted: Mounted,
  field: Field,
  text: string,
  { seen, before }: { seen: ReadonlySet<string>; before: string },
): Promise<string> {
  await fillOthers(field)
  const name = nameOf(field)
  const bench = mounted.bench.id
  await enter(field, text)
  /** without what the browser takes out itself: the breaks of a line, what is no date */
  const typed = field.value
  field.closest('form')?.dispatchEvent(new Event('submit', { bubbles: true, cancelable: true }))
  await flushPromises()
  if (!plain(text) || !plain(typed) || field.type === 'search' || waits.test(name)) return ''
  const values = () =>
    mounted.bench
      .history()
      .filter(({ id }) => !seen.has(id))
      .flatMap(({ changes }) => changes.flatMap(({ after, before }) => written(after, before)))
  if (!field.closest('form') && !values().length && said(mounted) === before) {
    sendOf(field)?.click()
    await flushPromises()
  }
  // What was changed elsewhere since (here: taken back) is asked about before anything is written.
  openClash.value?.answer('mine')
  await flushPromises()
  // Some writes wait for a piece that is fetched first.
  if (!values().length && said(mounted) === before) await new Promise((done) => setTimeout(done, 60))
  await flushPromises()
  // A new bench is opened by its name.
  if (mounted.bench.id !== bench) return readsBack(typed, [mounted.bench.bench!.name]) ? '' : 'another bench was opened'
  const wrote = values()
  if (!wrote.length) return said(mounted) === before ? 'nothing was written, nothing said' : ''
  return readsBack(text, wrote) || readsBack(typed, wrote) ? '' : `wrote ${wrote.slice(0, 6).join(', ')}`
}
/** The button that sends what stands in a field, where that is no form's. */
function sendOf(field: Field): HTMLElement | undefined {
  const place = field.closest('section, article, .card, main') ?? document
  const after = [...place.querySelectorAll<HTMLElement>('button:not(:disabled)')].filter(
    (button) => (button.compareDocumentPosition(field) & Node.DOCUMENT_POSITION_PRECEDING) !== 0,
  )
  return after.find((button) => button.matches('.go')) ?? after.find((button) => button.matches('.alt'))
}

/** Fields that were tried on an earlier page. */
const tried = new Set<string>()
let count = 0
const faults: string[] = []

/** Every field that is not known yet, with every text of its share. */
async function tryFields(mounted: Mounted, path: string, open: () => Promise<void>): Promise<void> {
  const seen = new Set(mounted.bench.history().map(({ id }) => id))
  const old = mounted.bench.undoable
  for (const name of new Set(names())) {
    if (tried.has(name)) continue
    tried.add(name)
    const start = count++ % EVERY
    // What other fields led to is gone.
    if (said(mounted).replace(/[ |]/g, '')) await open()
    for (const { id } of mounted.bench.history()) seen.add(id)
    const before = said(mounted)
    for (const text of hostileTexts.filter((_, i) => i % EVERY === start)) {
      const find = () => fieldsOf().find((one) => nameOf(one) === name)
      if (!find()) await open()
      const field = find()
      if (!field) break
      const was = field.value
      const why = `${path}, field “${name}”, “${text.slice(0, 30)}”`
      const own = mounted.bench.id
      const outcome = await outcomeOf(mounted, field, text, { seen, before })
      if (outcome) faults.push(`${why}: ${outcome}`)
      if (mounted.bench.id !== own) await mounted.bench.openInMemory(null, buildDemoBench(NOW))
      expect(mounted.errors, why).toEqual([])
      checkWrites(mounted, seen, why)
      checkText(`${document.body.textContent} ${mounted.bench.notice?.text ?? ''}`, text, why)
      const still = find()
      if (still) await enter(still, was)
      // What was written is taken back, so that each text meets the same page.
      await takeBack(mounted, old)
      for (const { id } of mounted.bench.history()) seen.add(id)
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

  it('each text ended as a sentence or as a value that reads back', () => {
    expect(faults).toEqual([])
  })

  it('a hundred different fields were found', () => {
    if (process.env['HOSTILE_LIST']) console.log([...tried].join('\n'))
    expect(count).toBeGreaterThan(100)
  })
})

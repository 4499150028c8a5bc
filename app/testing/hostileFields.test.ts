// @vitest-environment happy-dom
import { flushPromises, type DOMWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../demo/bench'
import { hostileTexts } from './hostileTexts'
import { mountAt, type Mounted } from './mountAt'

vi.mock('../workers/client', async () => (await import('./noWorker')).workerHere())

const NOW = Date.parse('2026-11-24T18:00:00')

/** Every number anywhere in a record, with its place. */
function numbers(value: unknown, path = ''): [string, number][] {
  if (typeof value === 'number') return [[path, value]]
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, one]) => numbers(one, `${path}.${key}`))
}

/** What a field has led to since: entries whose numbers are finite, bounded and without exponent, and sentences. */
function checkWrites(mounted: Mounted, seen: Set<string>, why: string): void {
  for (const { id, changes } of mounted.bench.history()) {
    if (seen.has(id)) break
    seen.add(id)
    for (const { after } of changes) {
      for (const [place, value] of numbers(after)) {
        expect(Number.isFinite(value), `${why}: ${place} ${value}`).toBe(true)
        expect(String(value), `${why}: ${place}`).not.toMatch(/e/)
        expect(Math.abs(value), `${why}: ${place}`).toBeLessThanOrEqual(Date.UTC(9999, 11, 31))
      }
    }
  }
}
/** The text of the page without what was typed itself. */
function checkText(text: string, typed: string, why: string): void {
  const parts = [typed.trim(), typed.trim().slice(0, 40), ...typed.trim().split(/\s+/)].filter(
    (part) => part.length > 1,
  )
  const shown = parts.reduce((rest, part) => rest.split(part).join(''), text)
  expect(shown, why).not.toMatch(/\bNaN\b|\bundefined\b|\bInfinity\b|\d(\.\d+)?e[+-]?\d/)
}

const fieldsOf = (mounted: Mounted): DOMWrapper<HTMLInputElement>[] =>
  mounted.wrapper
    .findAll<HTMLInputElement>('input, textarea')
    .filter(({ element }) => !['checkbox', 'radio', 'date', 'file'].includes(element.type) && !element.readOnly)

/** Opens whatever has fields behind a button, so that they are there. */
async function openForms(mounted: Mounted): Promise<void> {
  for (const words of [
    'Change it all the same',
    'Put a glue on the shelf',
    'Set a house rule',
    'Dilute with water',
    'Blend by weight',
    'Something went differently',
    'Copy to a similar joint',
    'Change name, day or money',
    'Note what somebody said',
  ]) {
    const button = mounted.wrapper.findAll('button').find((one) => one.text().includes(words))
    if (button) await button.trigger('click')
  }
  for (const details of mounted.wrapper.findAll('details')) (details.element as HTMLDetailsElement).open = true
  await flushPromises()
}

const pages: [name: string, path: string][] = [
  ['Ask', '/joint/h4/ask'],
  ['Plan, a draft', '/joint/h5/plan'],
  ['Plan, coupons pulled', '/joint/h2/plan'],
  ['Print', '/joint/h2/print'],
  ['Glue', '/joint/h3/glue'],
  ['Break', '/joint/h2/break'],
  ['Choose', '/joint/h2/choose'],
  ['Shelf', '/shelf'],
  ['Evidence', '/evidence'],
  ['Build', '/build'],
  ['Start', '/'],
]

/** Pages that work much out at each text, or lead away: a quarter of the texts will do there. */
const fewOn = new Set(['Start', 'Evidence', 'Build'])

describe(`${hostileTexts.length} hostile texts in every field`, () => {
  beforeEach(() => void vi.useFakeTimers({ now: NOW, toFake: ['Date'] }))

  it('are two hundred', () => expect(hostileTexts.length).toBeGreaterThanOrEqual(200))

  it.each(pages)(
    '%s: a finite number within bounds, or a sentence',
    async (name, path) => {
      const mounted = await mountAt(buildDemoBench(NOW), path)
      await openForms(mounted)
      const seen = new Set(mounted.bench.history().map(({ id }) => id))
      const old = new Set(seen)
      const count = fieldsOf(mounted).length
      expect(count, `${name}: fields found`).toBeGreaterThan(name === 'Choose' ? -1 : 0)
      for (let at = 0; at < count; at++) {
        for (const text of fewOn.has(name) ? hostileTexts.filter((_, i) => i % 4 === 0) : hostileTexts) {
          const field = fieldsOf(mounted)[at]
          if (!field) break
          const why = `${name}, field ${at} (${field.element.placeholder || field.element.id}), “${text.slice(0, 30)}”`
          await field.trigger('focus')
          await field.setValue(text)
          await field.trigger('change')
          await field.trigger('blur')
          const form = field.element.closest('form')
          if (form) form.dispatchEvent(new Event('submit', { bubbles: true, cancelable: true }))
          await flushPromises()
          expect(mounted.errors, why).toEqual([])
          checkWrites(mounted, seen, why)
          checkText(`${mounted.wrapper.text()} ${mounted.bench.notice?.text ?? ''}`, text, why)
          // What was written is taken back, so that each text meets the same page.
          if (mounted.bench.undoable && !old.has(mounted.bench.undoable.id)) {
            await mounted.bench.undo()
            mounted.bench.tell('')
            await flushPromises()
          }
          if (mounted.router.currentRoute.value.fullPath !== path || !fieldsOf(mounted)[at]) {
            await mounted.go(path)
            await openForms(mounted)
          }
        }
      }
      mounted.wrapper.unmount()
      document.body.innerHTML = ''
    },
    900_000,
  )
})

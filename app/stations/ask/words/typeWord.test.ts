// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { defineComponent, h, nextTick } from 'vue'
import { describe, expect, it, vi } from 'vitest'
import { jointSchema } from '../../../../core/records/joint'
import { openBrief } from '../../../../core/records/openBrief'
import { vuetify } from '../../../look/vuetify'
import { hostileTexts } from '../../../testing/hostileTexts'
import { sideWords, words, type WordDef } from '../words'
import TypeWord from './TypeWord.vue'

/** The word's popover, always open: only what is typed and what comes of it is looked at here. */
vi.mock('./SentenceWord.vue', () => ({
  default: defineComponent({
    emits: ['opened', 'clear'],
    setup:
      (_, { slots }) =>
      () =>
        h('div', slots['default']?.({ close: () => {} })),
  }),
}))

type NumberWord = Extract<WordDef, { kind: 'number' }>
const numberWords: [string, NumberWord][] = [
  ...Object.entries(words),
  ...Object.entries(sideWords('A', null)).map(([key, def]) => [`a.${key}`, def] as [string, WordDef]),
].flatMap(([key, def]) => (def.kind === 'number' ? [[key, def] as [string, NumberWord]] : []))

function mounted(def: NumberWord) {
  const { label, ask, dimension, unit, least, most, whole, show } = def
  return mount(TypeWord, {
    props: { label, ask, value: null, dimension, unit, least, most, whole, show },
    global: { plugins: [vuetify] },
  })
}
const withWord = (key: string, value: number) => {
  const brief = openBrief()
  return key.startsWith('a.') ? { ...brief, a: { ...brief.a, [key.slice(2)]: value } } : { ...brief, [key]: value }
}

describe('words of the sentence that are numbers', () => {
  it.each(numberWords)(
    '%s takes a number within bounds that the record takes too, or says what was expected',
    async (key, def) => {
      const word = mounted(def)
      for (const text of hostileTexts) {
        const before = word.emitted('set')?.length ?? 0
        await word.find('input').setValue(text)
        await word.find('form').trigger('submit')
        await nextTick()
        const value = (word.emitted('set') as [number][] | undefined)?.[before]?.[0]
        const problem = word.find('[role="alert"]')
        if (value === undefined) {
          expect(problem.exists() && problem.text().length > 15, `${key} “${text.slice(0, 30)}” says nothing`).toBe(
            true,
          )
          if (!/undefined|NaN/.test(text)) expect(problem.text()).not.toMatch(/undefined|NaN|\{\w+\}/)
          continue
        }
        expect(String(value), text).not.toMatch(/e|NaN|Infinity/)
        const record = {
          id: 'j',
          build: 'b',
          code: 'H1',
          name: 'x',
          createdAt: 0,
          brief: withWord(key, value / (def.scale ?? 1)),
        }
        const result = jointSchema.safeParse(record)
        expect(result.success, `${key} “${text.slice(0, 30)}” became ${value}, which the record refuses`).toBe(true)
      }
    },
  )

  it('shows what stands there, and reads it back as the same', async () => {
    const def = numberWords.find(([key]) => key === 'widthMm')![1]
    const word = mounted(def)
    await word.find('input').setValue('2 1/2 in')
    await word.find('form').trigger('submit')
    expect(word.emitted('set')).toEqual([[63.5]])
  })
})

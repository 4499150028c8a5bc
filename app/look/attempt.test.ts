// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { defineComponent, h, ref } from 'vue'
import { CodedError } from '../../core/errors'
import { parseQuantity } from '../../core/quantities/parse'
import { useAttempt, useRead } from './attempt'
import FieldPart from './FieldPart'
import ProblemLine from './ProblemLine.vue'

/** A form with two weights, of which the second is folded away; a press keeps them. */
function form(keep: (full: number, left: number) => unknown) {
  const typed = { full: ref('84 g'), left: ref('83 g') }
  const input = (of: { value: string }) =>
    h('input', { value: of.value, onInput: ({ target }: Event) => (of.value = (target as HTMLInputElement).value) })
  const Form = defineComponent(() => {
    const { attempt, clear, refuse } = useAttempt()
    const grams = (text: string, name: string) => parseQuantity(text, 'mass', 'g', name).inside * 1000
    const send = () => attempt(() => keep(grams(typed.full.value, 'full'), grams(typed.left.value, 'Left in it')))
    return () =>
      h('form', [
        h(FieldPart, { label: 'It weighs', name: 'full', unit: 'g' }, () => input(typed.full)),
        h('details', [h(FieldPart, { label: 'Left in it', hint: 'weighed with its lid' }, () => input(typed.left))]),
        h(ProblemLine),
        h('button', { class: 'send', type: 'button', onClick: send }),
        h('button', { class: 'no', type: 'button', onClick: () => refuse('Weigh it first.', 'full') }),
        h('button', { class: 'clear', type: 'button', onClick: clear }),
      ])
  })
  const wrapper = mount(Form, { attachTo: document.body })
  const [full, left] = wrapper.findAll('input')
  const marked = () => [full!, left!].map((one) => one.attributes('aria-invalid') === 'true')
  return { wrapper, full: full!, left: left!, marked }
}

describe('what a form tries', () => {
  it('marks the field at fault, points from it to the sentence, opens what hides it and moves there', async () => {
    const keep = vi.fn()
    const { wrapper, full, left, marked } = form(keep)
    await left.setValue('a bit')
    await wrapper.find('.send').trigger('click')
    await flushPromises()
    expect(keep).not.toHaveBeenCalled()
    expect(marked()).toEqual([false, true])
    const line = wrapper.find('.problem')
    expect(line.attributes('role')).toBe('alert')
    expect(line.text()).toMatch(/such as 3 kg; got “a bit”/)
    expect(left.element.closest('.field')!.contains(line.element)).toBe(true)
    expect(left.attributes('aria-describedby')!.split(' ')).toContain(line.attributes('id'))
    expect(wrapper.findAll('.problem')).toHaveLength(1)
    expect(wrapper.find('details').element.open).toBe(true)
    expect(document.activeElement).toBe(left.element)
    expect(left.element.value).toBe('a bit')
    expect(full.element.value).toBe('84 g')
    wrapper.unmount()
  })

  it('takes mark and sentence away once it works, and gives back what came of it', async () => {
    const keep = vi.fn()
    const { wrapper, full, marked } = form(keep)
    await full.setValue('')
    await wrapper.find('.send').trigger('click')
    await flushPromises()
    expect(marked()).toEqual([true, false])
    await full.setValue('90')
    await wrapper.find('.send').trigger('click')
    await flushPromises()
    expect(keep).toHaveBeenCalledWith(90, 83)
    expect(marked()).toEqual([false, false])
    expect(wrapper.find('.problem').exists()).toBe(false)
    wrapper.unmount()
  })

  it('says of a field that is not shown what it says of none: at the end of the form', async () => {
    const { wrapper, marked } = form(() => parseQuantity('a lot', 'force', 'N', 'limit'))
    await wrapper.find('.send').trigger('click')
    await flushPromises()
    expect(wrapper.find('form > .problem').text()).toMatch(/got “a lot”/)
    expect(marked()).toEqual([false, false])
    wrapper.unmount()
  })

  it('says what is thrown later too, and marks no field where it is of none', async () => {
    const { wrapper, marked } = form(async () => {
      await Promise.resolve()
      throw new CodedError('conflict', '', { field: 'The bottle' })
    })
    await wrapper.find('.send').trigger('click')
    await flushPromises()
    expect(wrapper.find('.problem').text()).toMatch(/The bottle was changed elsewhere/)
    expect(marked()).toEqual([false, false])
    wrapper.unmount()
  })

  it('refuses in words of its own, until it is cleared', async () => {
    const { wrapper, marked } = form(() => null)
    await wrapper.find('.no').trigger('click')
    expect(wrapper.find('.problem').text()).toBe('Weigh it first.')
    expect(marked()).toEqual([true, false])
    await wrapper.find('.clear').trigger('click')
    expect(wrapper.find('.problem').exists()).toBe(false)
    expect(marked()).toEqual([false, false])
    wrapper.unmount()
  })
})

describe('a field', () => {
  it('has its label with the unit, and its hint', () => {
    const { wrapper } = form(() => null)
    const [weighs, left] = wrapper.findAll('label')
    expect(weighs!.text()).toBe('It weighs, g')
    expect(left!.text()).toBe('Left in it')
    const [first, second] = wrapper.findAll('input')
    expect(weighs!.attributes('for')).toBe(first!.attributes('id'))
    const hint = wrapper.find('small')
    expect(hint.text()).toBe('weighed with its lid')
    expect(second!.attributes('aria-describedby')).toBe(hint.attributes('id'))
    wrapper.unmount()
  })
  it('is read out alone where its place says what it is', () => {
    const wrapper = mount(FieldPart, { props: { label: 'Pull with one hand', unseen: true } })
    expect(wrapper.find('label').classes()).toContain('visually-hidden')
    wrapper.unmount()
  })
  it('that counts while it is typed into says at once what cannot be read, and says nothing once it can', async () => {
    const typed = ref('1.5 mm')
    const { value, problem } = useRead(() => parseQuantity(typed.value, 'length', 'mm', 'cut').inside)
    const wrapper = mount(() => h(FieldPart, { label: 'Saw cut', problem: problem.value }, () => h('input')))
    expect(value.value).toBe(1.5)
    expect(wrapper.find('.problem').exists()).toBe(false)
    typed.value = 'thin'
    await flushPromises()
    expect(value.value).toBeNull()
    expect(wrapper.find('.problem').text()).toMatch(/got “thin”/)
    expect(wrapper.find('input').attributes('aria-invalid')).toBe('true')
    typed.value = '2'
    await flushPromises()
    expect(value.value).toBe(2)
    expect(wrapper.find('input').attributes('aria-invalid')).toBeUndefined()
    wrapper.unmount()
  })
})

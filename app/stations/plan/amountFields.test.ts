// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import AmountFields from './AmountFields.vue'

const procedure = { id: 'p', coats: 1, spreadGm2: null } as never
async function typed(label: string, text: string) {
  const fields = mount(AmountFields, { props: { procedure }, attachTo: document.body })
  const at = fields.findAll('label').find((one) => one.text().startsWith(label))!
  const input = fields.find<HTMLInputElement>(`[id="${at.attributes('for')}"]`)
  await input.trigger('focus')
  await input.setValue(text)
  await new Promise((done) => setTimeout(done))
  return { fields, input }
}

describe('coats and amount of a procedure', () => {
  it('give the change in words, with what stood there before', async () => {
    const { fields } = await typed('Coats', '2')
    expect(fields.emitted('put')).toEqual([[{ coats: 2 }, '2 coats', { coats: 1 }]])
    expect((await typed('Amount', '120 g/m²')).fields.emitted('put')).toEqual([
      [{ spreadGm2: 120 }, '120 g/m²', { spreadGm2: null }],
    ])
    expect((await typed('Amount', ' ')).fields.emitted('put')).toEqual([
      [{ spreadGm2: null }, 'usual amount', { spreadGm2: null }],
    ])
  })
  it.each([
    ['Coats', '0', /between 1 and 9; got 0/],
    ['Coats', '1.5', /whole/],
    ['Coats', 'two', /number/],
    ['Amount', '-3', /0\.1/],
  ])('%s “%s” is refused at the field, which keeps it', async (label, text, says) => {
    const { fields, input } = await typed(label, text)
    expect(fields.emitted('put')).toBeUndefined()
    expect(input.element.value).toBe(text)
    expect(input.attributes('aria-invalid')).toBe('true')
    expect(fields.find('.problem').text()).toMatch(says)
  })
})

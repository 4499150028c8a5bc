// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { defineComponent, h } from 'vue'
import { keyTable, useKey, type KeyId } from './keys'

const taking = (id: KeyId, pressed: string[], name: string) =>
  defineComponent({
    setup() {
      useKey(id, ({ key }) => pressed.push(`${name} ${key}`))
      return () => h('p', name)
    },
  })
function press(init: KeyboardEventInit & { key: string }, on: Element = document.body): boolean {
  return on.dispatchEvent(new KeyboardEvent('keydown', { bubbles: true, cancelable: true, ...init }))
}

describe('the keys', () => {
  it('mean one thing each: no press is heard as two of them', () => {
    const presses = [
      ...['1', '6', '[', ']', 'l', 'L', 'w', '/', '?'].map((key) => ({ key })),
      { key: ' ', code: 'Space' },
      { key: 'z', ctrlKey: true },
      { key: 'z', metaKey: true },
      { key: 'Z', ctrlKey: true, shiftKey: true },
    ]
    for (const init of presses) {
      const heard = Object.values(keyTable).filter(({ hears }) => hears(new KeyboardEvent('keydown', init)))
      expect(heard, JSON.stringify(init)).toHaveLength(1)
    }
    for (const init of [{ key: 'l', ctrlKey: true }, { key: '7' }, { key: 'z' }, { key: 'w', altKey: true }])
      expect(
        Object.values(keyTable).filter(({ hears }) => hears(new KeyboardEvent('keydown', init))),
        JSON.stringify(init),
      ).toEqual([])
  })

  it('work while their part stands, once for a held key, and are given back', () => {
    const pressed: string[] = []
    const under = mount(taking('log', pressed, 'under'))
    const over = mount(taking('log', pressed, 'over'))
    expect(press({ key: 'l' })).toBe(false)
    press({ key: 'l', repeat: true })
    over.unmount()
    press({ key: 'L' })
    under.unmount()
    expect(press({ key: 'l' })).toBe(true)
    expect(pressed).toEqual(['over l', 'under L'])
  })

  it('are silent while something is typed, while a dialog is open, and on a button that wants Space itself', () => {
    const pressed: string[] = []
    const parts = [mount(taking('step', pressed, 'step')), mount(taking('undo', pressed, 'undo'))]
    document.body.innerHTML = '<input id="text"><button id="go">Go</button><div id="over"></div>'
    const at = (id: string) => document.getElementById(id)!
    expect(press({ key: 'z', ctrlKey: true }, at('text'))).toBe(true)
    expect(press({ key: ' ', code: 'Space' }, at('go'))).toBe(true)
    at('over').className = 'v-overlay--active'
    press({ key: ' ', code: 'Space' })
    expect(pressed).toEqual([])
    at('over').className = ''
    press({ key: ' ', code: 'Space' })
    press({ key: 'z', ctrlKey: true }, at('go'))
    expect(pressed).toEqual(['step  ', 'undo z'])
    parts.forEach((part) => part.unmount())
  })
})

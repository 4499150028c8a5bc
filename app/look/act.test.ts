// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { busyWhile, guardPresses, isTooSoon, movedOn, useAct } from './act'

describe('presses', () => {
  let leave: () => void
  let pressed: string[]
  beforeEach(() => {
    leave = guardPresses()
    pressed = []
    document.body.innerHTML =
      '<form><input id="text"><button id="go" type="submit">Go</button></form><p data-fast><button id="plus" ' +
      'type="button">+</button></p><main id="work"><button id="next" type="button">Done</button>' +
      '<a href="#" id="link">A page</a><p data-fast><button id="more" type="button">+</button></p></main>'
    for (const id of ['go', 'plus', 'next', 'link', 'more'])
      document.getElementById(id)!.addEventListener('click', () => pressed.push(id))
    document
      .querySelector('form')!
      .addEventListener('submit', (event) => (event.preventDefault(), pressed.push('submit')))
  })
  afterEach(() => leave())
  const click = (id: string, detail: number) =>
    document.getElementById(id)!.dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true, detail }))
  const key = (id: string, name: string, repeat: boolean) =>
    document
      .getElementById(id)!
      .dispatchEvent(new KeyboardEvent('keydown', { key: name, repeat, bubbles: true, cancelable: true }))

  it('count once when doubled, except where they are meant to be fast', () => {
    click('go', 1)
    click('go', 2)
    click('plus', 1)
    click('plus', 2)
    expect(pressed.filter((id) => id !== 'submit')).toEqual(['go', 'plus', 'plus'])
  })

  it('of a held key are dropped on a button and in a form’s field, and typing goes on', () => {
    expect(key('go', 'Enter', false)).toBe(true)
    expect(key('go', 'Enter', true)).toBe(false)
    expect(key('go', ' ', true)).toBe(false)
    expect(key('text', 'Enter', true)).toBe(false)
    expect(key('text', 'a', true)).toBe(true)
    expect(key('plus', 'Enter', true)).toBe(true)
  })

  it('on a button that still writes are dropped, and heard again afterwards', async () => {
    let done = () => {}
    click('go', 1)
    const work = busyWhile(new Promise<void>((resolve) => (done = resolve)))
    expect(document.getElementById('go')!.getAttribute('aria-busy')).toBe('true')
    click('go', 1)
    expect(pressed.filter((id) => id === 'go')).toHaveLength(1)
    done()
    await work
    click('go', 1)
    expect(pressed.filter((id) => id === 'go')).toHaveLength(2)
  })

  it('on the work surface are dropped just after another tab wrote, but for links and plus and minus', async () => {
    movedOn(30)
    expect(isTooSoon()).toBe(true)
    for (const id of ['next', 'go', 'link', 'more']) click(id, 1)
    expect(pressed.filter((id) => id !== 'submit')).toEqual(['go', 'link', 'more'])
    await new Promise((done) => setTimeout(done, 40))
    click('next', 1)
    expect(pressed.at(-1)).toBe('next')
  })

  it('start work once at a time, and again when it failed', async () => {
    let runs = 0
    const { run, busy } = useAct(async () => {
      runs++
      await Promise.resolve()
      if (runs === 1) throw new Error('full')
    })
    const first = run()
    void run()
    expect(busy.value).toBe(true)
    await expect(first).rejects.toThrow('full')
    expect(busy.value).toBe(false)
    await run()
    expect(runs).toBe(2)
  })
})

// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { h, nextTick, ref } from 'vue'
import { useGradual } from './gradually'
import { NEXT_FRAME } from './nextFrame'

/** A list of `total` lines, six a frame, and the frames that wait to be drawn. */
function list(total = ref(20)) {
  const frames: (() => void)[] = []
  const wrapper = mount(
    {
      setup() {
        const drawn = useGradual(() => total.value, 6)
        return () => h('p', drawn.value)
      },
    },
    { global: { provide: { [NEXT_FRAME as symbol]: (run: () => void) => frames.push(run) } } },
  )
  async function frame() {
    for (const run of frames.splice(0)) run()
    await nextTick()
    return Number(wrapper.text())
  }
  return { wrapper, frame, frames, total, now: () => Number(wrapper.text()) }
}

describe('a long list', () => {
  it('is drawn by so many lines a frame, and no frame is asked for after its last', async () => {
    const { frame, frames, now } = list()
    expect(now()).toBe(6)
    expect([await frame(), await frame(), await frame()]).toEqual([12, 18, 20])
    expect(frames).toHaveLength(0)
  })
  it('shows the next lines at once when more are wanted, and all that are left when fewer are', async () => {
    const { frame, now, total } = list(ref(2))
    expect(now()).toBe(2)
    total.value = 40
    await nextTick()
    expect(now()).toBe(12)
    expect(await frame()).toBe(18)
    total.value = 3
    expect(await frame()).toBe(3)
  })
  it('asks for nothing once the page is left', async () => {
    const { wrapper, frames } = list()
    wrapper.unmount()
    for (const run of frames.splice(0)) run()
    expect(frames).toHaveLength(0)
  })
})

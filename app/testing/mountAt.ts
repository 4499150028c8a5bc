import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { defineComponent, h, type Component } from 'vue'
import { createMemoryHistory, createRouter, RouterView, type Router } from 'vue-router'
import { VApp } from 'vuetify/components/VApp'
import { CodedError } from '../../core/errors'
import type { Tables } from '../../core/records/tables'
import { loadCheck } from '../bench/checking'
import { useBench } from '../bench/store'
import { NEXT_FRAME } from '../look/nextFrame'
import { vuetify } from '../look/vuetify'
import { routes } from '../router'
import { eventually } from './eventually'

export interface Mounted {
  wrapper: VueWrapper
  router: Router
  bench: ReturnType<typeof useBench>
  /** what Vue caught while drawing, or in a handler */
  errors: unknown[]
  go: (path: string) => Promise<void>
}

/** The app gives a page seconds to come; its first import here compiles it, which a busy machine takes longer for. */
async function reach(router: Router, path: string): Promise<void> {
  for (let left = 12; ; left--)
    try {
      await router.push(path)
      return
    } catch (error) {
      if (left === 0 || !(error instanceof CodedError) || error.code !== 'piece-missing') throw error
    }
}

/** A bench in memory with its pages, as the app shows them, for component tests (happy-dom). */
export async function mountAt(tables: Tables, path: string, root?: Component): Promise<Mounted> {
  const pinia = createPinia()
  setActivePinia(pinia)
  const bench = useBench()
  await bench.openInMemory(null, tables)
  // In the app it comes a moment after the bench; here a press is looked at at once.
  await loadCheck()
  const router = createRouter({ history: createMemoryHistory(), routes })
  const errors: unknown[] = []
  await reach(router, path)
  const page = defineComponent({ render: () => h(VApp, () => h(root ?? RouterView)) })
  const wrapper = mount(page, {
    attachTo: document.body,
    global: {
      plugins: [pinia, router, vuetify],
      provide: { [NEXT_FRAME as symbol]: (run: () => void) => run() },
      config: { errorHandler: (error) => void errors.push(error), warnHandler: () => {} },
    },
  })
  const go = async (to: string) => {
    await router.push(to)
    await flushPromises()
  }
  await flushPromises()
  return { wrapper, router, bench, errors, go }
}

/** Presses the first button with these words, and waits for what follows at once. */
export async function press({ wrapper }: Pick<Mounted, 'wrapper'>, words: RegExp): Promise<void> {
  await wrapper
    .findAll('button')
    .find((one) => words.test(one.text()))!
    .trigger('click')
  await flushPromises()
}

/** Waits until something of the page is there: what a worker has to answer first. */
export async function shown({ wrapper }: Pick<Mounted, 'wrapper'>, selector: string) {
  await eventually(() => {
    if (!wrapper.find(selector).exists()) throw new Error(`${selector} is not there yet`)
  })
  return wrapper.find(selector)
}

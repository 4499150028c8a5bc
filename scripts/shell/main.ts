// A bare shell to hold the first load against: the same parts that the start page has, and nothing of the app.
import { createPinia, defineStore } from 'pinia'
import { createApp, defineComponent, h } from 'vue'
import { createRouter, createWebHistory, RouterLink, RouterView } from 'vue-router'
import { createVuetify } from 'vuetify'
import { VApp } from 'vuetify/components/VApp'
import { VBtn } from 'vuetify/components/VBtn'

const useLines = defineStore('lines', () => ({ lines: ['one', 'two', 'three', 'four'] }))
const start = defineComponent({
  setup: () => {
    const { lines } = useLines()
    return () =>
      h('main', [
        h('h1', 'A bare shell'),
        h(
          'ol',
          lines.map((line) => h('li', [h(RouterLink, { to: `/${line}` }, () => line), h(VBtn, () => line)])),
        ),
      ])
  },
})
const router = createRouter({ history: createWebHistory(), routes: [{ path: '/:line*', component: start }] })
createApp(() => h(VApp, () => h(RouterView)))
  .use(createPinia())
  .use(router)
  .use(createVuetify({ theme: false }))
  .mount('#app')

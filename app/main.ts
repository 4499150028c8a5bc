import { createPinia } from 'pinia'
import { createApp } from 'vue'
import './look/base.css'
import './look/theme.css'
import { now } from './bench/clock'
import { noteFault, notePage } from './bench/happened'
import { guardPresses } from './look/act'
import './look/appearance'
import { takeTyped } from './look/takeTyped'
import { vuetify } from './look/vuetify'
import App from './frame/App.vue'
import { router } from './router'
import { readSettings } from './storage/settings'

guardPresses()
window.addEventListener('error', ({ error, message }) => noteFault(error ?? message, now()))
window.addEventListener('unhandledrejection', ({ reason }) => noteFault(reason, now()))
// The way back does not take the cursor out of a field.
router.beforeEach(() => takeTyped())
router.afterEach(({ name }) => notePage(String(name ?? ''), now()))

/** A storage that hangs is told by the page, which then comes with the usual settings, ms. */
const SETTINGS_WAIT_MS = 1500
// The theme stands before the first page is drawn.
void Promise.race([readSettings(), new Promise((resolve) => setTimeout(resolve, SETTINGS_WAIT_MS))])
  .catch(() => {})
  .then(() => createApp(App).use(createPinia()).use(router).use(vuetify).mount('#app'))

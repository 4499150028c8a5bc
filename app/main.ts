import { createPinia } from 'pinia'
import { createApp } from 'vue'
import './look/base.css'
import './look/theme.css'
import { now } from './bench/clock'
import { noteFault, notePage } from './bench/happened'
import { guardPresses } from './look/act'
import './look/appearance'
import { vuetify } from './look/vuetify'
import App from './frame/App.vue'
import { router } from './router'

guardPresses()
window.addEventListener('error', ({ error, message }) => noteFault(error ?? message, now()))
window.addEventListener('unhandledrejection', ({ reason }) => noteFault(reason, now()))
router.afterEach(({ name }) => notePage(String(name ?? ''), now()))
createApp(App).use(createPinia()).use(router).use(vuetify).mount('#app')

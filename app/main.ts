import { createPinia } from 'pinia'
import { createApp } from 'vue'
import './look/base.css'
import './look/theme.css'
import { guardPresses } from './look/act'
import './look/appearance'
import { vuetify } from './look/vuetify'
import App from './frame/App.vue'
import { router } from './router'

guardPresses()
createApp(App).use(createPinia()).use(router).use(vuetify).mount('#app')

import { createPinia } from 'pinia'
import { createApp } from 'vue'
import './look/base.css'
import './look/theme.css'
import './look/appearance'
import { vuetify } from './look/vuetify'
import App from './frame/App.vue'
import { router } from './router'

createApp(App).use(createPinia()).use(router).use(vuetify).mount('#app')

import vue from '@vitejs/plugin-vue'
import { defineConfig, type Plugin } from 'vite'
import vuetify from 'vite-plugin-vuetify'

/**
 * The interface library brings its calendar along, which no part of this app shows: 4 kB of the first load. Its place
 * stays empty.
 */
const noCalendar: Plugin = {
  name: 'no-calendar',
  enforce: 'pre',
  resolveId: (id, from) =>
    id === './adapters/vuetify.js' && from?.includes('composables/date/') ? '\0no-calendar' : null,
  load: (id) => (id === '\0no-calendar' ? 'export class VuetifyDateAdapter {}' : null),
}

export default defineConfig({
  plugins: [noCalendar, vue(), vuetify({ autoImport: true })],
  build: { target: 'es2022', manifest: true, chunkSizeWarningLimit: 1600 },
  worker: { format: 'es' },
})

import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import vuetify from 'vite-plugin-vuetify'

export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true })],
  build: { target: 'es2022', manifest: true, chunkSizeWarningLimit: 1600 },
  worker: { format: 'es' },
})

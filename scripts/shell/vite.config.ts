import { defineConfig } from 'vite'

const root = new URL('.', import.meta.url).pathname
export default defineConfig({
  root,
  publicDir: false,
  build: { outDir: '../../.cache/shell', emptyOutDir: true, target: 'es2022', modulePreload: { polyfill: false } },
})

import { defineConfig } from 'vite'

const root = new URL('..', import.meta.url).pathname
export default defineConfig({
  root,
  build: {
    outDir: '.cache/benchmark',
    emptyOutDir: true,
    target: 'es2022',
    rolldownOptions: { input: `${root}scripts/benchmark.html` },
  },
  worker: { format: 'es' },
  preview: { host: '127.0.0.1' },
})

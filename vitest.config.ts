import vue from '@vitejs/plugin-vue'
import vuetify from 'vite-plugin-vuetify'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue(), vuetify()],
  test: {
    include: ['{core,cli,demo,app,server,scripts}/**/*.test.ts'],
    // Two files at a time: of two cores the default would leave one idle.
    maxWorkers: 2,
    // A loaded machine is slow, not wrong.
    testTimeout: 120_000,
    hookTimeout: 300_000,
    // Its main file is no module that Node can name the exports of; the build takes the other one, and so do the tests.
    server: { deps: { inline: ['maxrects-packer', 'vuetify'] } },
  },
})

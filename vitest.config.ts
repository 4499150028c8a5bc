import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue()],
  test: { include: ['{core,cli,demo,app,server}/**/*.test.ts'], testTimeout: 60_000 },
})

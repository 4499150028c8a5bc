import { defineConfig } from '@playwright/test'

// Another one when a slow check runs beside the tests.
const port = Number(process.env['E2E_PORT'] ?? 4870)
/** The e2e tests drive the built app, served as it is served to a maker. */
export default defineConfig({
  testDir: 'e2e',
  timeout: 240_000,
  workers: 2,
  // A slow shared machine may stall one test; a second failure is a real one. Locally none is repeated.
  retries: process.env['CI'] ? 1 : 0,
  // A shared machine may be slow for minutes; what never comes fails all the same.
  expect: { timeout: process.env['CI'] ? 20_000 : 8_000 },
  fullyParallel: true,
  reporter: [['list'], ['json', { outputFile: '.cache/e2e.json' }]],
  outputDir: 'test-results',
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    // What the network does is part of a test; offline.spec.ts allows what stands between.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
    trace: 'retain-on-failure',
  },
  webServer: [
    { command: 'npx tsx server/main.ts', env: { PORT: String(port) }, port, reuseExistingServer: false },
    {
      command: 'npx tsx server/main.ts --demo',
      env: { PORT: String(port + 1) },
      port: port + 1,
      reuseExistingServer: false,
    },
  ],
})

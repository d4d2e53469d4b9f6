import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: '.',
  // a loaded machine is slow, not wrong
  timeout: 400_000,
  expect: { timeout: 30_000 },
  // circuits are drawn in the shop that an earlier journey has made
  workers: 1,
  forbidOnly: true,
  reporter: [['line'], ['json', { outputFile: process.env.E2E_REPORT ?? 'test-results/report.json' }]],
  use: {
    baseURL: process.env.E2E_ORIGIN,
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    actionTimeout: 60_000,
    launchOptions: {
      executablePath: '/usr/bin/chromium',
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
  },
})

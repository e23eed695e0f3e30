import { defineConfig } from '@playwright/test'
import { chromiumOptions } from './chromium.ts'

export default defineConfig({
  testDir: '.',
  outputDir: '../.cache/e2e',
  workers: 2,
  retries: 0,
  timeout: 300_000,
  expect: { timeout: 40_000 },
  reporter: process.env.E2E_REPORT ? [['json', { outputFile: process.env.E2E_REPORT }], ['line']] : 'line',
  use: {
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
    launchOptions: chromiumOptions,
  },
})

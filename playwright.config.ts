import { defineConfig } from '@playwright/test'

// Debian's Chromium, kept from calling home; the address comes from bin/test.
export default defineConfig({
  testDir: 'tests/browser',
  workers: 1,
  fullyParallel: false,
  // A machine shared with others may be three times as slow as this one.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  reporter: [['list']],
  outputDir: 'var/browser-results',
  use: {
    baseURL: process.env.BASE_URL,
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
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

import { defineConfig } from '@playwright/test'

// The real application, built and served by ./incastro test; the browser is Debian's.
export default defineConfig({
  testDir: 'tests/browser',
  outputDir: 'tests/browser/results',
  workers: 2,
  fullyParallel: true,
  // Generous: a busy machine is no fault of the application. Speed is measured by ./incastro bench.
  timeout: 120_000,
  expect: { timeout: 15_000 },
  retries: 0,
  reporter: [['list'], ['json', { outputFile: 'tests/browser/results/report.json' }]],
  use: {
    baseURL: process.env['APP_URL'] ?? 'http://127.0.0.1:8650',
    viewport: { width: 1280, height: 800 },
    // Each test is a first visit. What only fetches ahead for a visit without a network is left to the tests of that.
    serviceWorkers: 'block',
    contextOptions: { reducedMotion: 'reduce' },
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

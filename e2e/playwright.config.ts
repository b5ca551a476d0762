import { defineConfig } from '@playwright/test';

const PORT = 4311;

/** Drives the built application, served as it is delivered, in Debian's Chromium. */
export default defineConfig({
  outputDir: 'results',
  fullyParallel: true,
  workers: 2,
  forbidOnly: true,
  retries: 0,
  reporter: [['list']],
  // A busy machine may be slow; nothing here waits for longer than it must.
  timeout: 90_000,
  expect: { timeout: 15_000 },
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: [
        ...['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run'],
        ...['--disable-background-networking', '--disable-component-update', '--disable-sync'],
      ],
    },
  },
  projects: [
    { name: 'tests', testDir: 'tests' },
    { name: 'shots', testDir: 'shots' },
    { name: 'bench', testDir: 'bench', workers: 1, timeout: 120_000 },
  ],
  webServer: {
    command: 'node ../server/dist/main.mjs',
    env: { PORT: PORT.toString() },
    url: `http://127.0.0.1:${PORT}/healthz`,
    reuseExistingServer: false,
  },
});

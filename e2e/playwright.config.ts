import { defineConfig } from '@playwright/test';
import { chromiumPath } from '../scripts/chromium.mjs';

const PORT = 4311;

/** The application at a plain http address other than loopback. */
const PLAIN_HOST = 'pocket.test';

/** The files with the longest tests begin first, so that the others run beside them. */
const LONG = ['**/scripts.spec.ts', '**/kill.spec.ts'];

/** What has browsers and servers of its own runs when all else is done: beside others it would starve them. */
const LAST = ['**/offline.spec.ts', '**/live-offline.spec.ts'];

/** Drives the built application, served as it is delivered, in Debian's Chromium. */
export default defineConfig({
  outputDir: 'results',
  fullyParallel: true,
  // Tests wait more than they compute.
  workers: 3,
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
    // What is kept for a visit without a network would be fetched in every test: `offline.spec.ts` has a browser of its own.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: chromiumPath(),
      args: [
        ...['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run'],
        ...['--disable-background-networking', '--disable-component-update', '--disable-sync'],
        // A name that leads here without being loopback: its pages are not secure (plain.spec.ts).
        `--host-resolver-rules=MAP ${PLAIN_HOST} 127.0.0.1`,
      ],
    },
  },
  projects: [
    { name: 'long', testDir: 'tests', testMatch: LONG },
    { name: 'tests', testDir: 'tests', testIgnore: [...LONG, ...LAST] },
    { name: 'last', testDir: 'tests', testMatch: LAST, dependencies: ['long', 'tests'] },
    { name: 'shots', testDir: 'shots' },
    { name: 'bench', testDir: 'bench', workers: 1, timeout: 120_000 },
  ],
  webServer: {
    command: 'node ../server/dist/main.mjs',
    env: { PORT: PORT.toString(), ALLOWED_HOSTS: `${PLAIN_HOST},127.0.0.1` },
    url: `http://127.0.0.1:${PORT}/healthz`,
    reuseExistingServer: false,
  },
});

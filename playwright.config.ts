import { defineConfig } from '@playwright/test';

/** Each worker has a server and records of its own. */
const WORKERS = 2;
const FIRST_PORT = 4320;
const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export default defineConfig({
  testDir: './e2e',
  outputDir: './.e2e/results',
  // The tests of a file share the records of a server: each puts the demonstration back before it begins.
  fullyParallel: false,
  workers: WORKERS,
  forbidOnly: !!process.env['CI'],
  // A shared machine may stall for seconds: such a test is run again, and reported as flaky.
  retries: 1,
  reporter: [['list'], ['json']],
  // Generous: a machine that is shared may be several times slower.
  timeout: 180_000,
  expect: { timeout: 20_000 },
  use: {
    launchOptions: { executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium', args },
    // Tracing doubles the time of a test: TRACE=1 when one fails.
    trace: process.env['TRACE'] ? 'retain-on-failure' : 'off',
    screenshot: 'only-on-failure',
    video: 'off',
    locale: 'en-GB',
    // Only the tests of work without a network need it; elsewhere it would hide requests from them.
    serviceWorkers: 'block',
  },
  projects: [
    { name: 'laptop', use: { viewport: { width: 1280, height: 800 } }, testIgnore: /phone/ },
    {
      name: 'phone',
      use: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, deviceScaleFactor: 2 },
      testMatch: /phone|views/,
    },
  ],
  webServer: Array.from({ length: WORKERS }, (_, i) => ({
    command: 'node_modules/.bin/tsx scripts/serveForTests.ts',
    url: `http://127.0.0.1:${FIRST_PORT + i}/api/health`,
    env: { PORT: String(FIRST_PORT + i) },
    reuseExistingServer: false,
    timeout: 60_000,
    gracefulShutdown: { signal: 'SIGTERM' as const, timeout: 10_000 },
  })),
});

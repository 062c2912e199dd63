import { defineConfig } from '@playwright/test';

const port = 4320;
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
  // One server, one set of records: tests put the demonstration back before they begin.
  fullyParallel: false,
  workers: 1,
  forbidOnly: !!process.env['CI'],
  reporter: [['list'], ['json']],
  timeout: 60_000,
  expect: { timeout: 10_000 },
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    launchOptions: { executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium', args },
    trace: 'retain-on-failure',
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
  webServer: {
    command: 'node_modules/.bin/tsx scripts/serveForTests.ts',
    url: `http://127.0.0.1:${port}/api/health`,
    env: { PORT: String(port) },
    reuseExistingServer: false,
    timeout: 60_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 10_000 },
  },
});

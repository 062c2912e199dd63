import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

/** Checks of many cases run a sample of them, and all with SOAK=1 (`npm run soak`). */
const soak = process.env['SOAK'] === '1';

export default defineConfig({
  test: {
    // Left to itself it keeps one core free.
    maxWorkers: availableParallelism(),
    projects: [
      {
        test: {
          name: 'core',
          root: 'core',
          include: ['src/**/*.test.ts'],
          environment: 'node',
          testTimeout: 180_000,
          // Nothing in the core keeps state between calls: its modules are loaded once.
          isolate: false,
          setupFiles: ['./src/testing/sameDraws.ts'],
          provide: { soak },
        },
      },
      {
        test: {
          name: 'structure',
          root: 'scripts',
          include: ['**/*.test.ts'],
          environment: 'node',
          // Every source is parsed; a busy machine takes its time.
          testTimeout: 60_000,
        },
      },
      { test: { name: 'station', root: 'station', include: ['src/**/*.test.ts'], environment: 'node' } },
      { test: { name: 'contract', root: 'contract', include: ['src/**/*.test.ts'], environment: 'node' } },
      {
        test: {
          name: 'server',
          root: 'server',
          include: ['src/**/*.test.ts'],
          environment: 'node',
          testTimeout: 120_000,
          hookTimeout: 120_000,
          globalSetup: ['./src/testing/postgresForTests.ts'],
        },
      },
      {
        test: {
          name: 'web',
          root: 'web',
          include: ['src/**/*.test.{ts,tsx}'],
          environment: 'happy-dom',
          // Reading the library of components costs more than the tests: once for all of them.
          isolate: false,
          setupFiles: ['./src/testing/setup.ts'],
          // Whole views are drawn; a busy machine takes its time.
          testTimeout: 120_000,
          // And it may stall between a tap and what follows: such a test is run again, and named.
          retry: 1,
        },
      },
    ],
  },
});

import { expect, it } from 'vitest';
import { runFaults } from './runFaults.ts';

// The short form; `npm run faults` goes on for ten minutes.
it('server and database are killed under load: nothing that was acknowledged is lost, or there twice', async () => {
  const report = await runFaults({ seconds: 14, every: [3, 5], port: 4640, seed: 5 });
  expect(report.kills.node + report.kills.postgres + report.kills.both).toBeGreaterThanOrEqual(2);
  expect(report.acknowledged).toBeGreaterThan(10);
  expect(report).toMatchObject({ lost: 0, doubled: 0, apart: 0 });
}, 180_000);

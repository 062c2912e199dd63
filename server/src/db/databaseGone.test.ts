import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { createApp } from '../app.ts';
import { bringUpToDate } from './bringUpToDate.ts';
import { openOrm } from './orm.ts';
import { startPostgres } from './privatePostgres.ts';

it('a database that is killed is noticed and told of; started again at its address, it answers as before', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'incremen-gone-'));
  const dataDir = join(folder, 'postgres');
  // The folder above is open to the user that PostgreSQL runs as.
  chmodSync(folder, 0o755);
  const first = await startPostgres({ dataDir, fast: true });
  const orm = await openOrm(first.url);
  await bringUpToDate(orm);
  const http = await new Promise<Server>((resolve) => {
    const server = createApp(orm).listen(0, '127.0.0.1', () => resolve(server));
  });
  const ask = async (path: string) =>
    (await fetch(`http://127.0.0.1:${(http.address() as AddressInfo).port}${path}`)).status;
  expect(await ask('/api/health')).toBe(200);

  process.kill(first.pid, 'SIGKILL');
  await first.gone;
  expect(await ask('/api/health')).toBe(503);
  expect(await ask('/api/operations')).toBe(500);

  const second = await startPostgres({ dataDir, fast: true, port: first.port });
  expect(second.url).toBe(first.url);
  await expect.poll(() => ask('/api/health')).toBe(200);
  expect(await ask('/api/operations')).toBe(200);

  http.closeAllConnections();
  http.close();
  await orm.close(true);
  await second.stop();
  rmSync(folder, { recursive: true, force: true });
});

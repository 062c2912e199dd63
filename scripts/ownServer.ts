import { spawn } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT } from './dataFolder.ts';

/** A server that begins empty, as a new user's does, on ports of its own. */
export interface OwnServer {
  /** Its address on this machine. */
  readonly here: string;
  /** The port of its https on the home network, once that is open; the page for phones is one further. */
  readonly lanPort: number;
  readonly stop: () => Promise<void>;
}

const COMES_UP_MS = 60_000;

/** Starts a server whose data nobody needs afterwards. @throws Error when it does not come up */
export async function startOwnServer(port: number, lanPort: number): Promise<OwnServer> {
  const folder = mkdtempSync(join(tmpdir(), 'incremen-own-'));
  // PostgreSQL may run as another user, who has to get in.
  chmodSync(folder, 0o755);
  const server = spawn(join(ROOT, 'node_modules/.bin/tsx'), ['scripts/serveForTests.ts'], {
    cwd: ROOT,
    env: {
      ...process.env,
      INCREMEN_DATA: folder,
      INCREMEN_OWN: '1',
      PORT: String(port),
      LAN_PORT: String(lanPort),
    },
    stdio: 'ignore',
  });
  const stop = async () => {
    const gone = new Promise((resolve) => server.once('exit', resolve));
    if (server.kill('SIGTERM')) await gone;
    rmSync(folder, { recursive: true, force: true });
  };
  const here = `http://127.0.0.1:${port}`;
  for (const until = Date.now() + COMES_UP_MS; Date.now() < until;) {
    const is = await fetch(`${here}/api/health`).then(
      (r) => r.ok,
      () => false,
    );
    if (is) return { here, lanPort, stop };
    await new Promise((r) => setTimeout(r, 100));
  }
  await stop();
  throw new Error(`no server came up on port ${port}`);
}

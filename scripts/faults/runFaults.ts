import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { seededRandom } from '@incremen/core/basics';
import { ROOT } from '../dataFolder.ts';

/** How long and how hard. */
export interface FaultPlan {
  readonly seconds: number;
  /** Kills come so many seconds apart at least, and at most. */
  readonly every: readonly [least: number, most: number];
  readonly port: number;
  readonly seed: number;
  readonly say?: (words: string) => void;
}

/** What was found when everything was over. */
export interface FaultReport {
  readonly kills: Readonly<Record<'node' | 'postgres' | 'both', number>>;
  readonly acknowledged: number;
  /** Acknowledged, and not there. */
  readonly lost: number;
  /** There more than once. */
  readonly doubled: number;
  /** In the journal and not in the tables, or the reverse. */
  readonly apart: number;
  /** Seconds until a command was acknowledged again after a kill: the longest. */
  readonly longestAway: number;
}

/** A device that makes entries one after the other and sends each, under its id, until it has an answer. */
async function device(
  url: string,
  op: string,
  name: string,
  done: Map<string, string>,
  until: () => boolean,
) {
  let longest = 0;
  for (let n = 0; !until(); n++) {
    const id = randomUUID();
    const yard = { id: randomUUID(), name: `${name} ${n}`, note: '' };
    const body = JSON.stringify({
      id,
      madeAt: new Date().toISOString(),
      command: { type: 'addYard', yard },
    });
    const began = Date.now();
    for (;;) {
      const status = await fetch(`${url}/api/operations/${op}/commands`, {
        method: 'POST',
        body,
        headers: { 'content-type': 'application/json' },
        signal: AbortSignal.timeout(10_000),
      }).then(
        async (res) => {
          await res.text();
          return res.status;
        },
        () => 0,
      );
      if (status === 200 || status === 201) break;
      if (status >= 400 && status < 500) throw new Error(`${yard.name} was refused with ${status}`);
      await sleep(100);
    }
    done.set(id, yard.id);
    longest = Math.max(longest, Date.now() - began);
  }
  return longest;
}

/**
 * Kills the server, its database or both at random moments (SIGKILL), while two devices go on sending; then looks whether all
 * that was acknowledged is there, once. A server that was killed is started again as a service manager would.
 */
export async function runFaults({
  seconds,
  every,
  port,
  seed,
  say = () => undefined,
}: FaultPlan): Promise<FaultReport> {
  const data = mkdtempSync(join(tmpdir(), 'incremen-faults-'));
  // PostgreSQL may run as another user, who has to get in.
  chmodSync(data, 0o711);
  const url = `http://127.0.0.1:${port}`;
  const random = seededRandom(seed);
  let server: ChildProcess | null = null;
  let over = false;
  const start = () => {
    server = spawn(join(ROOT, 'node_modules/.bin/tsx'), [join(ROOT, 'scripts/serveForTests.ts')], {
      env: {
        ...process.env,
        INCREMEN_DATA: data,
        INCREMEN_OWN: '1',
        PORT: String(port),
        LAN_PORT: String(port + 100),
      },
      stdio: 'ignore',
      detached: true,
    });
    const mine = server;
    mine.on('exit', () => {
      if (!over) setTimeout(() => !over && start(), 200);
    });
  };
  const kill = (pid: number | undefined) => {
    try {
      if (pid !== undefined) process.kill(pid, 'SIGKILL');
    } catch {
      // It is gone already.
    }
  };
  const killNode = () => {
    const note = join(data, 'own/running.json');
    if (existsSync(note)) kill((JSON.parse(readFileSync(note, 'utf8')) as { pid: number }).pid);
  };
  const killPostgres = () => {
    const file = join(data, 'own/postgres/postmaster.pid');
    if (existsSync(file)) kill(Number(readFileSync(file, 'utf8').split('\n')[0]));
  };
  try {
    start();
    const op = await firstOperation(url);
    const done = new Map<string, string>();
    const end = Date.now() + seconds * 1000;
    const devices = ['Hill', 'Mill'].map((name) => device(url, op, name, done, () => Date.now() > end));
    const kills = { node: 0, postgres: 0, both: 0 };
    while (Date.now() < end) {
      await sleep(1000 * (every[0] + random() * (every[1] - every[0])));
      if (Date.now() > end) break;
      const what = (['node', 'postgres', 'both'] as const)[Math.floor(random() * 3)] ?? 'node';
      kills[what]++;
      if (what !== 'postgres') killNode();
      if (what !== 'node') killPostgres();
      say(`killed ${what}; ${done.size} acknowledged`);
    }
    const longest = Math.max(...(await Promise.all(devices)));
    return { kills, ...(await compare(url, op, done)), longestAway: longest / 1000 };
  } finally {
    over = true;
    const last = server as ChildProcess | null;
    if (last?.pid !== undefined) {
      last.removeAllListeners('exit');
      const gone = new Promise((resolve) => last.once('exit', resolve));
      process.kill(-last.pid, 'SIGTERM');
      await Promise.race([gone, sleep(10_000)]);
    }
    killPostgres();
    await sleep(300);
    rmSync(data, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
  }
}

/** A busy machine takes its time. */
const START_MS = 90_000;

async function firstOperation(url: string): Promise<string> {
  const until = Date.now() + START_MS;
  for (;;) {
    if (Date.now() > until) throw new Error('the server does not start');
    const list = await fetch(`${url}/api/operations`).then(
      async (res) => (res.ok ? ((await res.json()) as { id: string }[]) : []),
      () => [],
    );
    if (list[0]) return list[0].id;
    await sleep(200);
  }
}

/** Holds what was acknowledged against the tables, and those against the journal. */
async function compare(url: string, op: string, done: ReadonlyMap<string, string>) {
  const file = (await (await fetch(`${url}/api/operations/${op}/bundle`)).json()) as {
    records: { yard: { id: string; name: string }[] };
    journal: { id: string; body: { changes: { kind: string; id: string }[] } }[];
  };
  const yards = new Map<string, number>();
  for (const y of file.records.yard) yards.set(y.name, (yards.get(y.name) ?? 0) + 1);
  const there = new Set(file.records.yard.map((y) => y.id));
  const entries = new Map(file.journal.map((e) => [e.id, e]));
  const inJournal = new Set(
    file.journal.flatMap((e) => e.body.changes.filter((c) => c.kind === 'yard').map((c) => c.id)),
  );
  return {
    acknowledged: done.size,
    lost: [...done].filter(([id, yard]) => !entries.has(id) || !there.has(yard)).length,
    doubled: [...yards.values()].filter((n) => n > 1).length,
    apart:
      [...there].filter((id) => !inJournal.has(id)).length +
      [...inJournal].filter((id) => !there.has(id)).length,
  };
}

import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { seededRandom } from '@incremen/core/basics';
import { ROOT } from '../dataFolder.ts';
import { browserDevice, type BrowserReport } from './browserDevice.ts';

/** How long and how hard. */
export interface FaultPlan {
  readonly seconds: number;
  /** Kills come so many seconds apart at least, and at most. */
  readonly every: readonly [least: number, most: number];
  readonly port: number;
  readonly seed: number;
  /** The data lie on a small disk of their own, which is filled now and then; needs the right to mount one. */
  readonly smallDisk?: boolean;
  /** A real browser is a third device, and is killed as well; needs a build of the client. */
  readonly browser?: boolean;
  readonly say?: (words: string) => void;
}

const FAULTS = ['node', 'postgres', 'both', 'full'] as const;
/** What dies, or that the disk is full for a while. */
type Fault = (typeof FAULTS)[number];

/** What was found when everything was over. */
export interface FaultReport extends Partial<BrowserReport> {
  readonly kills: Readonly<Record<Fault, number>>;
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

/** What each entry of a device leaves in the records: a yard, or the visit of a count. */
const LEFT = ['yard', 'visit'] as const;

/** A hive that a device counts over and over. */
interface Counted {
  readonly colonyId: string;
  readonly frameIds: readonly string[];
}

/** Sends a command under its id until it has an answer. @returns milliseconds until it was acknowledged */
async function send(url: string, op: string, id: string, command: object): Promise<number> {
  const body = JSON.stringify({ id, madeAt: new Date().toISOString(), command });
  const began = Date.now();
  for (;;) {
    const { status, said } = await fetch(`${url}/api/operations/${op}/commands`, {
      method: 'POST',
      body,
      headers: { 'content-type': 'application/json' },
      signal: AbortSignal.timeout(10_000),
    })
      .then(async (res) => ({ status: res.status, said: await res.text() }))
      // Killed before it answered, or in the middle of its answer.
      .catch(() => ({ status: 0, said: '' }));
    if (status === 200 || status === 201) return Date.now() - began;
    if (status >= 400 && status < 500) throw new Error(`refused with ${status}: ${said.slice(0, 300)}`);
    await sleep(100);
  }
}

/** A yard with a hive for each device. */
async function hivesFor(url: string, op: string, names: readonly string[]): Promise<Counted[]> {
  const yard = { id: randomUUID(), name: 'Home', note: '' };
  await send(url, op, randomUUID(), { type: 'addYard', yard });
  const hives = names.map((name) => ({
    hiveId: randomUUID(),
    standId: randomUUID(),
    colonyId: randomUUID(),
    name,
    boxes: [
      {
        id: randomUUID(),
        sizeId: 'langstroth-deep',
        slots: 10,
        role: 'brood',
        frames: Array.from({ length: 10 }, (_, i) => ({
          id: randomUUID(),
          slot: i + 1,
          blank: 'drawn',
          combYear: null,
        })),
      },
    ],
  }));
  await send(url, op, randomUUID(), { type: 'addHives', yardId: yard.id, day: '2026-03-01', hives });
  return hives.map((h) => ({
    colonyId: h.colonyId,
    frameIds: h.boxes.flatMap((b) => b.frames.map((f) => f.id)),
  }));
}

const SIDE = { contents: { capped: 4, honey: 2, drawn: 4 }, bees: 6 };

/** A device that makes entries one after the other, yards and counts by turns, and sends each until it has an answer. */
async function device(
  url: string,
  op: string,
  name: string,
  hive: Counted,
  done: Map<string, string>,
  until: () => boolean,
) {
  let longest = 0;
  for (let n = 0; !until(); n++) {
    const id = randomUUID();
    const left = randomUUID();
    const words = `${name} ${n}`;
    const command =
      n % 2 === 0
        ? { type: 'addYard', yard: { id: left, name: words, note: '' } }
        : {
            type: 'recordCount',
            visitId: left,
            colonyId: hive.colonyId,
            day: '2026-05-15',
            note: words,
            readings: hive.frameIds.map((frameId) => ({
              id: randomUUID(),
              frameId,
              body: { v: 1, sides: [SIDE, SIDE], queenSeen: false, cells: [], estimated: false },
            })),
          };
    longest = Math.max(longest, await send(url, op, id, command));
    done.set(id, left);
  }
  return longest;
}

/**
 * Kills the server, its database or both at random moments (SIGKILL), while two devices go on entering yards and counts; then
 * looks whether all that was acknowledged is there, once. A server that was killed is started again as a service manager would.
 */
export async function runFaults({
  seconds,
  every,
  port,
  seed,
  smallDisk = false,
  browser = false,
  say = () => undefined,
}: FaultPlan): Promise<FaultReport> {
  const data = mkdtempSync(join(tmpdir(), 'incremen-faults-'));
  // PostgreSQL may run as another user, who has to get in.
  chmodSync(data, 0o711);
  if (smallDisk) mountSmall(data);
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
    const names = ['Hill', 'Mill'];
    const hives = await hivesFor(url, op, names);
    const devices = hives.map((hive, i) =>
      device(url, op, names[i] ?? '', hive, done, () => Date.now() > end),
    );
    const third = browser
      ? browserDevice(url, seededRandom(seed + 1), every, () => Date.now() > end, say)
      : null;
    // What fails early is told at the end: the server is put away first.
    void Promise.allSettled([...devices, third]);
    const kills = { node: 0, postgres: 0, both: 0, full: 0 };
    const faults = FAULTS.filter((f) => smallDisk || f !== 'full');
    while (Date.now() < end) {
      await sleep(1000 * (every[0] + random() * (every[1] - every[0])));
      if (Date.now() > end) break;
      const what = faults[Math.floor(random() * faults.length)] ?? 'node';
      kills[what]++;
      if (what === 'node' || what === 'both') killNode();
      if (what === 'postgres' || what === 'both') killPostgres();
      if (what === 'full') await fillFor(data, FULL_MS);
      say(`${what}; ${done.size} acknowledged`);
    }
    const longest = Math.max(...(await Promise.all(devices)));
    const inBrowser = await third;
    return { kills, ...inBrowser, ...(await compare(url, op, done)), longestAway: longest / 1000 };
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
    if (smallDisk) spawnSync('umount', ['-l', data]);
    rmSync(data, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
  }
}

/** Large enough for the database and what it writes ahead, small enough to be filled in a moment. */
const SMALL_DISK = '700m';
/** So long it stays full: several entries are refused, and the database may die of it. */
const FULL_MS = 5000;

function mountSmall(folder: string): void {
  const { status, stderr } = spawnSync('mount', [
    '-t',
    'tmpfs',
    '-o',
    `size=${SMALL_DISK},mode=711`,
    'tmpfs',
    folder,
  ]);
  if (status !== 0) throw new Error(`no small disk can be mounted here: ${stderr.toString()}`);
}

/** Takes all the room that there is, and gives it back after a while. */
async function fillFor(folder: string, ms: number): Promise<void> {
  const filler = join(folder, 'filler');
  const { bavail, bsize } = statfsSync(folder);
  try {
    writeFileSync(filler, Buffer.alloc(bavail * bsize));
  } catch {
    // The last blocks went to somebody else: it is full all the same.
  }
  await sleep(ms);
  rmSync(filler, { force: true });
}

/** A busy machine takes its time. */
const START_MS = 90_000;

async function firstOperation(url: string): Promise<string> {
  const until = Date.now() + START_MS;
  for (;;) {
    if (Date.now() > until) throw new Error('the server does not start');
    const list = await fetch(`${url}/api/operations`)
      .then(async (res) => (res.ok ? ((await res.json()) as { id: string }[]) : []))
      .catch(() => []);
    if (list[0]) return list[0].id;
    await sleep(200);
  }
}

/** Holds what was acknowledged against the tables, and those against the journal. */
async function compare(url: string, op: string, done: ReadonlyMap<string, string>) {
  const { records, journal } = (await (await fetch(`${url}/api/operations/${op}/bundle`)).json()) as {
    records: { yard: { id: string; name: string }[]; visit: { id: string; note: string }[] };
    journal: { id: string; body: { changes: { kind: string; id: string }[] } }[];
  };
  const words = [
    ...records.yard.map((y) => `yard ${y.name}`),
    ...records.visit.map((v) => `visit ${v.note}`),
  ];
  const there = new Set([...records.yard, ...records.visit].map((r) => r.id));
  const entries = new Set(journal.map((e) => e.id));
  const inJournal = new Set(
    journal.flatMap((e) =>
      e.body.changes.filter((c) => (LEFT as readonly string[]).includes(c.kind)).map((c) => c.id),
    ),
  );
  return {
    acknowledged: done.size,
    lost: [...done].filter(([id, left]) => !entries.has(id) || !there.has(left)).length,
    doubled: words.length - new Set(words).size,
    apart:
      [...there].filter((id) => !inJournal.has(id)).length +
      [...inJournal].filter((id) => !there.has(id)).length,
  };
}

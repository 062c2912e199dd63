import { createHash } from 'node:crypto';
import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The folder of the project. */
export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '..');

/** Which data: the demonstration's, or the user's own. */
export type DataName = 'demo' | 'own';

/**
 * The folder in which data of this name lives: INCREMEN_DATA, or `.data` in the project. PostgreSQL does
 * not run as root; where its user cannot reach the project, the folder is under /var/lib/incremen.
 */
export function dataFolder(name: DataName): string {
  const wanted = process.env['INCREMEN_DATA'];
  if (wanted) return join(resolve(wanted), name);
  if (process.getuid?.() === 0 && !reachableByPostgres(ROOT)) {
    const mark = createHash('sha256').update(ROOT).digest('hex').slice(0, 8);
    return join('/var/lib/incremen', mark, name);
  }
  return join(ROOT, '.data', name);
}

function reachableByPostgres(folder: string): boolean {
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((l) => l.startsWith('postgres:'));
  const [, , uid, gid] = line?.split(':') ?? [];
  if (uid === undefined) return false;
  try {
    execFileSync('/usr/bin/test', ['-x', folder], {
      uid: Number(uid),
      gid: Number(gid),
      cwd: '/',
      stdio: 'ignore',
    });
    return true;
  } catch {
    return false;
  }
}

/** A server that runs on a data folder. */
export interface Running {
  readonly pid: number;
  readonly url: string;
}

const noteOf = (folder: string) => join(folder, 'running.json');

/** The server that runs on a data folder, or undefined; the note of one that died is removed. */
export function runningOn(folder: string): Running | undefined {
  if (!existsSync(noteOf(folder))) return undefined;
  try {
    const running = JSON.parse(readFileSync(noteOf(folder), 'utf8')) as Running;
    const command = readFileSync(`/proc/${running.pid}/cmdline`, 'utf8');
    // The number may be that of another process by now.
    if (/node.*scripts\/\w+\.ts/s.test(command) && running.pid !== process.pid) return running;
  } catch {
    // No such process, or half a note: it is from one that was killed.
  }
  rmSync(noteOf(folder), { force: true });
  return undefined;
}

/** Notes that this process serves a data folder. */
export function noteRunning(folder: string, url: string): void {
  mkdirSync(folder, { recursive: true });
  writeFileSync(noteOf(folder), JSON.stringify({ pid: process.pid, url } satisfies Running));
}

/** Takes the note away. */
export function noteStopped(folder: string): void {
  rmSync(noteOf(folder), { force: true });
}

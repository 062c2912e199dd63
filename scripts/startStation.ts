import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { ROOT } from './dataFolder.ts';
import type { ServeOptions } from './serve.ts';

/** A weather station that can be asked. */
export interface Station {
  readonly url: string;
  stop(): void;
}

/**
 * The weather station: one's own by its address (STATION_URL), or for the demonstration the simulated one in a process
 * of its own. None for own data without an address.
 */
export async function startStation(data: ServeOptions['data']): Promise<Station | null> {
  const own = process.env['STATION_URL'];
  if (own) return { url: own.replace(/\/$/, ''), stop: () => undefined };
  if (data === 'own') return null;
  const child = spawn(join(ROOT, 'node_modules/.bin/tsx'), [join(ROOT, 'station/src/main.ts')], {
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, PORT: '0' },
  });
  const url = await new Promise<string | null>((resolve) => {
    createInterface({ input: child.stdout }).once('line', resolve);
    child.once('exit', () => resolve(null));
    child.once('error', () => resolve(null));
  });
  if (url === null) return null;
  return { url, stop: () => void child.kill('SIGTERM') };
}

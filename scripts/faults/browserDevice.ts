import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { chromium, type BrowserContext, type Page } from '@playwright/test';

/** What a browser that was killed over and over had kept. */
export interface BrowserReport {
  readonly browserKills: number;
  /** Entries that the page had kept when it was killed. */
  readonly kept: number;
  /** Of these, not there any more when it was opened again, or never come to the server. */
  readonly lostInBrowser: number;
}

/** A piece of equipment that nothing else counts. */
const WHAT = 'stand';
const OPENS_MS = 30_000;
/** A server that was killed comes back sooner, on a busy machine too. */
const GIVES_UP_MS = 120_000;

/** Entries that wait on the device, asked of its own database: what is in it is kept. */
const waiting = () =>
  new Promise<number>((resolve, reject) => {
    const open = indexedDB.open('incremen');
    open.onerror = () => reject(open.error!);
    open.onsuccess = () => {
      const database = open.result;
      const all = database.transaction('outbox').objectStore('outbox').count();
      all.onsuccess = () => {
        database.close();
        resolve(all.result);
      };
      all.onerror = () => reject(all.error!);
    };
  });

/**
 * A third device: a real browser with a profile that stays, in which equipment is counted up by one again and again, and which is
 * killed (SIGKILL) at random moments, whether or not the server is there.
 */
export async function browserDevice(
  url: string,
  random: () => number,
  every: readonly [number, number],
  until: () => boolean,
  say: (words: string) => void,
): Promise<BrowserReport> {
  const profile = mkdtempSync(join(tmpdir(), 'incremen-browser-'));
  let kills = 0;
  let kept = 0;
  let lost = 0;
  let context: BrowserContext | null = null;
  const field = (page: Page) => page.getByRole('textbox', { name: WHAT, exact: true });
  try {
    while (!until()) {
      context = await launch(profile);
      const page = context.pages()[0] ?? (await context.newPage());
      const shown = await countShown(page, url, field);
      if (shown < kept) {
        lost += kept - shown;
        say(`browser: ${kept} were kept, ${shown} are there`);
      }
      kept = Math.max(kept, shown);
      const end = Date.now() + 1000 * (every[0] + random() * (every[1] - every[0]));
      while (Date.now() < end && !until()) {
        await page.getByRole('button', { name: `More: ${WHAT}`, exact: true }).click({ timeout: OPENS_MS });
        // What can be read in the device's own database, or was sent on from there, is kept.
        await page.evaluate(waiting);
        kept = Number(await field(page).inputValue());
        await sleep(40 + 300 * random());
      }
      if (until()) break;
      kills++;
      spawnSync('pkill', ['-KILL', '-f', profile]);
      await context.close().catch(() => undefined);
      say(`browser; ${kept} kept`);
    }
    await context?.close().catch(() => undefined);
    // Whatever waited is sent once all is calm, and the server has the last count.
    context = await launch(profile);
    const page = context.pages()[0] ?? (await context.newPage());
    await countShown(page, url, field);
    for (let i = 0; i < 300 && (await page.evaluate(waiting)) > 0; i++) await sleep(200);
    const held = await onServer(url);
    lost += Math.max(0, kept - held);
    return { browserKills: kills, kept, lostInBrowser: lost };
  } finally {
    await context?.close().catch(() => undefined);
    rmSync(profile, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
  }
}

const launch = (profile: string) =>
  chromium.launchPersistentContext(profile, {
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
    ],
  });

/** Opens the store, with or without a server, and reads the count. */
async function countShown(
  page: Page,
  url: string,
  field: (page: Page) => ReturnType<Page['getByRole']>,
): Promise<number> {
  for (const began = Date.now(); ;) {
    try {
      await page.goto(`${url}/store`, { timeout: OPENS_MS });
      await field(page).waitFor({ timeout: OPENS_MS });
      return Number(await field(page).inputValue());
    } catch (error) {
      if (Date.now() - began > GIVES_UP_MS) throw error;
      await sleep(500);
    }
  }
}

async function onServer(url: string): Promise<number> {
  const [operation] = (await (await fetch(`${url}/api/operations`)).json()) as { id: string }[];
  const file = (await (await fetch(`${url}/api/operations/${operation?.id}/bundle`)).json()) as {
    records: { kit: { what: string; count: number }[] };
  };
  return file.records.kit.find((k) => k.what === WHAT)?.count ?? 0;
}

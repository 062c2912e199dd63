import { test as base, expect, type Page } from '@playwright/test';
import { demoScenario } from '@incremen/core/demo';
import { emptyApiary, type Apiary } from '@incremen/core/records';
import { toBundle, type Bundle } from '@incremen/core/formats';
import type { Day } from '@incremen/core/basics';

/** The demonstration as a file, built once. */
const demo = (() => {
  const { apiary, journal } = demoScenario();
  return toBundle(apiary, journal);
})();

/** A connection kept open may be closed by the server just as it is used again. */
const PATIENT = { maxRetries: 2 } as const;

/** Entries that this page has made and the server has not confirmed, from what the browser keeps. */
async function waiting(): Promise<number> {
  const kept = await indexedDB.databases();
  // Opening a database that is not there would make it.
  if (!kept.some((d) => d.name === 'incremen')) return 0;
  return new Promise((resolve, reject) => {
    const open = indexedDB.open('incremen');
    open.onerror = () => reject(open.error!);
    open.onsuccess = () => {
      const database = open.result;
      const count = database.transaction('outbox').objectStore('outbox').index('state').count('waiting');
      count.onsuccess = () => {
        database.close();
        resolve(count.result);
      };
      count.onerror = () => reject(count.error!);
    };
  });
}

/** The records on the server, for setting up and looking behind the interface. */
export class Records {
  private readonly page: Page;
  constructor(page: Page) {
    this.page = page;
  }

  async operationId(): Promise<string> {
    const list = (await (await this.page.request.get('/api/operations', PATIENT)).json()) as { id: string }[];
    return list[0]?.id ?? '';
  }

  /** What the server holds once the open page has sent all that it has made. */
  async get(): Promise<Bundle> {
    await this.sent();
    return this.held();
  }

  private async sent(): Promise<void> {
    if (!this.page.isClosed() && this.page.url().startsWith('http')) {
      // A page that is just being left for another cannot be asked: it is asked again.
      await expect.poll(() => this.page.evaluate(waiting).catch(() => null)).toBe(0);
    }
  }

  /** What the server holds at this moment, whatever waits on the page. */
  async held(): Promise<Bundle> {
    return (await (
      await this.page.request.get(`/api/operations/${await this.operationId()}/bundle`, PATIENT)
    ).json()) as Bundle;
  }

  async put(file: Bundle): Promise<void> {
    const answer = await this.page.request.put(`/api/operations/${await this.operationId()}/bundle`, {
      data: file,
      ...PATIENT,
    });
    expect(answer.ok()).toBe(true);
  }

  /** Lets the standing day of the demonstration be another. */
  async setToday(day: Day): Promise<void> {
    const file = await this.get();
    const [operation] = file.records.operation;
    if (operation) operation.fixedToday = day;
    await this.put(file);
  }

  /** A yard made up for one test, on a day that stands still. */
  async scene(apiary: Apiary, today: Day): Promise<void> {
    const file = toBundle(apiary, []);
    const [operation] = demo.records.operation;
    if (operation) file.records.operation = [{ ...operation, name: 'A yard', fixedToday: today }];
    await this.put(file);
  }

  /** An operation with nothing in it, as a new user has it. */
  async empty(): Promise<void> {
    const file = toBundle(emptyApiary(), []);
    const [operation] = demo.records.operation;
    if (operation) file.records.operation.push({ ...operation, name: 'My bees' });
    await this.put(file);
  }

  async colonyId(name: string): Promise<string> {
    const file = await this.get();
    return file.records.colony.find((c) => c.name === name)?.id ?? '';
  }
}

/** The port of the first worker's server; the others follow. */
const FIRST_PORT = 4320;

/** Every test begins with the demonstration as new, and ends without a complaint in the console. */
export const test = base.extend<{ records: Records; quietConsole: void }>({
  // A parameter that is not destructured would not be taken for a list of fixtures.
  // oxlint-disable-next-line no-empty-pattern
  baseURL: async ({}, use, info) => {
    await use(`http://127.0.0.1:${FIRST_PORT + info.parallelIndex}`);
  },
  records: async ({ page }, use) => {
    const records = new Records(page);
    await records.put(demo);
    await use(records);
  },
  quietConsole: [
    async ({ page }, use) => {
      const complaints: string[] = [];
      page.on('console', (m) => {
        if (m.type() === 'error' || m.type() === 'warning') complaints.push(m.text());
      });
      page.on('pageerror', (e) => complaints.push(e.message));
      await use();
      // A request that is refused or does not get through is logged by the browser itself; the interface shows it, which the test checks.
      expect(complaints.filter((c) => !/status of 4\d\d|net::ERR_|blocked by Playwright/.test(c))).toEqual(
        [],
      );
    },
    { auto: true },
  ],
});

/** Answers for every unit before the visit closes, and finishes the work. */
export async function closeVisit(page: Page): Promise<void> {
  const panel = page.getByRole('region', { name: 'Close the visit' });
  await expect(panel.getByRole('button', { name: 'Finish' })).toBeVisible();
  const musts = await panel.getByRole('checkbox').all();
  // Work that ends its only unit leaves nothing to be closed.
  await expect(panel.getByRole('button', { name: 'Finish' })).toBeEnabled({ enabled: musts.length === 0 });
  for (const must of musts) await must.check();
  for (const [what, answer] of [
    ['queen', 'Not looked for'],
    ['feed', 'No need'],
    ['excluder', 'None'],
    ['strips', 'None'],
  ] as const) {
    for (const group of await panel.getByRole('group', { name: new RegExp(`: ${what}$`) }).all()) {
      await group.getByText(answer, { exact: true }).click();
    }
  }
  await panel.getByRole('button', { name: 'Finish' }).click();
}

export { expect } from '@playwright/test';

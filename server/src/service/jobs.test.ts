import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { TestServer } from '../testing/testServer.ts';
import { openJobs, type Jobs } from './jobs.ts';
import { SILENT } from './logBook.ts';

let server: TestServer;
const open: Jobs[] = [];
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(async () => {
  await Promise.all(open.map((j) => j.stop()));
  await server.stop();
});

/** A process on the database, which notes what it does. */
async function processOn(name: string, run: () => Promise<unknown>): Promise<Jobs> {
  const jobs = await openJobs(
    server.orm.config.get('clientUrl') ?? '',
    SILENT,
    { [name]: { cron: '0 4 * * *', run } },
    0.5,
  );
  open.push(jobs);
  return jobs;
}

describe('heavy work in line', () => {
  it('is done once by one of two processes, and asked for twice while it waits it is still one', async () => {
    const done: string[] = [];
    const slowly = (who: string) => async () => {
      done.push(who);
      await new Promise((r) => setTimeout(r, 300));
    };
    const one = await processOn('backup', slowly('one'));
    const two = await processOn('backup', slowly('two'));
    await Promise.all([one.ask('backup'), one.ask('backup'), two.ask('backup')]);
    await vi.waitFor(() => expect(done).toHaveLength(1), { timeout: 20_000, interval: 50 });
    // Nothing is left behind it that would be done later.
    await new Promise((r) => setTimeout(r, 2_500));
    expect(done).toHaveLength(1);
    await two.ask('backup');
    await vi.waitFor(() => expect(done).toHaveLength(2), { timeout: 20_000, interval: 50 });
  });

  it('that fails waits in the database for its next try', async () => {
    let tries = 0;
    const jobs = await processOn('sweep', async () => {
      tries++;
      throw new Error('no room');
    });
    await jobs.ask('sweep');
    await vi.waitFor(() => expect(tries).toBe(1), { timeout: 20_000, interval: 50 });
    const state = async () =>
      (
        await server.orm.em
          .getConnection()
          .execute<{ state: string; retry_count: number }[]>(
            `select state::text from jobs.job where name = 'sweep'`,
          )
      )[0]?.state;
    await vi.waitFor(async () => expect(await state()).toBe('retry'), { timeout: 20_000, interval: 100 });
  });
});

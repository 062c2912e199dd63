import PgBoss from 'pg-boss';
import type { Logger } from 'pino';

/** What is done by itself, at its hours. */
export interface Job {
  /** When, as a line of cron in UTC. */
  readonly cron: string;
  readonly run: () => Promise<unknown>;
}

/** The queue of a database, as one of its processes sees it. */
export interface Jobs {
  /** Asks for a job now; while one waits already no second is put behind it. */
  ask(name: string): Promise<void>;
  /** Waits for what is under way, takes nothing new, lets go of the database. */
  stop(): Promise<void>;
}

/** A job that fails is tried again after so long, and so often. */
const AGAIN = { retryLimit: 3, retryDelay: 60, retryBackoff: true } as const;
/** A process that dies in the middle of a job holds it no longer than this: then another takes it. */
const LONGEST_MINUTES = 30;

/**
 * Heavy work stands in line in the database, under a schema of its own: of several processes on one database each job is done
 * by one, and what a process leaves undone when it dies is done by another.
 *
 * @param url - of the database
 * @param tempo - seconds between two looks at the queue; tests are in a hurry
 */
export async function openJobs(
  url: string,
  log: Logger,
  jobs: Readonly<Record<string, Job>>,
  tempo = 5,
): Promise<Jobs> {
  const boss = new PgBoss({
    connectionString: url,
    schema: 'jobs',
    max: 2,
    application_name: 'incremen jobs',
  });
  // A database that is away is told of by health; here it is noted, and asked again.
  boss.on('error', (error) => log.warn({ err: error }, 'the queue of jobs'));
  await boss.start();
  for (const [name, { cron, run }] of Object.entries(jobs)) {
    // One that waits and one that is at work, and no more: a machine that slept a week makes one backup, not seven.
    await boss.createQueue(name, { name, policy: 'stately', expireInMinutes: LONGEST_MINUTES, ...AGAIN });
    await boss.schedule(name, cron);
    await boss.work(name, { pollingIntervalSeconds: tempo }, async () => {
      const started = performance.now();
      try {
        const done = await run();
        log.info({ job: name, done, ms: Math.round(performance.now() - started) }, 'a job was done');
      } catch (error) {
        log.error({ job: name, err: error }, 'a job failed');
        throw error;
      }
    });
  }
  return {
    ask: async (name) => {
      await boss.send(name, {});
    },
    stop: () => boss.stop({ graceful: true, wait: true, timeout: 20_000 }),
  };
}

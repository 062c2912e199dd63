import { startPostgres } from '../db/privatePostgres.ts';
import type { TestProject } from 'vitest/node';

declare module 'vitest' {
  export interface ProvidedContext {
    postgresUrl: string;
  }
}

/** One real PostgreSQL for all server tests, thrown away afterwards. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const server = await startPostgres({ fast: true });
  project.provide('postgresUrl', server.url);
  return () => server.stop();
}

import { afterEach, beforeEach, vi } from 'vitest';
import { localDatabase } from '../offline/database.ts';

/** Lets every test of a file run on a device that keeps nothing yet and reaches no server. */
export function withoutNetwork(): void {
  beforeEach(async () => {
    const db = await localDatabase();
    await Promise.all([db.clear('outbox'), db.clear('photos')]);
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('Failed to fetch')));
  });
  afterEach(() => {
    vi.unstubAllGlobals();
  });
}

import { afterEach, beforeEach, vi } from 'vitest';
import { localDatabase as db } from '../offline/database.ts';

/** Lets every test of a file run on a device that keeps nothing yet and reaches no server. */
export function withoutNetwork(): void {
  beforeEach(async () => {
    await Promise.all([db.outbox.clear(), db.photos.clear()]);
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('Failed to fetch')));
  });
  afterEach(() => {
    vi.unstubAllGlobals();
  });
}

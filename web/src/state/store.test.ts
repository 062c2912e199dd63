import { emptyApiary } from '@incremen/core/records';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { keptWeather } from '../server/keptWeather.ts';
import { serverData } from '../server/serverData.ts';
import { followed, loaded } from './mirrorSlice.ts';
import { makeStore } from './store.ts';

const operationId = 'operation';

/** A store with records of revision 1, and a server that answers each path, or is away. */
function setUp(answer: (path: string) => unknown) {
  const asked: string[] = [];
  const network = { away: false };
  vi.stubGlobal('fetch', (path: string) => {
    asked.push(path);
    if (network.away) return Promise.reject(new TypeError('Failed to fetch'));
    const headers = { 'content-type': 'application/json' };
    return Promise.resolve(new Response(JSON.stringify(answer(path)), { headers }));
  });
  const store = makeStore();
  store.dispatch(loaded({ operationId, revision: 1, base: emptyApiary(), outbox: [], savedAt: 0 }));
  return { store, asked, network };
}

afterEach(() => {
  vi.unstubAllGlobals();
  localStorage.clear();
});

describe('what the server knows besides the records', () => {
  const { readingsAsOf, journal, weather } = serverData.endpoints;
  const day = '2026-05-01';

  it('is asked for once by all who need it, and anew when the records move on', async () => {
    const { store, asked } = setUp(() => ({ readings: [] }));
    const wanted = { operationId, day };
    await Promise.all([
      store.dispatch(readingsAsOf.initiate(wanted)),
      store.dispatch(readingsAsOf.initiate(wanted)),
    ]);
    expect(asked).toHaveLength(1);
    store.dispatch(followed({ revision: 2, changes: [] }));
    await vi.waitFor(() => expect(asked).toHaveLength(2));
  });

  it('stays as it was while the server is away, and the reason is told', async () => {
    const { store, network } = setUp(() => ({ readings: [{ id: 'old' }] }));
    const wanted = { operationId, day };
    await store.dispatch(readingsAsOf.initiate(wanted));
    network.away = true;
    store.dispatch(followed({ revision: 2, changes: [] }));
    await vi.waitFor(() => expect(readingsAsOf.select(wanted)(store.getState()).isError).toBe(true));
    const { data, error } = readingsAsOf.select(wanted)(store.getState());
    expect(data?.readings).toEqual([{ id: 'old' }]);
    expect(error).toMatchObject([{ message: 'The server cannot be reached.' }]);
  });

  it('has the journal in pages, all read again after another entry', async () => {
    let latest = 9;
    const { store, asked } = setUp((path) =>
      path.includes('before=')
        ? { entries: [{ seq: 1 }], next: null }
        : { entries: [{ seq: latest }], next: latest },
    );
    await store.dispatch(journal.initiate(operationId));
    await store.dispatch(journal.initiate(operationId, { direction: 'forward' }));
    const seqs = () =>
      journal
        .select(operationId)(store.getState())
        .data?.pages.flatMap((p) => p.entries.map((e) => e.seq));
    expect(seqs()).toEqual([9, 1]);
    latest = 10;
    store.dispatch(followed({ revision: 2, changes: [] }));
    await vi.waitFor(() => expect(seqs()).toEqual([10, 1]));
    expect(asked.at(-1)).toContain('before=10');
  });

  it('keeps the last weather on the device for where there is no signal', async () => {
    const report = { observed: [], forecast: [] };
    const { store } = setUp(() => report);
    await store.dispatch(weather.initiate({ operationId, day, hour: 9 }));
    expect(keptWeather(operationId)).toEqual(report);
    expect(keptWeather('another')).toBeNull();
  });
});

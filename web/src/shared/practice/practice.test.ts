import { emptyApiary, newOperation, newYardPlanRequest } from '@incremen/core/records';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { send, takeBack } from '../../mirror/actions.ts';
import { askForNews, flush } from '../../mirror/sync.ts';
import { followed, loaded } from '../../state/mirrorSlice.ts';
import { begun } from '../../state/plannerSlice.ts';
import { demoStore } from '../../testing/renderView.tsx';
import { practise } from './practice.ts';

const own = { ...emptyApiary(), operation: { o: newOperation('o', 'My bees') } };
const asked = vi.fn<typeof fetch>(() => Promise.reject(new TypeError('no network')));
beforeEach(() => {
  asked.mockClear();
  vi.stubGlobal('fetch', asked);
});
afterEach(() => {
  vi.unstubAllGlobals();
});

it('is played in by itself: nothing is asked, sent or kept, and nothing of the keeper’s own comes in', async () => {
  const store = demoStore([], own);
  store.dispatch(begun(newYardPlanRequest(['own yard'], '2026-05-15')));
  await store.dispatch(practise());
  const at = () => store.getState().mirror;
  expect(Object.keys(at().apiary.yard).length).toBeGreaterThan(1);
  expect([at().practising, at().operationId]).toEqual([true, null]);
  // The bench of one's own yards stays behind.
  expect(store.getState().planner.now).toBeNull();

  const [yard] = Object.values(at().apiary.yard);
  const sent = await store.dispatch(send({ type: 'editYard', yardId: yard!.id, name: 'Play' }));
  expect(sent.ok).toBe(true);
  expect(at().apiary.yard[yard!.id]?.name).toBe('Play');
  if (sent.ok) await store.dispatch(takeBack(sent.entryId));
  expect(at().apiary.yard[yard!.id]?.name).toBe(yard!.name);

  const before = at().apiary;
  store.dispatch(loaded({ operationId: 'o', revision: 9, base: own, outbox: [], savedAt: 0 }));
  store.dispatch(followed({ revision: 10, changes: [] }));
  await store.dispatch(flush());
  await store.dispatch(askForNews());
  expect(at().apiary).toBe(before);
  expect(asked).not.toHaveBeenCalled();
});

it('refuses there what it would refuse on one’s own bees', async () => {
  const store = demoStore([], own);
  await store.dispatch(practise());
  const refused = await store.dispatch(
    send({ type: 'editYard', yardId: crypto.randomUUID(), name: 'Nowhere' }),
  );
  expect(refused.ok).toBe(false);
  expect(store.getState().mirror.outbox).toEqual([]);
});

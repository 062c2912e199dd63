import { newYardPlanRequest, NUC_RECIPES } from '@incremen/core/records';
import type { Alternative } from '@incremen/core/yardplan';
import { beforeEach, describe, expect, it } from 'vitest';
import { makeStore } from './store.ts';
import { keepBench, keptBench } from './keptBench.ts';
import { asked, begun, dayCome, framePlaced, keptBeside, nucNamed, undone } from './plannerSlice.ts';

const yardId = '00000000-0000-4000-8000-000000000001';
const frameId = '00000000-0000-4000-8000-000000000002';
const request = {
  ...newYardPlanRequest([yardId], '2026-05-15'),
  goals: [
    { id: 'n1', kind: 'makeNucs' as const, count: 2, recipe: NUC_RECIPES[0]!.recipe, importance: 2 as const },
  ],
};

describe('the bench kept on the device', () => {
  beforeEach(() => localStorage.clear());

  it('comes back as it was left, with what can be taken back and what lies beside', () => {
    const store = makeStore();
    expect(store.getState().planner.now).toBeNull();
    store.dispatch(begun(request));
    store.dispatch(framePlaced({ frameId, to: `n1/${yardId}/1` }));
    store.dispatch(nucNamed({ key: `n1/${yardId}/1`, name: 'Teasel' }));
    store.dispatch(asked({ nights: 'cold' }));
    store.dispatch(undone());
    const summary = { nucs: 2, cost: 80 } as Alternative;
    const plan = { to: [0, -1], shakenFor: [null, 1] };
    store.dispatch(keptBeside({ id: 'a', label: '2 nucs', request, plan, summary }));
    keepBench(store.getState().planner);
    expect(makeStore().getState().planner).toEqual(store.getState().planner);
  });

  it('begins anew when what was kept cannot be read', () => {
    for (const text of ['{"v":1', '{"v":2,"now":null}', JSON.stringify({ v: 1, now: { request: {} } })]) {
      localStorage.setItem('incremen.bench', text);
      expect(keptBench()).toBeNull();
      expect(makeStore().getState().planner.now).toBeNull();
    }
  });

  it('is planned for today when its day is past', () => {
    const store = makeStore();
    store.dispatch(begun(request));
    store.dispatch(
      keptBeside({
        id: 'a',
        label: '',
        request,
        plan: { to: [], shakenFor: [] },
        summary: {} as Alternative,
      }),
    );
    store.dispatch(dayCome('2026-05-17'));
    const { now, alternatives } = store.getState().planner;
    expect(now?.request).toEqual({ ...request, day: '2026-05-17' });
    expect(alternatives).toEqual([]);
  });
});

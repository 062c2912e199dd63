import { newYardPlanRequest, NUC_RECIPES, type YardPlanRequest } from '@incremen/core/records';
import { describe, expect, it } from 'vitest';
import {
  asked,
  begun,
  colonyLeftOut,
  forbidToggled,
  framePlaced,
  goalsChanged,
  nucNamed,
  pinToggled,
  plannerReducer,
  redone,
  solvedAround,
  undone,
  type Planner,
} from './plannerSlice.ts';

const request: YardPlanRequest = {
  ...newYardPlanRequest(['yard'], '2026-05-15'),
  goals: [
    { id: 'n1', kind: 'makeNucs', count: 2, recipe: NUC_RECIPES[0]!.recipe, importance: 2 },
    { id: 'l2', kind: 'level', by: 'capped', importance: 2 },
  ],
};
const after = (...actions: Parameters<typeof plannerReducer>[1][]): Planner =>
  actions.reduce((s: Planner | undefined, a) => plannerReducer(s, a), undefined) as Planner;
const nuc = 'n1/yard/1';

describe('the plan bench', () => {
  it('takes back and does again whatever was changed', () => {
    const steps = [
      begun(request),
      framePlaced({ frameId: 'a', to: nuc }),
      asked({ nights: 'cold' }),
      colonyLeftOut('c'),
    ];
    const end = after(...steps);
    const back = after(...steps, undone(), undone(), undone());
    expect(back.now).toEqual({ request, placed: [] });
    expect(after(...steps, undone(), undone(), undone(), redone(), redone(), redone()).now).toEqual(end.now);
    // A new change ends what could be done again.
    expect(after(...steps, undone(), asked({ season: 'dearth' })).future).toEqual([]);
  });

  it('a frame placed twice is where it was placed last, and is held when the rest is worked out', () => {
    const state = after(
      begun(request),
      framePlaced({ frameId: 'a', to: nuc }),
      framePlaced({ frameId: 'a', to: 'c' }),
      solvedAround(),
    );
    expect(state.now?.placed).toEqual([]);
    expect(state.now?.request.pins).toEqual([{ frameId: 'a', to: 'c' }]);
  });

  it('a ban undoes the pin to the same place, and placing by hand lifts the ban', () => {
    const banned = after(
      begun(request),
      pinToggled({ frameId: 'a', to: nuc }),
      forbidToggled({ frameId: 'a', to: nuc }),
    );
    expect(banned.now?.request).toMatchObject({ pins: [], forbids: [{ frameId: 'a', to: nuc }] });
    // The next nuc of the goal is as good as the one for which it was ruled out.
    for (const to of [nuc, nuc.replace(/\d+$/, '7')]) {
      const placed = plannerReducer(
        plannerReducer(banned, framePlaced({ frameId: 'a', to })),
        solvedAround(),
      );
      expect(placed.now?.request).toMatchObject({ pins: [{ frameId: 'a', to }], forbids: [] });
    }
  });

  it('lets go of frames held in nucs of a goal that is taken away', () => {
    const state = after(
      begun(request),
      pinToggled({ frameId: 'a', to: nuc }),
      pinToggled({ frameId: 'b', to: 'colony' }),
      goalsChanged(request.goals.slice(1)),
    );
    expect(state.now?.request.pins).toEqual([{ frameId: 'b', to: 'colony' }]);
  });

  it('leaves a colony out and takes it in again; names stay when things are taken back', () => {
    const out = after(begun(request), pinToggled({ frameId: 'a', to: 'c' }), colonyLeftOut('c'));
    expect(out.now?.request).toMatchObject({ leftOutIds: ['c'], pins: [] });
    const named = after(
      begun(request),
      nucNamed({ key: nuc, name: 'Vetchling' }),
      asked({ nights: 'cold' }),
      undone(),
    );
    expect(named.names[nuc]).toBe('Vetchling');
    expect(plannerReducer(out, colonyLeftOut('c')).now?.request.leftOutIds).toEqual([]);
  });
});

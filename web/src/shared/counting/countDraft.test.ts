import { bothSides, shareOf } from '@incremen/core/comb';
import { describe, expect, it } from 'vitest';
import { countStep, quickProblems, startCount, type CountAction, type CountDraft } from './countDraft.ts';
import { actionOfKey } from './countKeys.ts';

const last = bothSides({ honey: 10 }, 4, { queenSeen: true });
const begin = () =>
  startCount(
    [1, 2, 3].map((slot) => ({
      frameId: `f${slot}`,
      boxId: 'b',
      slot,
      last: slot === 3 ? last : null,
      lastId: slot === 3 ? 'r' : null,
    })),
    [{ id: 'b', sizeId: 'langstroth-deep', brood: true }],
  );
const run = (draft: CountDraft, ...actions: CountAction[]) => actions.reduce(countStep, draft);
const type = (draft: CountDraft, keys: string) =>
  keys.split('').reduce((d, key) => {
    const action = actionOfKey(d, key);
    return action ? countStep(d, action) : d;
  }, draft);

describe('counting frame by frame', () => {
  it('reads a usual frame in three taps and goes on by itself', () => {
    const draft = run(
      begin(),
      { do: 'kind', kind: 'capped' },
      { do: 'amount', quarters: 2 },
      { do: 'bees', quarters: 4 },
    );
    expect(draft.at).toBe(1);
    expect(draft.stage).toBe('kind');
    expect(shareOf(draft.frames[0]!.reading!, 'capped')).toBe(0.5);
    expect(draft.frames[0]!.reading!.sides.map((s) => s.bees)).toEqual([10, 10]);
  });

  it('reads a usual frame in three keys, a whole box without a number typed', () => {
    const draft = type(begin(), 'c24h43m34');
    expect(draft.frames.map((f) => f.kind)).toEqual(['capped', 'honey', 'mixed']);
    expect(shareOf(draft.frames[1]!.reading!, 'honey')).toBe(1);
    expect(draft.frames[1]!.reading!.sides[0].bees).toBe(7.5);
  });

  it('takes the last reading or the neighbour, without their queen and cells', () => {
    const draft = type(run(begin(), { do: 'go', to: 2 }), 'l');
    expect(draft.frames[2]!.reading).toMatchObject({ queenSeen: false, sides: last.sides });
    expect(type(begin(), 'c24p').frames[1]!.reading).toEqual(type(begin(), 'c24').frames[0]!.reading);
  });

  it('has one queen: a second mark moves her', () => {
    const draft = type(begin(), 'c24y34');
    const marked = run(draft, { do: 'go', to: 0 }, { do: 'queen' }, { do: 'go', to: 1 }, { do: 'queen' });
    expect(marked.frames.map((f) => f.reading?.queenSeen ?? false)).toEqual([false, true, false]);
    expect(run(marked, { do: 'queen' }).frames.some((f) => f.reading?.queenSeen)).toBe(false);
  });

  it('keeps queen and cells when the contents are corrected', () => {
    const draft = run(
      begin(),
      { do: 'kind', kind: 'capped' },
      { do: 'queen' },
      { do: 'cells', cells: [{ kind: 'cup', count: 2 }] },
      { do: 'amount', quarters: 4 },
    );
    expect(draft.frames[0]!.reading).toMatchObject({ queenSeen: true, cells: [{ kind: 'cup', count: 2 }] });
  });

  it('paints a tenth of one side and leaves the other', () => {
    const draft = run(
      begin(),
      { do: 'kind', kind: 'honey' },
      { do: 'paint', side: 1, strip: 9, content: 'capped' },
    );
    expect(draft.frames[0]!.reading!.sides[1].contents.capped).toBe(1);
    expect(draft.frames[0]!.reading!.sides[0].contents.capped).toBeUndefined();
  });

  it('undoes every step, one by one, back to the start', () => {
    let draft = type(begin(), 'c24h43');
    for (let i = 0; i < 6; i++) draft = countStep(draft, { do: 'undo' });
    expect({ ...draft, past: [] }).toEqual({ ...begin(), past: [] });
    expect(countStep(draft, { do: 'undo' })).toBe(draft);
  });

  it('ignores keys that mean nothing here', () => {
    expect(actionOfKey(begin(), '3')).toBeUndefined();
    expect(actionOfKey(begin(), 'w')).toBeUndefined();
  });
});

describe('a quick count over frames', () => {
  const said = (draft: CountDraft, change: Partial<NonNullable<CountDraft['quick']>>) =>
    countStep(draft, { do: 'quick', change });

  it('fills what was not read one by one, with what those frames leave over', () => {
    const read = type(begin(), 'h44');
    const draft = said(said(read, { bees: 2 }), { stores: 1 });
    expect(draft.frames.map((f) => f.from)).toEqual(['taps', 'spread', 'spread']);
    expect(draft.frames[0]!.reading).toEqual(read.frames[0]!.reading);
    // The frame of honey that was read is all the stores there are; one of two frames of bees is on it.
    const others = draft.frames.slice(1).map((f) => f.reading!);
    expect(others.every((r) => r.estimated && shareOf(r, 'honey') === 0)).toBe(true);
    expect(others.reduce((n, r) => n + r.sides[0].bees / 10, 0)).toBeCloseTo(1, 1);
  });

  it('gives way to a frame that is read afterwards, and can be cleared', () => {
    const draft = said(begin(), { bees: 2, capped: 1 });
    const after = run(draft, { do: 'go', to: 1 }, { do: 'kind', kind: 'honey' });
    expect(after.frames[1]).toMatchObject({ from: 'taps', reading: { estimated: false } });
    const cleared = countStep(after, { do: 'noQuick' });
    expect(cleared.frames.map((f) => f.from)).toEqual([null, 'taps', null]);
    expect(countStep(cleared, { do: 'undo' }).frames.map((f) => f.from)).toEqual([
      'spread',
      'taps',
      'spread',
    ]);
  });

  it('keeps what is drawn when the queen is marked on an estimated frame', () => {
    const draft = said(begin(), { bees: 2, capped: 2 });
    const marked = run(draft, { do: 'go', to: 1 }, { do: 'queen' });
    expect(marked.frames[1]!.reading).toEqual({ ...draft.frames[1]!.reading, queenSeen: true });
  });

  it('says what is impossible', () => {
    expect(quickProblems(said(begin(), { bees: 9 })).map((p) => p.code)).toEqual(['beyond-comb']);
    expect(quickProblems(begin())).toEqual([]);
  });
});

describe('a line of shorthand', () => {
  it('reads its frames, and leaves them when it no longer speaks of them', () => {
    const typed = countStep(type(begin(), 'h44'), { do: 'type', text: '2: c *8; "' });
    expect(typed.frames.map((f) => f.from)).toEqual(['taps', 'typed', 'typed']);
    expect(typed.frames[2]!.reading!.sides).toEqual(last.sides);
    const shorter = countStep(typed, { do: 'type', text: '2: c *8' });
    expect(shorter.frames.map((f) => f.from)).toEqual(['taps', 'typed', null]);
  });
});

describe('a frame that a line no longer names', () => {
  it('is asked for from the start, not for its bees', () => {
    const tapped = run(begin(), { do: 'kind', kind: 'capped' }, { do: 'amount', quarters: 2 });
    expect(tapped.stage).toBe('bees');
    expect(run(tapped, { do: 'type', text: 'h *5' }, { do: 'type', text: '' }).stage).toBe('kind');
  });
});

describe('side by side', () => {
  it('reads the first side, then the other, then goes on', () => {
    const draft = type(run(begin(), { do: 'side', side: 0 }), 'h44c43');
    expect(draft.at).toBe(1);
    expect(draft.side).toBe(0);
    expect(draft.frames[0]!.reading!.sides).toEqual([
      { contents: { honey: 10 }, bees: 10 },
      { contents: { capped: 10 }, bees: 7.5 },
    ]);
  });
});

import { bothSides } from '@incremen/core/comb';
import { noEvidence } from '@incremen/core/records';
import { beforeEach, describe, expect, it } from 'vitest';
import { NO_CONDITIONS } from '../../shared/evidence/ConditionsFields.tsx';
import { startCount, stateOf } from '../../shared/counting/countDraft.ts';
import { forgetDraft, keepDraft, keptDraft, type KeptCount } from '../../shared/counting/keptDraft.ts';

const reading = bothSides({ honey: 10 }, 5);
const kept: KeptCount = {
  day: '2026-05-15',
  openedAt: 1,
  seen: { evidence: noEvidence(1), conditions: NO_CONDITIONS, photos: [], note: 'Windy' },
  state: {
    ...stateOf(
      startCount(
        [{ frameId: 'f', boxId: 'b', slot: 1, last: null, lastId: null }],
        [{ id: 'b', sizeId: 'langstroth-deep', brood: true }],
      ),
    ),
    text: 'h *5',
  },
};

describe('a count kept on the device', () => {
  beforeEach(() => localStorage.clear());

  it('comes back as it was, until it is forgotten', () => {
    keepDraft('c', kept);
    expect(keptDraft('c', ['f'])).toMatchObject(kept);
    forgetDraft('c');
    expect(keptDraft('c', ['f'])).toBeUndefined();
  });

  it('is not taken up again when other frames hang there, or when it cannot be read', () => {
    keepDraft('c', kept);
    expect(keptDraft('c', ['g'])).toBeUndefined();
    localStorage.setItem('incremen.count.c', '{"v":2');
    expect(keptDraft('c', ['f'])).toBeUndefined();
  });

  it('of the first version is taken up, its frames as tapped', () => {
    const frames = [{ frameId: 'f', boxId: 'b', slot: 1, last: null, reading, kind: 'honey' }];
    localStorage.setItem(
      'incremen.count.c',
      JSON.stringify({ v: 1, day: '2026-05-14', note: 'Old', draft: { frames, at: 0, stage: 'bees' } }),
    );
    expect(keptDraft('c', ['f'])).toMatchObject({
      day: '2026-05-14',
      seen: { note: 'Old', evidence: { eggs: { look: 'notLooked' } } },
      state: { stage: 'bees', side: 'both', quick: null, frames: [{ from: 'taps', lastId: null, reading }] },
    });
  });
});

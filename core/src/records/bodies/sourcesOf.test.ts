import { describe, expect, it } from 'vitest';
import { noEvidence } from './evidence.ts';
import { sourcesOf } from './sourcesOf.ts';

const seen = (...caps: readonly ('flat' | 'domed' | 'both' | 'none' | null)[]) => ({
  ...noEvidence(10),
  byBox: caps.map((c, i) => ({ boxId: `box ${i}`, eggs: null, caps: c })),
});

describe('brood by box', () => {
  it('is of two sources where one box has worker brood and another only drones', () => {
    expect(sourcesOf(seen('flat', 'none', 'domed'))).toEqual({ hers: ['box 0'], theirs: ['box 2'] });
    expect(sourcesOf(seen('both', 'domed'))).toEqual({ hers: ['box 0'], theirs: ['box 1'] });
  });

  it('is one story where every box says the same, or nobody looked at another', () => {
    for (const caps of [['flat', 'flat'], ['domed', 'domed'], ['flat', 'none'], ['domed', null], []] as const)
      expect(sourcesOf(seen(...caps))).toBeNull();
  });
});

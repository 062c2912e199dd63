import type { Colony } from '@incremen/core/records';
import { describe, expect, it } from 'vitest';
import { wayOut } from './wayOut.ts';

const colony = { id: 'c1' } as Colony;

describe('what mends a colony', () => {
  it('is a plan for a full nuc and for a honey-bound nest, and none for the rest', () => {
    expect(wayOut({ colony, lane: 'even', reason: 'Nuc is full: hive it up' })).toEqual({
      verb: 'Hive it up',
      to: '/plan?goal=hiveUp&colony=c1',
    });
    expect(wayOut({ colony, lane: 'even', reason: 'Honey-bound: give her empty comb' })?.to).toBe(
      '/plan?goal=relieve&colony=c1',
    );
    expect(wayOut({ colony, lane: 'even', reason: 'Steady' })).toBeUndefined();
    expect(wayOut({ colony, lane: 'weak', reason: 'Needs bees before brood' })).toEqual({
      verb: 'What to do',
      to: '/colonies/c1/act',
    });
  });
});

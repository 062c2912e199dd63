import type { Colony } from '@incremen/core/records';
import type { NoticeId } from '@incremen/core/colony';
import { describe, expect, it } from 'vitest';
import { wayOut } from './wayOut.ts';

const colony = { id: 'c1' } as Colony;
const notice = (id: NoticeId) => ({ id, words: 'whatever it is called', urgent: false });

describe('what mends a colony', () => {
  it('is a plan for a full nuc and for a honey-bound nest, and none for the rest', () => {
    expect(wayOut({ colony, lane: 'even', notice: notice('nuc-full') })).toEqual({
      verb: 'Move into a full-size hive',
      to: '/plan?goal=hiveUp&colony=c1',
    });
    expect(wayOut({ colony, lane: 'even', notice: notice('honey-bound') })?.to).toBe(
      '/plan?goal=relieve&colony=c1',
    );
    expect(wayOut({ colony, lane: 'even', notice: notice('steady') })).toBeUndefined();
    expect(wayOut({ colony, lane: 'weak', notice: notice('needs-bees') })).toEqual({
      verb: 'What to do',
      to: '/colonies/c1/act',
    });
  });
});

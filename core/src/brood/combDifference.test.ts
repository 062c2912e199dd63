import { describe, expect, it } from 'vitest';
import { bothSides } from '../comb/contents.ts';
import { planFrame } from '../split/base/measure.ts';
import { DEFAULT_HOUSE_RULES, stayShares } from '../rules/index.ts';
import { worseInWords } from './combDifference.ts';

const comb = (contents: Parameters<typeof bothSides>[0], bees = 8) =>
  planFrame(
    {
      id: 'f',
      label: '',
      size: 'langstroth-deep',
      boxId: 'b',
      slot: 1,
      reading: bothSides(contents, bees),
    },
    'langstroth-deep',
    stayShares(DEFAULT_HOUSE_RULES),
  );
const emerging = comb({ emerging: 6, honey: 4 });
const capped = comb({ capped: 6, honey: 4 });
const open = comb({ open: 6, honey: 4 });

describe('why a comb is not the one that was chosen', () => {
  it.each([
    [capped, emerging, 'its brood emerges later'],
    [open, capped, 'it has more young brood to feed'],
    [comb({ drone: 6, honey: 4 }), capped, 'it has more drone brood'],
    [comb({ capped: 3, honey: 4, drawn: 3 }), capped, 'it has less capped brood'],
    [comb({ honey: 4, drawn: 6 }), comb({ honey: 9, drawn: 1 }), 'it has less food'],
    [comb({ honey: 10 }), comb({ honey: 8, beeBread: 2 }), 'it has less bee bread'],
    [comb({ capped: 6, honey: 4 }, 4), capped, 'it carries fewer bees'],
  ])('says in what it is less use', (other, chosen, words) => {
    expect(worseInWords(other, chosen)).toBe(words);
  });

  it('says nothing of two that are alike by eye', () => {
    expect(worseInWords(capped, comb({ capped: 6.5, honey: 3.5 }))).toBeNull();
  });
});

import { describe, expect, it } from 'vitest';
import { ENDS, NO_BROOD } from '../testing/judgedColonies.ts';
import { wrongIn, type Judgement } from '../testing/judgement.ts';
import { caps, cells, cellsOf, eggs, NO, queen, YES } from '../testing/queenLooks.ts';
import { NEST, QUEENLESS } from '../testing/scene.ts';

// Judgements: common practice, no source; days of development: Winston 1987 (as remembered).
const CASES: readonly Judgement[] = [
  {
    name: 'eight cells on day 7: before any is cut, another nuc of them is offered',
    combs: QUEENLESS,
    lostOn: '2026-05-04',
    looks: [[7, { eggs: NO, youngLarvae: NO, cells: cells('capped', 8) }]],
    finding: ['raising'],
    says: /another nuc/,
    never: ENDS,
  },
  {
    name: 'two cells on day 7: none is spare',
    combs: QUEENLESS,
    lostOn: '2026-05-04',
    looks: [[7, { eggs: NO, youngLarvae: NO, cells: cells('capped', 2) }]],
    never: /another nuc/,
  },
  {
    name: 'one cup with a larva on the last comb on day 4: it is raising, whatever the others say',
    combs: QUEENLESS,
    lostOn: '2026-05-04',
    looks: [[4, { eggs: NO, youngLarvae: YES, cells: cells('charged', 1) }]],
    finding: ['raising', 'still-time'],
    never: ENDS,
  },
  {
    name: 'day 9, a torn cell and no other: a rival is out',
    combs: QUEENLESS,
    lostOn: '2026-05-04',
    looks: [
      [7, { eggs: NO, cells: cells('capped', 3) }],
      [13, { eggs: NO, cells: cellsOf(['torn', 2], ['emerged', 1]) }],
    ],
    finding: ['virgin-or-mating'],
    list: ['mustNot'],
    never: ENDS,
  },
  {
    name: 'day 34, no eggs, a slim queen, cold weather behind: the last day is named, not passed over',
    combs: QUEENLESS,
    lostOn: '2026-05-04',
    looks: [
      [7, { eggs: NO, cells: cells('capped', 3) }],
      [34, { eggs: NO, cells: NO, queen: queen('slim'), ...NO_BROOD }],
    ],
    finding: ['virgin-or-mating', 'give-up', 'unclear'],
    never: /shake it out/i,
  },
  {
    name: 'day 30, several eggs at the bottom in few cells, calm: a young queen begins',
    combs: QUEENLESS,
    lostOn: '2026-05-04',
    looks: [
      [7, { eggs: NO, cells: cells('capped', 3) }],
      [26, { eggs: eggs('several', 'bottom'), mood: 'calm', queen: queen('unsure'), cells: NO }],
    ],
    never: /laying workers$/im,
    notOffered: ['shake-out', 'give-queen'],
  },
  {
    name: 'flat caps on day 20 are of the old queen: no proof of a new one',
    combs: QUEENLESS,
    lostOn: '2026-05-04',
    looks: [[18, { eggs: NO, youngLarvae: NO, olderLarvae: NO, cappedBrood: caps('flat'), cells: NO }]],
    never: /mated and laying/i,
  },
  {
    name: 'late July, no cells on day 8: there is still time for a mated queen, and none for a raised one',
    combs: QUEENLESS,
    lostOn: '2026-08-10',
    looks: [[8, { eggs: NO, cells: NO, youngLarvae: NO, olderLarvae: NO, cappedBrood: caps('flat') }]],
    never: /shut until/i,
    notOffered: ['boost-brood', 'boost-nurses', 'give-cell'],
  },
  {
    name: 'half a colony, eggs in it on day 12 and cells beside them: nothing is cut',
    combs: NEST,
    lostOn: '2026-05-04',
    queenIs: 'unknown',
    looks: [[12, { eggs: eggs(), cells: cells('capped', 2) }]],
    never: /cut the other|comb of eggs today/i,
  },
];

describe('parts that raise a queen', () => {
  it.each(CASES)('$name', (c) => {
    expect(wrongIn(c)).toEqual([]);
  });
});

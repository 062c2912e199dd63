import { describe, expect, it } from 'vitest';
import { bothSides } from '../comb/contents.ts';
import { caps, cells, eggs, NO, queen, YES, cellsOf } from '../testing/queenLooks.ts';
import { ENDS, NO_BROOD } from '../testing/judgedColonies.ts';
import { wrongIn, type Judgement } from '../testing/judgement.ts';
import { honey, NEST, QUEENLESS } from '../testing/scene.ts';

const bare = [honey, bothSides({ drawn: 8, honey: 2 }, 6), bothSides({ drawn: 8, honey: 2 }, 6), honey];
const SPLIT = { combs: QUEENLESS, lostOn: '2026-05-04' } as const;
const HALF = { combs: NEST, lostOn: '2026-05-04', queenIs: 'unknown' } as const;
const WHOLE = { combs: NEST, lostOn: null } as const;

// Judgements: common practice, no source; days of development: Winston 1987 (as remembered).
const CASES: readonly Judgement[] = [
  {
    name: 'day 4, all read, small larvae and no cells: there is still time',
    ...SPLIT,
    looks: [[4, { eggs: NO, youngLarvae: YES, cells: NO }]],
    finding: ['still-time'],
    never: ENDS,
  },
  {
    name: 'day 5, open cells: it raises a queen, and nothing is given',
    ...SPLIT,
    looks: [[5, { eggs: NO, cells: cells('open', 4) }]],
    finding: ['raising'],
    never: ENDS,
  },
  {
    name: 'day 7, capped and open cells: it raises a queen',
    ...SPLIT,
    looks: [
      [
        7,
        {
          eggs: NO,
          cells: cellsOf(['capped', 3], ['open', 2]),
        },
      ],
    ],
    finding: ['raising'],
    never: ENDS,
    notOffered: ['test-frame'],
  },
  {
    name: 'day 10, capped cells: shut until the eggs are due',
    ...SPLIT,
    looks: [[10, { eggs: NO, cells: cells('capped', 3) }]],
    finding: ['raising'],
    never: ENDS,
  },
  {
    name: 'day 13, a cell opened from the tip: a virgin, leave it shut',
    ...SPLIT,
    looks: [
      [7, { eggs: NO, cells: cells('capped', 3) }],
      [13, { eggs: NO, cells: cells('emerged', 1) }],
    ],
    finding: ['virgin-or-mating'],
    list: ['mustNot'],
    never: ENDS,
  },
  {
    name: 'day 17, a slender queen and no eggs: not late yet',
    ...SPLIT,
    looks: [[17, { eggs: NO, cells: NO, queen: queen('slim'), ...NO_BROOD }]],
    finding: ['virgin-or-mating'],
    list: ['mustNot'],
    never: ENDS,
  },
  {
    name: 'day 21, no queen found, no eggs: virgins are hard to find, no alarm before her window is over',
    ...SPLIT,
    looks: [
      [7, { eggs: NO, cells: cells('capped', 2) }],
      [21, { eggs: NO, cells: NO, queen: NO, ...NO_BROOD }],
    ],
    finding: ['virgin-or-mating'],
    never: /queenless|shake it out/i,
  },
  {
    name: 'day 26, single eggs: probable, proof is to come',
    ...SPLIT,
    looks: [
      [7, { eggs: NO, cells: cells('capped', 2) }],
      [26, { eggs: eggs(), cells: NO }],
    ],
    finding: ['eggs-unproved'],
    says: /flat/i,
    never: ENDS,
  },
  {
    name: 'day 37, flat caps of her own brood: mated',
    ...SPLIT,
    looks: [
      [7, { eggs: NO, cells: cells('capped', 2) }],
      [26, { eggs: eggs(), cells: NO }],
      [
        37,
        { eggs: eggs(), youngLarvae: YES, olderLarvae: YES, cappedBrood: caps('flat', 'compact'), cells: NO },
      ],
    ],
    finding: ['mated'],
    never: ENDS,
  },
  {
    name: 'day 37, domed caps in a compact patch from her: not mated, she goes',
    ...SPLIT,
    looks: [
      [7, { eggs: NO, cells: cells('capped', 2) }],
      [26, { eggs: eggs(), cells: NO, queen: queen('slim') }],
      [38, { eggs: eggs(), cappedBrood: caps('domed', 'compact'), cells: NO, queen: queen('long') }],
    ],
    finding: ['drone-layer'],
    board: /take her out/i,
    list: ['must'],
    notOffered: ['boost-brood', 'boost-nurses', 'shake-out'],
  },
  {
    name: 'day 40 and nothing at all: it ends today, with a way out',
    combs: bare,
    lostOn: '2026-05-04',
    looks: [[40, { eggs: NO, cells: NO, queen: NO, ...NO_BROOD }]],
    finding: ['give-up', 'hopeless'],
    list: ['must'],
    says: /queen|unite/i,
  },
  {
    name: 'eggs not looked for: no verdict on her',
    ...SPLIT,
    looks: [[9, { cells: NO, youngLarvae: NO }]],
    finding: ['unread'],
    never: ENDS,
  },
  {
    name: 'cells on the third of ten frames, the rest unread: no cell is cut',
    ...SPLIT,
    looks: [[8, { eggs: NO, cells: cells('capped', 2) }, [3, 10]]],
    finding: ['unread', 'raising'],
    never: /cut the others|break/i,
  },
  {
    name: 'half a colony on day 7: eggs on one comb are enough, unread frames or not',
    ...HALF,
    looks: [[7, { eggs: eggs(), cells: NO }, [4, 10]]],
    finding: ['has-queen'],
    never: ENDS,
  },
  {
    name: 'half a colony on day 2 without eggs: too early',
    ...HALF,
    looks: [[2, { eggs: NO, cells: NO }]],
    finding: ['too-early', 'unread', 'still-time'],
    never: ENDS,
  },
  {
    name: 'half a colony on day 5 with cells and no eggs: this half raises one',
    ...HALF,
    looks: [[5, { eggs: NO, cells: cells('charged', 3), youngLarvae: YES }]],
    finding: ['raising'],
    never: ENDS,
  },
  {
    name: 'half a colony on day 9: capped brood only, no cells, no eggs: queenless and past helping itself',
    ...HALF,
    looks: [[9, { eggs: NO, cells: NO, youngLarvae: NO, olderLarvae: NO, cappedBrood: caps('flat') }]],
    finding: ['hopeless'],
    board: /comb of eggs/i,
    list: ['must'],
  },
  {
    name: 'eggs in the part that was said to have no queen, on day 10: the notes are doubted, not the eggs',
    ...SPLIT,
    looks: [[10, { eggs: eggs(), cells: NO, youngLarvae: YES }]],
    finding: ['has-queen', 'unclear'],
    never: /raising|comb of eggs today/i,
  },
  {
    name: 'a whole colony with eggs and nothing else: well',
    ...WHOLE,
    looks: [['2026-05-12', { eggs: eggs(), cells: NO, queen: queen('long') }]],
    finding: ['has-queen'],
    never: ENDS,
  },
  {
    name: 'a whole colony without eggs but with small larvae: look again, no alarm',
    ...WHOLE,
    looks: [
      ['2026-05-12', { eggs: NO, cells: NO, youngLarvae: YES, olderLarvae: YES, cappedBrood: caps('flat') }],
    ],
    finding: ['unclear'],
    never: ENDS,
  },
  {
    name: 'a whole colony with eggs and capped cells: it may swarm, and no page calls it well',
    ...WHOLE,
    looks: [['2026-05-12', { eggs: eggs(), cells: cells('capped', 6), queen: queen('long') }]],
    finding: ['has-queen', 'unclear'],
    board: /swarm|cells/i,
    list: ['must'],
  },
  {
    name: 'a whole colony, eggs, and domed caps in one patch: a drone layer is not called a good queen',
    ...WHOLE,
    looks: [['2026-05-12', { eggs: eggs(), cappedBrood: caps('domed', 'compact'), cells: NO }]],
    finding: ['unclear', 'drone-layer'],
    notOffered: ['boost-brood'],
  },
  {
    name: 'a whole colony with all signs of laying workers',
    combs: bare,
    lostOn: null,
    looks: [
      [
        '2026-05-12',
        {
          eggs: eggs('several', 'walls'),
          beesReversing: YES,
          mood: 'roaring',
          queen: NO,
          cells: NO,
          youngLarvae: NO,
          olderLarvae: NO,
          cappedBrood: caps('domed', 'scattered'),
        },
      ],
    ],
    finding: ['laying-workers'],
    board: /shake it out|unite/i,
    list: ['must'],
    notOffered: ['give-queen', 'boost-brood'],
  },
  {
    name: 'bees back into cells, one sign alone: no verdict of laying workers',
    ...WHOLE,
    looks: [['2026-05-12', { eggs: eggs(), beesReversing: YES, queen: queen('long'), cells: NO }]],
    finding: ['has-queen'],
    never: /laying workers/i,
  },
  {
    name: 'no cells on day 7 in September: united, no comb of eggs so late',
    combs: QUEENLESS,
    lostOn: '2026-09-08',
    looks: [[7, { eggs: NO, cells: NO, youngLarvae: NO, olderLarvae: NO, cappedBrood: caps('flat') }]],
    finding: ['hopeless'],
    board: /unite/i,
    never: /shut until/i,
  },
  {
    name: 'a cell that is out on day 5 cannot be: both notes are shown',
    ...SPLIT,
    looks: [[5, { eggs: NO, cells: cells('emerged', 1) }]],
    finding: ['virgin-or-mating', 'raising', 'unclear'],
    says: /missed|torn|date is wrong/i,
  },
  {
    name: 'flat caps on day 35 where no queen was ever seen: somebody lays',
    ...SPLIT,
    looks: [
      [7, { eggs: NO, cells: cells('capped', 2) }],
      [35, { eggs: NO, youngLarvae: YES, olderLarvae: YES, cappedBrood: caps('flat', 'compact'), cells: NO }],
    ],
    finding: ['mated', 'unclear', 'virgin-or-mating', 'eggs-unproved'],
    never: /queenless|shake it out|give a mated queen/i,
  },
  {
    name: 'the chosen cell is capped on day 7 and five others are open: the others go, on that day',
    ...SPLIT,
    chosen: true,
    looks: [
      [
        7,
        {
          eggs: NO,
          youngLarvae: NO,
          cells: cellsOf(['capped', 1], ['open', 5]),
        },
      ],
    ],
    finding: ['raising'],
    board: /chosen cell is capped: cut the other 5/i,
    list: ['must'],
  },
  {
    name: 'the chosen cell is not capped on day 7: none is cut',
    ...SPLIT,
    chosen: true,
    looks: [[7, { eggs: NO, youngLarvae: NO, cells: cells('open', 3) }]],
    finding: ['raising'],
    never: /cut the other|remove/i,
  },
  {
    name: 'five days late for the others: no cell is cut by sight',
    ...SPLIT,
    chosen: true,
    looks: [[12, { eggs: NO, cells: cells('capped', 4) }]],
    finding: ['raising', 'virgin-or-mating'],
    never: /cut the other/i,
  },
  {
    name: 'the chosen cell is out and others are capped: a virgin may be loose, nothing is cut',
    ...SPLIT,
    chosen: true,
    looks: [
      [
        11,
        {
          eggs: NO,
          cells: cellsOf(['emerged', 1], ['capped', 2]),
        },
      ],
    ],
    finding: ['virgin-or-mating', 'raising'],
    list: ['mustNot', 'may'],
    never: /(?<!not )cut the other|break the/i,
  },
  {
    name: 'larvae drying out, not looked over: disease is asked first, nothing goes in or out',
    ...WHOLE,
    looks: [['2026-05-12', { eggs: eggs(), dryingBrood: YES, queen: queen('long'), cells: NO }]],
    finding: ['has-queen'],
    board: /check it for signs of disease/i,
    list: ['must'],
    notOffered: ['boost-brood', 'boost-nurses', 'combine', 'swap-stands'],
  },
  {
    name: 'larvae drying out and clean: bees, never more brood',
    ...WHOLE,
    looks: [
      ['2026-05-12', { eggs: eggs(), dryingBrood: YES, diseaseSigns: NO, queen: queen('long'), cells: NO }],
    ],
    finding: ['has-queen'],
    board: /nurse bees/i,
    notOffered: ['boost-brood'],
  },
  {
    name: 'sunken caps with a smell: nothing in, nothing out, on every page',
    ...WHOLE,
    looks: [
      [
        '2026-05-12',
        { eggs: eggs(), diseaseSigns: { look: 'found', signs: ['smell'] }, queen: queen('long') },
      ],
    ],
    finding: ['sick'],
    board: /disease/i,
    notOffered: ['boost-brood', 'boost-nurses', 'combine', 'swap-stands', 'shake-out'],
  },
];

describe('what was seen, and what must come of it', () => {
  it.each(CASES)('$name', (c) => {
    expect(wrongIn(c)).toEqual([]);
  });
});

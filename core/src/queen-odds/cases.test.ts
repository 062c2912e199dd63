import { describe, expect, it } from 'vitest';
import {
  BLIND,
  caps,
  cells,
  eggs,
  NEVER_SPLIT,
  NO,
  queen,
  WITHOUT,
  YES,
  believe,
  type Looks,
  cellsOf,
} from '../testing/queenLooks.ts';
import { QUEEN_STATES, type QueenStateName } from '../rules/queenStates.ts';

// States follow from the development clock of Winston 1987; what is judged beyond that is common practice, no source.

const CASES: readonly (readonly [
  name: string,
  queenHere: number | null,
  looks: Looks,
  state: QueenStateName,
])[] = [
  // A split without looking for her.
  ['eggs on day 4', BLIND, [[4, { eggs: eggs(), cells: NO }]], 'laying'],
  ['eggs on day 5, larvae too', BLIND, [[5, { eggs: eggs(), olderLarvae: YES, cells: NO }]], 'laying'],
  ['eggs and no cells on day 7', BLIND, [[7, { eggs: eggs(), cells: NO }]], 'laying'],
  ['six open cells and no eggs on day 7', BLIND, [[7, { eggs: NO, cells: cells('open', 6) }]], 'cells'],
  ['capped cells and no eggs on day 8', BLIND, [[8, { eggs: NO, cells: cells('capped') }]], 'cells'],
  ['open cells on day 4', BLIND, [[4, { eggs: NO, cells: cells('open') }]], 'cells'],
  [
    'eggs on day 9 after eggs on day 2',
    BLIND,
    [
      [2, { eggs: eggs() }],
      [9, { eggs: eggs(), cells: NO }],
    ],
    'laying',
  ],
  [
    'no cells on day 7, nothing but capped brood',
    BLIND,
    [
      [
        7,
        {
          eggs: NO,
          cells: NO,
          youngLarvae: NO,
          olderLarvae: NO,
          cappedBrood: caps('flat'),
          queen: NO,
          mood: 'restless',
        },
      ],
    ],
    'hopeless',
  ],
  [
    'no eggs and no cells on day 10, roaring',
    BLIND,
    [[10, { eggs: NO, cells: NO, olderLarvae: NO, queen: NO, mood: 'roaring' }]],
    'hopeless',
  ],
  [
    'queen seen on day 6, neither eggs nor small larvae, no cells',
    BLIND,
    [[6, { eggs: NO, youngLarvae: NO, cells: NO, queen: queen('long') }]],
    'not-laying',
  ],
  ['queen seen on day 7 with eggs', BLIND, [[7, { eggs: eggs(), queen: queen('long') }]], 'laying'],
  [
    'eggs on day 21: neither half could have them earlier from a new queen',
    BLIND,
    [
      [7, { eggs: eggs(), cells: NO }],
      [21, { eggs: eggs(), cappedBrood: caps('flat') }],
    ],
    'laying',
  ],
  // A part that is known to be without her.
  ['nothing known on day 3', WITHOUT, [[3, {}]], 'cells'],
  ['cells charged on day 3', WITHOUT, [[3, { cells: cells('charged') }]], 'cells'],
  [
    'two capped, five open on day 3',
    WITHOUT,
    [
      [
        3,
        {
          cells: cellsOf(['capped', 2], ['open', 5]),
        },
      ],
    ],
    'cells',
  ],
  ['capped cells on day 6', WITHOUT, [[6, { eggs: NO, cells: cells('capped') }]], 'cells'],
  ['reserved cell capped on day 7', WITHOUT, [[7, { eggs: NO, cells: cells('capped', 6) }]], 'cells'],
  ['no cell on day 7, all frames read', WITHOUT, [[7, { eggs: NO, cells: NO }]], 'hopeless'],
  ['no cell on day 8, no larvae', WITHOUT, [[8, { eggs: NO, cells: NO, olderLarvae: NO }]], 'hopeless'],
  ['an opened cell on day 13', WITHOUT, [[13, { eggs: NO, cells: cells('emerged', 1) }]], 'virgin'],
  ['torn cells on day 14', WITHOUT, [[14, { cells: cells('torn', 3) }]], 'virgin'],
  [
    'nothing to see on day 16',
    WITHOUT,
    [
      [7, { eggs: NO, cells: cells('capped') }],
      [16, { eggs: NO, cells: NO }],
    ],
    'virgin',
  ],
  ['a slim queen on day 17', WITHOUT, [[17, { eggs: NO, queen: queen('slim') }]], 'virgin'],
  [
    'cells on day 7, no eggs on day 20',
    WITHOUT,
    [
      [7, { eggs: NO, cells: cells('capped') }],
      [20, { eggs: NO, cells: NO }],
    ],
    'virgin',
  ],
  ['neat eggs on day 22, nothing capped', WITHOUT, [[22, { eggs: eggs(), cappedBrood: NO }]], 'newly-laying'],
  [
    'eggs and larvae on day 25',
    WITHOUT,
    [
      [7, { cells: cells('capped') }],
      [25, { eggs: eggs(), olderLarvae: YES, cappedBrood: NO, queen: queen('long') }],
    ],
    'newly-laying',
  ],
  [
    'eggs on day 24 after none on day 20',
    WITHOUT,
    [
      [20, { eggs: NO }],
      [24, { eggs: eggs() }],
    ],
    'newly-laying',
  ],
  ['flat caps on day 36', WITHOUT, [[36, { eggs: eggs(), cappedBrood: caps('flat', 'compact') }]], 'laying'],
  [
    'flat caps on day 40, cells on day 7',
    WITHOUT,
    [
      [7, { eggs: NO, cells: cells('capped') }],
      [40, { eggs: eggs(), olderLarvae: YES, cappedBrood: caps('flat') }],
    ],
    'laying',
  ],
  [
    'domed caps in a compact patch on day 48, single eggs, a queen',
    WITHOUT,
    [[48, { eggs: eggs('one', 'bottom'), cappedBrood: caps('domed', 'compact'), queen: queen() }]],
    'drone-layer',
  ],
  [
    'domed caps, one egg each, small queen seen, cells before',
    WITHOUT,
    [
      [7, { cells: cells('capped') }],
      [50, { eggs: eggs('one', 'bottom'), cappedBrood: caps('domed', 'compact'), queen: queen('slim') }],
    ],
    'drone-layer',
  ],
  [
    'several eggs on walls on day 35, no queen, bees reversing',
    WITHOUT,
    [[35, { eggs: eggs('several', 'walls'), cells: NO, queen: NO, beesReversing: YES }]],
    'laying-workers',
  ],
  [
    'several eggs, mostly on cell floors, loud, reversing, no brood: the floor does not exclude them',
    WITHOUT,
    [
      [
        35,
        {
          eggs: eggs('several', 'bottom'),
          olderLarvae: NO,
          cappedBrood: NO,
          queen: NO,
          beesReversing: YES,
          mood: 'roaring',
        },
      ],
    ],
    'laying-workers',
  ],
  [
    'scattered domed caps, several eggs',
    WITHOUT,
    [[45, { eggs: eggs('several'), cappedBrood: caps('domed', 'scattered'), queen: NO }]],
    'laying-workers',
  ],
  [
    'no cells on day 7, several eggs on day 33',
    WITHOUT,
    [
      [7, { eggs: NO, cells: NO }],
      [33, { eggs: eggs('several', 'walls'), queen: NO }],
    ],
    'laying-workers',
  ],
  [
    'a virgin, and no eggs four weeks after she came out',
    WITHOUT,
    [[40, { eggs: NO, olderLarvae: NO, cappedBrood: NO, cells: NO, queen: queen('slim') }]],
    'virgin',
  ],
  [
    'no brood at all on day 28, roaring, no queen',
    WITHOUT,
    [
      [7, { eggs: NO, cells: NO }],
      [24, { eggs: NO, olderLarvae: NO, cappedBrood: NO, queen: NO, mood: 'roaring' }],
    ],
    'hopeless',
  ],
  [
    'cells, then nothing by day 31 with a careful search',
    WITHOUT,
    [
      [7, { cells: cells('capped') }],
      [29, { eggs: NO, olderLarvae: NO, cappedBrood: NO, queen: NO, mood: 'roaring', pollen: NO }],
    ],
    'hopeless',
  ],
  // A colony that was never parted.
  ['eggs', NEVER_SPLIT, [[0, { eggs: eggs() }]], 'laying'],
  [
    'eggs, larvae, flat caps',
    NEVER_SPLIT,
    [[0, { eggs: eggs(), olderLarvae: YES, cappedBrood: caps('flat') }]],
    'laying',
  ],
  [
    'brood but eggs not looked for',
    NEVER_SPLIT,
    [[0, { olderLarvae: YES, cappedBrood: caps('flat') }]],
    'laying',
  ],
  ['nothing looked for', NEVER_SPLIT, [[0, {}]], 'laying'],
  [
    'patchy brood with larvae in the open cells: off-phase, not failing',
    NEVER_SPLIT,
    [[0, { eggs: eggs(), olderLarvae: YES, cappedBrood: caps('flat', 'scattered') }]],
    'laying',
  ],
  [
    'swarm cells beside eggs',
    NEVER_SPLIT,
    [[0, { eggs: eggs(), cells: cells('charged', 4), cappedBrood: caps('flat') }]],
    'laying',
  ],
  [
    'queen seen, no eggs, no brood: honey-bound or dearth',
    NEVER_SPLIT,
    [[0, { eggs: NO, olderLarvae: NO, cappedBrood: NO, queen: queen('long') }]],
    'not-laying',
  ],
  [
    'queen seen, no eggs and no larvae, no cells',
    NEVER_SPLIT,
    [[0, { eggs: NO, olderLarvae: NO, cells: NO, queen: queen('long') }]],
    'not-laying',
  ],
  [
    'domed caps in worker cells, single eggs, queen seen',
    NEVER_SPLIT,
    [[0, { eggs: eggs('one', 'bottom'), cappedBrood: caps('domed', 'compact'), queen: queen() }]],
    'drone-layer',
  ],
  [
    'several eggs on walls, scattered domed caps, no queen',
    NEVER_SPLIT,
    [
      [
        0,
        {
          eggs: eggs('several', 'walls'),
          cappedBrood: caps('domed', 'scattered'),
          queen: NO,
          beesReversing: YES,
        },
      ],
    ],
    'laying-workers',
  ],
  [
    'no eggs, no larvae, capped brood left, roaring, no queen',
    NEVER_SPLIT,
    [[0, { eggs: NO, youngLarvae: NO, olderLarvae: NO, queen: NO, mood: 'roaring', pollen: NO, cells: NO }]],
    'hopeless',
  ],
  [
    'cells capped, no eggs, no larvae',
    NEVER_SPLIT,
    [[0, { eggs: NO, olderLarvae: NO, cells: cells('capped', 2), queen: NO }]],
    'cells',
  ],
  // Misleading evidence.
  [
    'pollen alone proves nothing against hopeless',
    WITHOUT,
    [[8, { eggs: NO, cells: NO, olderLarvae: NO, pollen: YES }]],
    'hopeless',
  ],
  ['calm bees do not make a queen', WITHOUT, [[9, { eggs: NO, cells: NO, mood: 'calm' }]], 'hopeless'],
  [
    'no queen seen beside flat brood is no loss',
    NEVER_SPLIT,
    [[0, { eggs: eggs(), cappedBrood: caps('flat'), queen: NO }]],
    'laying',
  ],
  [
    'a roaring hive with eggs on day 7 has its queen',
    BLIND,
    [[7, { eggs: eggs('one', 'bottom'), cells: NO, mood: 'roaring' }]],
    'laying',
  ],
  [
    'two eggs in some cells soon after the first: a young queen',
    WITHOUT,
    [
      [7, { cells: cells('capped') }],
      [23, { eggs: eggs('several', 'bottom'), queen: queen('long'), cappedBrood: NO }],
    ],
    'newly-laying',
  ],
  [
    'no eggs on the three of ten frames that were read says little',
    NEVER_SPLIT,
    [[0, { eggs: NO }, [3, 10]]],
    'laying',
  ],
  [
    'no cell on three of four frames on day 4: larvae may still be used',
    WITHOUT,
    [[4, { eggs: NO, youngLarvae: YES, cells: NO }, [3, 4]]],
    'cells',
  ],
  [
    'old capped brood on day 15 is the old queen’s',
    WITHOUT,
    [
      [7, { cells: cells('capped') }],
      [15, { eggs: NO, cappedBrood: caps('flat') }],
    ],
    'virgin',
  ],
  [
    'drone brood beside worker brood is usual',
    NEVER_SPLIT,
    [[0, { eggs: eggs(), olderLarvae: YES, cappedBrood: caps('both') }]],
    'laying',
  ],
  ['a cup or two is no cell', BLIND, [[7, { eggs: eggs(), cells: cells('cup', 2) }]], 'laying'],
  [
    'one late miss among proofs',
    WITHOUT,
    [
      [36, { eggs: eggs(), cappedBrood: caps('flat') }],
      [43, { eggs: NO, olderLarvae: YES, cappedBrood: caps('flat') }],
    ],
    'laying',
  ],
];

describe('the leading state', () => {
  it.each(CASES)('%s', (_name, queenHere, looks, state) => {
    const belief = believe(queenHere, looks);
    expect(belief.leading).toBe(state);
  });

  it('is told with chances that come to one, and a rival beside it', () => {
    for (const [, queenHere, looks] of CASES) {
      const { odds, rival, chance } = believe(queenHere, looks);
      expect(QUEEN_STATES.reduce((s, k) => s + odds[k], 0)).toBeCloseTo(1, 9);
      expect(rival.chance).toBeLessThanOrEqual(chance);
    }
  });
});

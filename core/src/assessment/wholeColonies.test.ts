import { describe, expect, it } from 'vitest';
import { bothSides, type Contents, type FrameReading } from '../comb/contents.ts';
import { wrongIn, type Judgement } from '../testing/judgement.ts';
import { caps, cells, cellsOf, eggs, NO, queen, YES } from '../testing/queenLooks.ts';
import { honey, NEST, QUEENLESS } from '../testing/scene.ts';

const DAY = '2026-05-14';
const BEFORE = '2026-05-04';
const comb = (contents: Contents, bees: number): FrameReading => bothSides(contents, bees);
const brood = (bees = 8) => comb({ eggs: 1, open: 2, capped: 4, honey: 2, beeBread: 1 }, bees);
const bare = (bees = 7) => comb({ drawn: 8, honey: 2 }, bees);
const STRONG = [honey, ...Array.from({ length: 8 }, () => brood(10)), honey];
const WEAK = [honey, comb({ eggs: 1, open: 2, capped: 2, honey: 2, drawn: 3 }, 4), honey];
const NONE = { youngLarvae: NO, olderLarvae: NO, cappedBrood: NO } as const;
const WELL = { eggs: eggs(), queen: queen('long'), diseaseSigns: NO, cells: NO } as const;
const ENDS = /unite it|shake it out|give a mated queen|comb of eggs today/i;
const GOOD = [
  'boost-brood',
  'boost-nurses',
  'combine',
  'swap-stands',
  'give-queen',
  'give-cell',
  'shake-out',
];

// Judgements: common practice, no source; days of development: Winston 1987 (as remembered).

const QUEENS: readonly Judgement[] = [
  {
    name: 'no eggs, a queen seen, and hardly a cell to lay in: room for her, no new queen',
    combs: [honey, honey, comb({ capped: 3, honey: 7 }, 8), comb({ capped: 2, honey: 8 }, 8), honey],
    counted: '2026-05-13',
    looks: [
      [
        DAY,
        {
          eggs: NO,
          youngLarvae: NO,
          olderLarvae: NO,
          queen: queen('long'),
          cappedBrood: caps('flat'),
          cells: NO,
        },
      ],
    ],
    finding: ['unclear'],
    board: /empty comb beside the brood/,
    first: ['free-queen'],
    never: ENDS,
  },
  {
    name: 'six capped cells, no egg on any comb, no queen found: it has swarmed, nothing is left to forestall',
    combs: STRONG,
    counted: BEFORE,
    looks: [
      [DAY, { eggs: NO, youngLarvae: NO, cells: cells('capped', 6), queen: NO, cappedBrood: caps('flat') }],
    ],
    never: /act today|Split it today/,
    notOffered: ['give-queen', 'give-cell', 'shake-out'],
  },
  {
    name: 'an emerged cell, no eggs, a whole colony: a virgin, and nothing is put in her place',
    combs: STRONG,
    counted: BEFORE,
    looks: [
      [DAY, { eggs: NO, youngLarvae: NO, cells: cells('emerged', 2), queen: NO, cappedBrood: caps('flat') }],
    ],
    finding: ['virgin-or-mating'],
    says: /trap-door/,
    notOffered: ['give-queen', 'give-cell', 'combine', 'shake-out'],
    never: ENDS,
  },
  {
    name: 'the same a week later: it stays shut, on every page',
    combs: STRONG,
    counted: BEFORE,
    looks: [
      [DAY, { eggs: NO, youngLarvae: NO, cells: cells('emerged', 2), queen: NO, cappedBrood: caps('flat') }],
    ],
    on: '2026-05-20',
    list: ['mustNot'],
    divides: false,
  },
  {
    name: 'eggs and one open cell, with room for all: it replaces its queen, the cell stays',
    counted: BEFORE,
    combs: WEAK,
    looks: [[DAY, { eggs: eggs(), cells: cells('open', 1), queen: queen('long') }]],
    finding: ['has-queen'],
    says: /replace its queen/,
    board: /replace its queen/,
    list: ['may'],
    never: /act today|Split it/,
  },
  {
    name: 'eggs and eight charged cells in a strong colony: act before they are capped',
    combs: STRONG,
    counted: BEFORE,
    looks: [[DAY, { eggs: eggs(), cells: cells('charged', 8), queen: queen('long') }]],
    board: /Swarm cells: act by/,
    list: ['must'],
    divides: true,
  },
  {
    name: 'cups without larvae are no swarm cells',
    combs: STRONG,
    counted: BEFORE,
    looks: [[DAY, { eggs: eggs(), cells: cells('cup', 6), queen: queen('long') }]],
    finding: ['has-queen'],
    never: /swarm cells/i,
  },
  {
    name: 'swarm cells of two days ago, torn down today: no alarm any more',
    combs: STRONG,
    counted: BEFORE,
    looks: [
      ['2026-05-12', { eggs: eggs(), cells: cells('charged', 6) }],
      [DAY, { eggs: eggs(), cells: NO, queen: queen('long') }],
    ],
    never: /swarm cells/i,
  },
  {
    name: 'eggs on walls beside a long queen: two stories, and neither is acted on',
    counted: BEFORE,
    looks: [
      [
        DAY,
        {
          eggs: eggs('several', 'walls'),
          queen: queen('long'),
          cappedBrood: caps('both', 'scattered'),
          cells: NO,
        },
      ],
    ],
    finding: ['unclear'],
    says: /box by box/,
    notOffered: ['give-queen', 'give-cell', 'combine', 'shake-out'],
  },
  {
    name: 'one comb in ten read and no eggs on it: nothing is said of her',
    looks: [[DAY, { eggs: NO, cells: NO }, [1, 10]]],
    never: ENDS,
    notOffered: ['give-queen', 'shake-out'],
  },
  {
    name: 'no eggs but small larvae in May: a layer within five days, no alarm',
    counted: BEFORE,
    looks: [[DAY, { eggs: NO, youngLarvae: YES, olderLarvae: YES, cappedBrood: caps('flat'), cells: NO }]],
    never: ENDS,
    notOffered: ['give-queen', 'give-cell', 'shake-out'],
  },
  {
    name: 'nothing at all in June, every comb read: a comb of eggs tells and helps',
    combs: [honey, bare(), bare(), honey],
    counted: '2026-06-01',
    strong: true,
    looks: [['2026-06-10', { eggs: NO, cells: NO, queen: NO, ...NONE }]],
    board: /comb of eggs/,
    list: ['must'],
    first: ['test-frame'],
    notOffered: ['boost-brood', 'boost-nurses'],
  },
  {
    name: 'a roar and no queen found, but eggs: she is there',
    counted: BEFORE,
    looks: [[DAY, { eggs: eggs(), mood: 'roaring', queen: NO, cells: NO }]],
    finding: ['has-queen'],
    never: /laying workers|queenless/i,
  },
  {
    name: 'domed caps in a compact patch and single eggs, no queen found: a drone layer is not called good',
    counted: BEFORE,
    looks: [[DAY, { eggs: eggs(), cappedBrood: caps('domed', 'compact'), queen: NO, cells: NO }]],
    notOffered: ['boost-brood'],
    never: /A queen is laying$/m,
  },
  {
    name: 'pollen comes in, and nobody looked inside: no verdict',
    looks: [[DAY, { pollen: YES }, [0, 10]]],
    finding: ['unclear'],
    never: ENDS,
  },
  {
    name: 'eggs and a slim queen: not taken for a virgin',
    counted: BEFORE,
    looks: [[DAY, { eggs: eggs(), queen: queen('slim'), cells: NO, youngLarvae: YES }]],
    finding: ['has-queen'],
    never: ENDS,
  },
];

const WEAK_ONES: readonly Judgement[] = [
  {
    name: 'weak, well, warm nights: brood or bees, with a giver that can spare it',
    combs: WEAK,
    strong: true,
    looks: [['2026-05-10', WELL]],
    first: ['boost-brood', 'boost-nurses'],
  },
  {
    name: 'weak, well, cold nights: bees before brood',
    combs: WEAK,
    strong: true,
    coldNights: true,
    looks: [['2026-05-10', WELL]],
    first: ['boost-nurses'],
  },
  {
    name: 'weak and no giver: it is watched, made smaller or united, and never given what nobody has',
    combs: WEAK,
    looks: [['2026-05-10', WELL]],
    notOffered: ['boost-brood', 'boost-nurses', 'swap-stands'],
  },
  {
    name: 'weak under a queen in her fifth season: she is replaced before anything is spent on it',
    combs: WEAK,
    strong: true,
    bornIn: 2022,
    looks: [['2026-05-10', WELL]],
    first: ['give-queen', 'combine'],
    notOffered: ['boost-brood', 'boost-nurses'],
  },
  {
    name: 'weak under a queen of last year: she stays',
    combs: WEAK,
    strong: true,
    bornIn: 2025,
    looks: [['2026-05-10', WELL]],
    notOffered: ['give-queen', 'give-cell', 'test-frame', 'shake-out'],
  },
  {
    name: 'weak in mid September: it cannot build up any more, and is united',
    combs: WEAK,
    counted: '2026-09-14',
    strong: true,
    looks: [['2026-09-15', WELL]],
    first: ['combine'],
    notOffered: ['boost-brood', 'boost-nurses'],
  },
  {
    name: 'scattered brood, queen seen, four frames: watched with a test and a date',
    combs: [
      honey,
      comb({ open: 2, capped: 2, honey: 3, drawn: 3 }, 6),
      comb({ open: 2, capped: 2, honey: 3, drawn: 3 }, 6),
      honey,
    ],
    looks: [['2026-05-10', { eggs: eggs(), queen: queen('long'), cappedBrood: caps('flat', 'scattered') }]],
    board: /inspect again on Sun 17 May/,
    first: ['watch'],
    never: ENDS,
  },
  {
    name: 'stands are not changed where no nectar comes in',
    combs: WEAK,
    strong: true,
    looks: [['2026-05-10', WELL]],
    notOffered: ['swap-stands'],
  },
  {
    name: 'a hopeless colony beside a strong one: eggs, a queen or a union, and no boost',
    combs: QUEENLESS,
    lostOn: '2026-05-04',
    strong: true,
    looks: [[8, { eggs: NO, cells: NO, youngLarvae: NO, olderLarvae: NO, cappedBrood: caps('flat') }]],
    first: ['test-frame', 'give-cell', 'give-queen', 'combine'],
    notOffered: ['boost-brood', 'boost-nurses', 'shrink'],
  },
  {
    name: 'laying workers beside a weak colony only: it is not shaken out before it',
    combs: [honey, bare(6), honey],
    lostOn: '2026-04-01',
    counted: '2026-05-09',
    looks: [
      [
        '2026-05-10',
        {
          eggs: eggs('several', 'walls'),
          beesReversing: YES,
          mood: 'roaring',
          queen: NO,
          cells: NO,
          cappedBrood: caps('domed', 'scattered'),
        },
      ],
    ],
    finding: ['laying-workers'],
    notOffered: ['shake-out', 'combine', 'give-queen', 'give-cell', 'shrink', 'watch'],
  },
  {
    name: 'laying workers beside a strong colony: shaken out before it',
    combs: [honey, bare(6), honey],
    lostOn: '2026-04-01',
    counted: '2026-05-09',
    strong: true,
    looks: [
      [
        '2026-05-10',
        {
          eggs: eggs('several', 'walls'),
          beesReversing: YES,
          queen: NO,
          cells: NO,
          cappedBrood: caps('domed', 'scattered'),
        },
      ],
    ],
    first: ['shake-out', 'combine'],
    notOffered: ['give-queen', 'give-cell', 'boost-brood', 'shrink'],
  },
  {
    name: 'brood drying out, not looked over: nothing at all goes in or out',
    combs: WEAK,
    strong: true,
    looks: [['2026-05-10', { eggs: eggs(), dryingBrood: YES, queen: queen('long') }]],
    notOffered: GOOD,
    board: /disease/i,
  },
  {
    name: 'brood drying out and clean: nurse bees first',
    combs: WEAK,
    strong: true,
    looks: [['2026-05-10', { ...WELL, dryingBrood: YES }]],
    first: ['boost-nurses'],
    notOffered: ['boost-brood'],
  },
];

const HEALTH_AND_TIME: readonly Judgement[] = [
  {
    name: 'ropy larvae in a strong colony: no way to divide it, nothing from it or to it',
    combs: STRONG,
    looks: [['2026-05-10', { ...WELL, diseaseSigns: { look: 'found', signs: ['ropy'] } }]],
    finding: ['sick'],
    board: /Disease suspected/,
    divides: false,
    notOffered: [...GOOD, 'watch', 'let-go'],
  },
  {
    name: 'signs of disease beside swarm cells: the disease rules',
    combs: STRONG,
    looks: [
      [
        '2026-05-10',
        { eggs: eggs(), cells: cells('capped', 5), diseaseSigns: { look: 'found', signs: ['smell'] } },
      ],
    ],
    board: /Disease suspected/,
    never: /Swarm cells: act|Split it/,
    divides: false,
  },
  {
    name: 'found clean in the morning, ropy in the afternoon: what was found is there',
    looks: [
      ['2026-05-10', { ...WELL }],
      ['2026-05-10', { diseaseSigns: { look: 'found', signs: ['ropy'] } }],
    ],
    board: /Disease suspected/,
    notOffered: GOOD,
  },
  {
    name: 'ropy in the morning, an inspection that did not look for it in the afternoon: it stands',
    looks: [
      ['2026-05-10', { diseaseSigns: { look: 'found', signs: ['ropy'] } }],
      ['2026-05-10', { eggs: eggs(), queen: queen('long') }],
    ],
    board: /Disease suspected/,
  },
  {
    name: 'robbers: close it, open nothing, on every page',
    combs: STRONG,
    looks: [['2026-07-25', { eggs: eggs(), robbing: YES }]],
    counted: '2026-07-20',
    says: /Close it now/,
    board: /Robbed: small entrance, open nothing/,
    list: ['mustNot'],
    divides: false,
    notOffered: GOOD,
  },
  {
    name: 'robbers of last week keep nothing shut any more',
    combs: STRONG,
    counted: '2026-07-20',
    looks: [['2026-07-25', { eggs: eggs(), robbing: YES }]],
    on: '2026-08-01',
    never: /Robbed/,
  },
  {
    name: 'November: shut, and nothing is divided, united or looked into',
    combs: STRONG,
    counted: '2026-11-01',
    looks: [['2026-11-02', { eggs: NO, ...NONE, cells: NO }]],
    board: /winter/i,
    list: ['mustNot'],
    divides: false,
    notOffered: GOOD,
    never: ENDS,
  },
  {
    name: 'late September without eggs: nobody raises or buys a queen on the strength of that',
    counted: '2026-09-14',
    looks: [['2026-09-24', { eggs: NO, youngLarvae: NO, cappedBrood: caps('flat'), cells: NO }]],
    notOffered: ['give-queen', 'give-cell', 'shake-out'],
    never: /comb of eggs today/i,
  },
  {
    name: 'early July, strong and well: it can be divided',
    combs: STRONG,
    counted: '2026-06-25',
    looks: [['2026-07-01', WELL]],
    divides: true,
  },
  {
    name: 'a colony of three frames in May: no way to divide it',
    combs: WEAK,
    looks: [['2026-05-10', WELL]],
    divides: false,
  },
];

const PARTS: readonly Judgement[] = [
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
      [34, { eggs: NO, cells: NO, queen: queen('slim'), ...NONE }],
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

describe('whole colonies', () => {
  it.each(QUEENS)('$name', (c) => {
    expect(wrongIn(c)).toEqual([]);
  });
});

describe('weak colonies', () => {
  it.each(WEAK_ONES)('$name', (c) => {
    expect(wrongIn(c)).toEqual([]);
  });
});

describe('health, robbers and the time of year', () => {
  it.each(HEALTH_AND_TIME)('$name', (c) => {
    expect(wrongIn(c)).toEqual([]);
  });
});

describe('parts that raise a queen', () => {
  it.each(PARTS)('$name', (c) => {
    expect(wrongIn(c)).toEqual([]);
  });
});

import { describe, expect, it } from 'vitest';
import { bare, comb, ENDS, MOVES, WEAK, WELL } from '../testing/judgedColonies.ts';
import { wrongIn, type Judgement } from '../testing/judgement.ts';
import { caps, eggs, NO, queen, YES } from '../testing/queenLooks.ts';
import { honey, QUEENLESS } from '../testing/scene.ts';

// Judgements: common practice, no source; days of development: Winston 1987 (as remembered).
const CASES: readonly Judgement[] = [
  {
    name: 'weak, well, warm nights: brood or bees, with a donor that can spare it',
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
    name: 'weak and no donor: it is watched, made smaller or united, and never given what nobody has',
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
    notOffered: MOVES,
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

describe('weak colonies', () => {
  it.each(CASES)('$name', (c) => {
    expect(wrongIn(c)).toEqual([]);
  });
});

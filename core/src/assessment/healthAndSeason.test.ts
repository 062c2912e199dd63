import { describe, expect, it } from 'vitest';
import { ENDS, MOVES, NO_BROOD, STRONG, WEAK, WELL } from '../testing/judgedColonies.ts';
import { wrongIn, type Judgement } from '../testing/judgement.ts';
import { caps, cells, eggs, NO, queen, YES } from '../testing/queenLooks.ts';

// Judgements: common practice, no source; days of development: Winston 1987 (as remembered).
const CASES: readonly Judgement[] = [
  {
    name: 'ropy larvae in a strong colony: no way to divide it, nothing from it or to it',
    combs: STRONG,
    looks: [['2026-05-10', { ...WELL, diseaseSigns: { look: 'found', signs: ['ropy'] } }]],
    finding: ['sick'],
    board: /Disease suspected/,
    divides: false,
    notOffered: [...MOVES, 'watch', 'let-go'],
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
    notOffered: MOVES,
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
    notOffered: MOVES,
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
    looks: [['2026-11-02', { eggs: NO, ...NO_BROOD, cells: NO }]],
    board: /winter/i,
    list: ['mustNot'],
    divides: false,
    notOffered: MOVES,
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

describe('health, robbers and the time of year', () => {
  it.each(CASES)('$name', (c) => {
    expect(wrongIn(c)).toEqual([]);
  });
});

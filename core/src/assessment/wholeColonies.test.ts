import { describe, expect, it } from 'vitest';
import { bare, comb, ENDS, NO_BROOD, STRONG, WEAK } from '../testing/judgedColonies.ts';
import { wrongIn, type Judgement } from '../testing/judgement.ts';
import { caps, cells, eggs, NO, queen, YES } from '../testing/queenLooks.ts';
import { honey } from '../testing/scene.ts';

const DAY = '2026-05-14';
const BEFORE = '2026-05-04';

// Judgements: common practice, no source; days of development: Winston 1987 (as remembered).
const CASES: readonly Judgement[] = [
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
    looks: [['2026-06-10', { eggs: NO, cells: NO, queen: NO, ...NO_BROOD }]],
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

describe('whole colonies', () => {
  it.each(CASES)('$name', (c) => {
    expect(wrongIn(c)).toEqual([]);
  });
});

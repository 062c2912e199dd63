import { describe, expect, it } from 'vitest';
import { addDays, type Day } from '../basics/day.ts';
import { DISEASE_SIGNS } from '../records/bodies/evidence.ts';
import {
  BLIND,
  caps,
  cells,
  eggs,
  LOST,
  NEVER_SPLIT,
  NO,
  on,
  queen,
  read,
  WITHOUT,
  YES,
  type Looks,
  cellsOf,
} from '../testing/queenLooks.ts';
import { queenAction, type QueenAction } from './queenAction.ts';
import { queenBelief } from './queenOdds.ts';
import type { QueenStateName } from '../rules/queenStates.ts';

/** Frosts in mid-October: a queen must lay by 19 August. */
const LAST = '2026-08-19';

function next(queenHere: number | null, looks: Looks, after = 0, lastForWinterBees: Day = LAST) {
  const before = {
    separatedOn: queenHere === null ? null : LOST,
    emergence: null,
    queenHere: queenHere ?? 1,
  };
  const dated = looks.map(([d, said, part]) => ({ day: on(d), seen: read(said, part) }));
  const day = addDays(dated.at(-1)?.day ?? LOST, after);
  const belief = queenBelief(before, dated, day);
  return { state: belief.leading, ...queenAction(belief, before, dated, day, lastForWinterBees) };
}

describe('a part of which nobody has seen that it has a queen', () => {
  it('is looked at for eggs, likely as they are; once any brood of hers was seen it is not', () => {
    // Cells on day 7, and nobody since: on day 45 she lays, most likely.
    const unseen = next(0, [[7, { eggs: NO, cells: cells('capped', 2) }]], 38);
    expect(unseen).toMatchObject({ state: 'laying', id: 'look', what: 'Look for eggs' });
    expect(unseen.why).toContain('nobody has looked');
    const seen = next(
      0,
      [
        [7, { eggs: NO, cells: cells('capped', 2) }],
        [30, { cappedBrood: caps('flat') }],
      ],
      4,
    );
    expect(seen.what).not.toBe('Look for eggs');
  });
});

interface Case {
  readonly name: string;
  readonly queenHere: number | null;
  readonly looks: Looks;
  readonly state: QueenStateName | null;
  readonly action: QueenAction['id'];
  readonly says?: RegExp;
  readonly last?: Day;
}

/** What the keeper sees and what is right to do, after the usual judgement (common practice, no source). */
const CASES: readonly Case[] = [
  {
    name: 'd7, eggs and no cells: she is here',
    queenHere: BLIND,
    looks: [[7, { eggs: eggs(), cells: NO }]],
    state: 'laying',
    action: 'leave',
    says: /Weekly/,
  },
  {
    name: 'd7, six cells and no eggs: it raises one; leave the cells',
    queenHere: BLIND,
    looks: [[7, { eggs: NO, cells: cells('open', 6) }]],
    state: 'cells',
    action: 'leave',
    says: /Leave it shut/,
  },
  {
    name: 'd2, eggs: looked too soon, it decides nothing',
    queenHere: BLIND,
    looks: [[2, { eggs: eggs() }]],
    state: null,
    action: 'look',
    says: /from/,
  },
  {
    name: 'd7, capped brood only, no cells, no eggs, restless: hopeless',
    queenHere: WITHOUT,
    looks: [[7, { eggs: NO, cells: NO, cappedBrood: caps('flat'), olderLarvae: NO, mood: 'restless' }]],
    state: 'hopeless',
    action: 'test-frame',
    says: /comb of eggs today/,
  },
  {
    name: 'd4, three of four frames read, small larvae, no cells: read the last one',
    queenHere: WITHOUT,
    looks: [[4, { eggs: NO, cells: NO, youngLarvae: YES }, [3, 4]]],
    state: null,
    action: 'look',
    says: /Read the rest/,
  },
  {
    name: 'd3, two capped cells and five open: the capped ones go',
    queenHere: WITHOUT,
    looks: [
      [
        3,
        {
          cells: cellsOf(['capped', 2], ['open', 5]),
        },
      ],
    ],
    state: 'cells',
    action: 'cut-early-cells',
    says: /Break the 2 capped, leave the 5 open/,
  },
  {
    name: 'd6, three capped cells, nobody looked before: do not cull blind',
    queenHere: WITHOUT,
    looks: [[6, { eggs: NO, cells: cells('capped', 3) }]],
    state: 'cells',
    action: 'leave',
  },
  {
    name: 'd12, a cell has opened: a virgin is loose, cut nothing',
    queenHere: WITHOUT,
    looks: [
      [
        12,
        {
          eggs: NO,
          cells: cellsOf(['emerged', 1], ['capped', 4]),
        },
      ],
    ],
    state: 'virgin',
    action: 'leave',
    says: /Cut nothing/,
  },
  {
    name: 'first eggs: probable, mark her, caps prove it',
    queenHere: WITHOUT,
    looks: [
      [7, { eggs: NO, cells: cells('capped', 3) }],
      [26, { eggs: eggs('one', 'bottom'), queen: queen('long') }],
    ],
    state: 'newly-laying',
    action: 'look',
    says: /Mark her/,
  },
  {
    name: 'a virgin 28 days after emergence in late August: stop and unite',
    queenHere: WITHOUT,
    looks: [
      [12, { cells: cells('emerged', 1) }],
      [41, { eggs: NO, queen: queen('slim'), cells: NO, cappedBrood: NO }],
    ],
    state: 'virgin',
    action: 'combine',
    says: /Stop/,
    last: '2026-06-05',
  },
  {
    name: 'the same in June: a mated queen, or a union',
    queenHere: WITHOUT,
    looks: [
      [12, { cells: cells('emerged', 1) }],
      [41, { eggs: NO, queen: queen('slim'), cells: NO, cappedBrood: NO }],
    ],
    state: 'virgin',
    action: 'give-queen',
  },
  {
    name: 'd35, several eggs, reversing, louder after smoke, no queen: laying workers',
    queenHere: WITHOUT,
    looks: [
      [
        35,
        {
          eggs: eggs('several', 'bottom'),
          queen: NO,
          cappedBrood: NO,
          olderLarvae: NO,
          mood: 'roaring',
          beesReversing: YES,
        },
      ],
    ],
    state: 'laying-workers',
    action: 'shake-out',
    says: /strong/,
  },
  {
    name: 'a compact patch of domed caps, one egg a cell, a small queen: drone layer',
    queenHere: WITHOUT,
    looks: [
      [48, { eggs: eggs('one', 'bottom'), cappedBrood: caps('domed', 'compact'), queen: queen('slim') }],
    ],
    state: 'drone-layer',
    action: 'give-queen',
    says: /take her out/,
  },
  {
    name: 'larvae drying and signs of disease: isolate',
    queenHere: NEVER_SPLIT,
    looks: [[1, { eggs: eggs(), diseaseSigns: { look: 'found', signs: [DISEASE_SIGNS[0]] } }]],
    state: null,
    action: 'isolate',
    says: /inspector/,
  },
  {
    name: 'never split, the queen seen, no eggs: barred or idle; room first',
    queenHere: NEVER_SPLIT,
    looks: [[1, { eggs: NO, queen: queen('long'), youngLarvae: NO }]],
    state: 'not-laying',
    action: 'free-queen',
  },
  {
    name: 'never split, eggs and larvae in order: nothing to do',
    queenHere: NEVER_SPLIT,
    looks: [[1, { eggs: eggs('one', 'bottom'), youngLarvae: YES, cappedBrood: caps('flat', 'compact') }]],
    state: 'laying',
    action: 'leave',
  },
  {
    name: 'a virgin seen on d16: leave her, do not search',
    queenHere: WITHOUT,
    looks: [[16, { eggs: NO, queen: queen('slim'), cells: cells('emerged', 1) }]],
    state: 'virgin',
    action: 'leave',
  },
  {
    name: 'hopeless in September: no more trying, unite',
    queenHere: WITHOUT,
    looks: [[9, { eggs: NO, cells: NO, olderLarvae: NO, cappedBrood: caps('flat'), mood: 'roaring' }]],
    state: 'hopeless',
    action: 'combine',
    last: '2026-05-10',
  },
  {
    name: 'patchy brood with larvae in the open cells is off phase, not failing',
    queenHere: NEVER_SPLIT,
    looks: [
      [
        1,
        {
          eggs: eggs('one', 'bottom'),
          youngLarvae: YES,
          olderLarvae: YES,
          cappedBrood: caps('flat', 'scattered'),
        },
      ],
    ],
    state: 'laying',
    action: 'leave',
  },
  {
    name: 'one look with nothing looked for decides nothing',
    queenHere: BLIND,
    looks: [[7, { pollen: YES }]],
    state: null,
    action: 'look',
  },
];

/** A part in which one open cell was chosen on the day it was made. */
function withChosen(d: number, found: NonNullable<Looks[number]>[1]) {
  const before = {
    separatedOn: LOST,
    emergence: { earliest: on(9), likely: on(11), latest: on(12) },
    queenHere: 0,
  };
  const dated = [{ day: on(d), seen: read(found) }];
  return queenAction(queenBelief(before, dated, on(d)), before, dated, on(d), LAST);
}

describe('a part with a chosen cell', () => {
  const both = (capped: number, open: number) => ({
    eggs: NO,
    cells: {
      look: 'found' as const,
      cells: [
        ...(capped > 0 ? [{ kind: 'capped' as const, count: capped }] : []),
        ...(open > 0 ? [{ kind: 'open' as const, count: open }] : []),
      ],
    },
  });

  it('d7, capped, five emergency cells beside it: all five go, its comb is not shaken', () => {
    const { id, what, why } = withChosen(7, both(1, 5));
    expect(id).toBe('cut-cells');
    expect(what).toContain('cut the other 5');
    expect(why).toContain('every comb but its own');
  });

  it('d7, none capped: it failed; the best of the others is kept', () => {
    const { id, what } = withChosen(7, both(0, 4));
    expect(id).toBe('leave');
    expect(what).toContain('keep the best of the others');
  });

  it('d12: nothing is cut by sight any more', () => {
    expect(withChosen(12, both(3, 0)).id).not.toBe('cut-cells');
  });
});

describe('the next thing to do about a queen', () => {
  it.each(CASES)('$name', ({ queenHere, looks, state, action, says, last }) => {
    const found = next(queenHere, looks, 0, last);
    expect(found.id).toBe(action);
    expect(found.state).toBe(state ?? found.state);
    expect(found.what).toMatch(says ?? /./);
    expect(found.why.length).toBeGreaterThan(10);
  });

  it('never asks for a look that is past', () => {
    for (let d = 1; d < 40; d++) {
      const { id, on: day } = next(WITHOUT, [[d, { eggs: NO }]]);
      expect(id === 'look' ? day >= on(d) : true).toBe(true);
    }
  });

  it('does not cull once a queen may be out, whatever the day', () => {
    for (let d = 2; d < 20; d++) {
      const { id } = next(WITHOUT, [
        [
          d,
          {
            cells: cellsOf(['emerged', 1], ['open', 2]),
          },
        ],
      ]);
      expect(['cut-cells', 'cut-early-cells']).not.toContain(id);
    }
  });
});

import type { Day } from '../../basics/index.ts';
import type { Queen, QueenEnd } from '../../records/index.ts';
import type { Draft } from './draft.ts';

/** Ends the record of a queen: she is nowhere any more, and it is known how and since when. */
export function retireQueen(draft: Draft, queen: Queen, day: Day, how: QueenEnd): void {
  const { whereabouts } = queen;
  draft.put('queen', {
    ...queen,
    whereabouts: { known: 'gone' },
    cagedSince: null,
    end: { day, how },
    history: [
      ...queen.history,
      { day, did: how, colonyId: whereabouts.known === 'colony' ? whereabouts.colonyId : null },
    ],
  });
}

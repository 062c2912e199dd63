import type { YardGoal } from '../../records/index.ts';
import { askOfOne, recipeFor, type YardAsk, type YardMethod } from './yardMethod.ts';

/** One colony broken up into as many nucs as it yields, each raising a queen or given one. */
export const breakUp: YardMethod = {
  id: 'break-up',
  name: 'Total break-up',
  aim: 'As many nucs as one colony yields. The old queen stays on the old stand with the least that carries on.',
  season: 'Early in build-up for most colonies by autumn; in a flow it costs the crop of that colony.',
  needs: 'A very strong colony, a box for each nuc, drawn comb and food.',
  shares: 'Every comb above what the old stand must keep goes into nucs, brood and food by the recipe.',
  skips: 'No other colony is touched.',
  goesWrong: [
    {
      what: 'A nuc has no queen cells on day 7',
      wayOut: 'Give it a comb of eggs or a cell, or unite it with its neighbour.',
    },
    {
      what: 'The old stand draws all field bees and is crowded',
      wayOut: 'Give it room, or swap stands with a weak nuc on a flying day.',
    },
    {
      what: 'Cold nights after the day',
      wayOut: 'Narrow each nest with a board, feed, and put nucs side by side on one stand.',
    },
  ],
  fit: (w) =>
    w
      .needs(Math.max(w.rules.strongForHalves, 12), 7)
      .raisesQueen()
      .never(w.now.wantsHoney, 'It ends the crop of this colony.')
      .good(w.now.wanted >= 3, 20, 'Three or more are wanted of one colony.')
      .good(w.now.secondYard && w.now.wanted >= 3, 6, 'A second yard keeps the bees with their units.')
      .bad(w.now.wanted < 3, 12, 'For one or two there are gentler ways.')
      .bad(w.now.season === 'dearth', 10, 'Small units late in the year need much feed and care.'),
  ask: (ask) => ({
    ...askOfOne(ask),
    goals: [
      {
        id: 'makeNucs1',
        kind: 'makeNucs',
        count: null,
        importance: 2,
        recipe: recipeFor('five', {
          sizeId: ask.sizeId,
          // All its brood is shared out, so a nuc may have up to four combs of it, and bees with them.
          broodCombs: { min: 2, max: 4 },
          emptyCombs: 0,
          // The old stand gets all field bees back of what stays near, and needs few: carried away, more units live.
          distance: ask.now.secondYard ? 'away' : 'same-yard',
          queen: ask.now.matedQueens >= 3 ? 'mated' : ask.now.ripeCells >= 3 ? 'cell' : 'raises',
        }),
      },
      ...roomForTheRest(ask),
    ],
  }),
};

/** What stays of a colony whose bees are carried off fits into one box; one that keeps its field bees needs more. */
function roomForTheRest({ colonyId, now }: YardAsk): YardGoal[] {
  if (!now.secondYard || now.broodBoxes < 2) return [];
  return [{ id: 'shrink1', kind: 'shrink', colonyId, boxes: 1, importance: 1 }];
}

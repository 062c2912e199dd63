import { askOfOne, recipeFor, type YardMethod } from './yardMethod.ts';

/** One colony broken up into as many nucs as it yields, its old queen in one of them; nothing stays on its stand. */
export const breakUp: YardMethod = {
  id: 'break-up',
  name: 'Total break-up',
  aim: 'As many nucs as one colony yields, the old queen in one of them. All leave the old stand at dusk, so that each keeps its bees.',
  season: 'Early in build-up for most colonies by autumn; in a flow it costs the crop of that colony.',
  needs: 'A very strong colony, a box for each nuc, drawn comb and food.',
  shares: 'Every comb goes into a nuc: brood of each age, a comb of honey and bee bread in each.',
  skips: 'No other colony is touched.',
  goesWrong: [
    {
      what: 'A nuc has no queen cells on day 7',
      wayOut: 'Give it a comb of eggs or a cell, or unite it with its neighbour.',
    },
    {
      what: 'Bees gather where the old hive stood',
      wayOut: 'Leave no box there. In the evening shake the cluster in front of the weakest nuc.',
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
      .good(w.now.secondYard && w.now.wanted >= 3, 6, 'A second yard keeps the bees with their parts.')
      .bad(w.now.wanted < 3, 12, 'For one or two there are gentler ways.')
      .bad(w.now.season === 'dearth', 10, 'Small colonies late in the year need much feed and care.'),
  ask: (ask) => ({
    ...askOfOne(ask),
    goals: [
      {
        id: 'makeNucs1',
        kind: 'makeNucs',
        count: null,
        importance: 2,
        wholeOfId: ask.colonyId,
        recipe: recipeFor('five', {
          sizeId: ask.sizeId,
          distance: ask.now.secondYard ? 'away' : 'same-yard',
          queen: ask.now.matedQueens >= 3 ? 'mated' : ask.now.ripeCells >= 3 ? 'cell' : 'raises',
        }),
      },
    ],
  }),
};

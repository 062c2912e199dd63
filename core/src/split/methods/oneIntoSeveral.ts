import { askOfOne, recipeFor, type YardMethod } from './yardMethod.ts';

/** One colony into three or four on one site. */
export const oneIntoSeveral: YardMethod = {
  id: 'one-into-several',
  name: 'One into three or four on one site',
  aim: 'Two or three nucs of one strong colony, all in one yard. The old stand gets most field bees back and is given room.',
  season: 'Build-up, once drones fly.',
  needs: 'A strong colony with eggs on several combs, two or three boxes, feed.',
  shares: 'Brood and nurses are shared out; field bees come home to the old stand, which keeps the queen.',
  skips: 'No second yard and no queen bought.',
  goesWrong: [
    {
      what: 'The old stand swarms',
      wayOut: 'It has most bees: give it an empty box at once, and look for cells on day 7.',
    },
    {
      what: 'A nuc is bare of bees the next day',
      wayOut: 'Shake in nurses, two combs of them: field bees have flown home.',
    },
    { what: 'One fails to raise a queen', wayOut: 'Unite it with its neighbour on the decide-by day.' },
  ],
  fit: (w) =>
    w
      .needs(Math.max(w.rules.strongForHalves, 11), 6)
      .raisesQueen()
      .never(w.now.queen === 'gone', 'There is no laying queen, so no eggs for the parts.')
      .good(w.now.wanted === 2 || w.now.wanted === 3, 20, `${w.now.wanted} new colonies of one.`)
      .bad(w.now.wanted === 1, 14, 'For one new colony less has to be moved.')
      .good(!w.now.secondYard, 6, 'No second yard is needed.')
      .bad(w.now.wantsHoney, 16, 'Shared out so far, it brings no crop.'),
  ask: (ask) => ({
    ...askOfOne(ask),
    goals: [
      {
        id: 'makeNucs1',
        kind: 'makeNucs',
        count: Math.max(2, Math.min(3, ask.now.wanted)),
        importance: 2,
        recipe: recipeFor('five', {
          sizeId: ask.sizeId,
          queen: 'raises',
          distance: 'same-yard',
          // Parts of one colony get their bees with more brood combs: a single giver cannot be shaken for all.
          broodCombs: { min: 2, max: 3 },
          emptyCombs: 0,
        }),
      },
    ],
  }),
};

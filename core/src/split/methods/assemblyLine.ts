import { askOfOne, recipeFor, type YardMethod } from './yardMethod.ts';

/** One or several strong colonies broken into small units that are given cells or mated queens. */
export const assemblyLine: YardMethod = {
  id: 'assembly-line',
  name: 'Nucs with cells or mated queens',
  aim: 'Many nucs in one day: four or five frames each, and a ripe cell or a mated queen for every one.',
  season: 'Build-up to midsummer, on the day for which cells or queens are ordered.',
  needs:
    'Ripe cells or mated queens, boxes, a helper to place frames while they are called, a second yard or a dusk move.',
  shares:
    'Each nuc: a full brood comb, a part one, honey, drawn comb, foundation. Parents keep queen, brood, field bees.',
  skips: 'No raising: what is bought or raised elsewhere saves some ten days, a mated queen a month.',
  goesWrong: [
    { what: 'The old queen is not found', wayOut: 'The last box checked has her: give that box no cell.' },
    {
      what: 'Cells arrive a day early',
      wayOut: 'Give them at once, upright and warm; the parts are queenless within hours.',
    },
    {
      what: 'Units dwindle by drift',
      wayOut: 'Carry them beyond 3 km (2 miles), or move all at dusk; shake in nurses.',
    },
  ],
  fit: (w) =>
    w
      .needs(w.rules.strongForNuc, 4)
      .never(w.now.noMated !== null, w.now.noMated ?? '')
      .never(w.now.matedQueens + w.now.ripeCells < 1, 'No cells and no mated queens are at hand.')
      .never(w.now.noRaising !== null && w.now.matedQueens < 1, w.now.noRaising ?? '')
      .never(w.now.season === 'autumn' && w.now.matedQueens < 1, 'Cells need mating weather and drones.')
      .good(
        w.now.matedQueens + w.now.ripeCells >= Math.max(2, w.now.wanted),
        18,
        `${w.now.matedQueens + w.now.ripeCells} queens or cells at hand.`,
      )
      .good(w.now.wanted > 1, 12, 'Several colonies are wanted, and this makes several.')
      .good(w.now.secondYard, 6, 'A second yard keeps the bees with their parts.')
      .bad(w.now.queen === 'not-found', 8, 'Her frame has to be found before a cell goes in.')
      .bad(w.now.cells !== 'none', 10, 'Cells of its own: they would be raised beside those that are given.'),
  ask(ask) {
    const { now } = ask;
    const mated = now.matedQueens >= now.ripeCells;
    const count = Math.max(1, Math.min(now.wanted, mated ? now.matedQueens : now.ripeCells));
    return {
      ...askOfOne(ask),
      // Others of the yard may give as well.
      leftOutIds: [],
      goals: [
        {
          id: 'makeNucs1',
          kind: 'makeNucs',
          count,
          importance: 2,
          recipe: recipeFor('five', {
            sizeId: ask.sizeId,
            queen: mated ? 'mated' : 'cell',
            distance: now.secondYard ? 'away' : 'same-yard',
          }),
        },
      ],
    };
  },
};

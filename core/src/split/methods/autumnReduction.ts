import { dayInWords } from '../../basics/index.ts';
import type { YardGoal } from '../../records/index.ts';
import { raisedQueenLays, tooLateToRaise, type Situation } from '../base/situation.ts';
import { askOfOne, recipeFor, type YardAsk, type YardMethod } from './yardMethod.ts';

/** Frames of bees to a box in damp cold, as a share of its slots (common practice, no source). */
const BEES_PER_SLOT = 0.8;

/** Boxes that so many bees cover in damp cold, from 0 to 15 °C; one at least. */
export function boxesCovered(bees: number, slotsOfBox = 10): number {
  return Math.max(1, Math.round(bees / (slotsOfBox * BEES_PER_SLOT)));
}

/** Drones fly, and a queen raised from today on lays early enough to raise winter bees. */
const raisesInTime = (now: Situation): boolean =>
  now.season !== 'autumn' && now.dronesFly && tooLateToRaise(now) === null;

/** The late nuc: with a mated queen, else with its own where the season is long enough, else none. */
function nucOf({ now, sizeId }: YardAsk): YardGoal[] {
  const queen = now.matedQueens > 0 ? 'mated' : raisesInTime(now) ? 'raises' : null;
  if (queen === null) return [];
  const recipe = recipeFor('five', { sizeId, queen, distance: 'same-yard' });
  return [{ id: 'makeNucs2', kind: 'makeNucs', count: 1, importance: 2, recipe }];
}

/** A tall colony brought down to the boxes its bees cover, and one late nuc of what is over. */
export const autumnReduction: YardMethod = {
  id: 'autumn-reduction',
  name: 'Shrink for winter',
  aim: 'A tall colony goes into the cold in as many boxes as its bees cover; emerging brood that is over makes one late nuc.',
  season: 'Late summer and autumn, before the first damp cold.',
  needs:
    'A colony of two boxes or more; a mated queen for the nuc, unless drones fly and one raised from today on lays in time.',
  shares:
    'The nuc gets emerging and nearly capped brood, bee bread, food and shaken nurses; the colony keeps the rest.',
  skips: 'Empty combs and boxes go to the store instead of being warmed.',
  goesWrong: [
    {
      what: 'Cells in the nuc on day 3',
      wayOut:
        'Capped by then they are of old larvae: remove them and leave the open ones, or all of them where a mated queen goes in.',
    },
    {
      what: 'The nuc is too small for winter',
      wayOut: 'Unite it back over paper before hard frost: nothing is lost.',
    },
    { what: 'Robbing', wayOut: 'Entrance to a finger’s width, or one bee; feed at dusk, inside.' },
  ],
  fit: (w) =>
    w
      .never(w.now.season !== 'autumn' && w.now.season !== 'dearth', 'It is for late summer and autumn.')
      .never(w.now.broodBoxes < 2, 'It stands in one box already.')
      .good(w.now.season === 'autumn', 20, 'The season for it.')
      .good(
        boxesCovered(w.now.bees) < w.now.broodBoxes,
        14,
        `Its ${Math.round(w.now.bees)} frames of bees cover ${boxesCovered(w.now.bees)} of ${w.now.broodBoxes} boxes in damp cold.`,
      )
      .bad(
        boxesCovered(w.now.bees) >= w.now.broodBoxes,
        16,
        `Its ${Math.round(w.now.bees)} frames of bees cover all ${w.now.broodBoxes} boxes.`,
      )
      .bad(
        w.now.matedQueens < 1 && !raisesInTime(w.now),
        12,
        `Without a mated queen there is no nuc: one raised from today on lays about ${dayInWords(raisedQueenLays(w.now))}, and must by ${dayInWords(w.now.lastForWinterBees)}.`,
      )
      .bad(
        w.now.matedQueens < 1 && raisesInTime(w.now),
        6,
        `The nuc can raise its queen: she lays about ${dayInWords(raisedQueenLays(w.now))}, in time until ${dayInWords(w.now.lastForWinterBees)}. A mated one is surer.`,
      ),
  ask: (ask) => ({
    ...askOfOne(ask),
    goals: [
      {
        id: 'shrink1',
        kind: 'shrink',
        colonyId: ask.colonyId,
        boxes: Math.max(1, Math.min(ask.now.broodBoxes - 1, boxesCovered(ask.now.bees))),
        importance: 2,
      },
      ...nucOf(ask),
    ],
  }),
};

import { addDays, type Day, onDay, windowAfter, type Window } from '../basics/index.ts';
import type { NucQueen, FollowUpTopic } from '../records/index.ts';
import { queenCalendar } from '../brood/index.ts';

/** A look or days of rest, before it is filed for a colony. */
export interface LookText {
  readonly topic: FollowUpTopic;
  readonly kind: 'look' | 'hands-off';
  readonly window: Window;
  readonly expect: string;
}

/** A ripe cell is given within one to three days and opens within one to two more. */
export const ripeCellEmergence = (day: Day): Window => windowAfter(day, 2, 3, 5);

const look = (topic: FollowUpTopic, window: Window, expect: string): LookText => ({
  topic,
  kind: 'look',
  window,
  expect,
});
const rest = (from: Day, to: Day, expect: string): LookText => ({
  topic: 'rest',
  kind: 'hands-off',
  window: { earliest: from, likely: from, latest: to },
  expect,
});

/**
 * When to come back to a unit made on a day, by how it gets its queen, and what to expect then.
 *
 * @param dearth - little comes in: queens from old larvae are likelier, and there is no second try
 */
export function newUnitLooks(queen: NucQueen, day: Day, dearth = false): LookText[] {
  switch (queen) {
    case 'raises': {
      const dates = queenCalendar(day);
      return [
        ...(dearth
          ? [
              look(
                'early-capped',
                onDay(dates.earlyCappedLook),
                'Cells capped by now come from old larvae: remove them while open ones stand beside them.',
              ),
            ]
          : []),
        look(
          'surplus-cells',
          dates.surplusCells,
          'Cells are capped, and none can be made any more: leave one or two, or all in a small nuc.',
        ),
        rest(dates.handsOff.from, dates.handsOff.to, 'A virgin emerges, flies and mates. Leave it shut.'),
        look('eggs-due', dates.eggsLook, 'Eggs of the new queen. Feed and room.'),
      ];
    }
    case 'cell': {
      const emergence = ripeCellEmergence(day);
      const dates = queenCalendar(day, emergence);
      return [
        rest(
          emergence.earliest,
          dates.handsOff.to,
          'The cell opens, the virgin flies and mates. Leave it shut.',
        ),
        look('eggs-due', dates.eggsLook, 'Eggs of the new queen.'),
      ];
    }
    case 'mated':
      return [look('rhythm', windowAfter(day, 4, 5, 7), 'She is out of her cage and lays.')];
    case 'old-queen':
      return [look('rhythm', windowAfter(day, 5, 7, 10), 'Eggs and food; no new cells.')];
  }
}

/** A unit made in its yard loses the bees that know the old stand: within two days it shows whether enough have stayed. */
export const beesStay = (name: string, day: Day): LookText =>
  look(
    'bees-stay',
    windowAfter(day, 1, 1, 2),
    `See whether enough bees have stayed in ${name}. Lid only, no comb out: they cover the brood, and some carry pollen in. Too few: shake in the nurses of two combs of open brood, the queen found first, and leave the entrance small.`,
  );

/** When to come back to a colony that has swarmed: its first young queen is out within about a week. */
export function swarmedLooks(day: Day, emergence: Window): LookText[] {
  const dates = queenCalendar(day, emergence);
  return [
    look(
      'surplus-cells',
      windowAfter(day, 1, 2, 4),
      'Capped cells: leave one or two, or casts follow. Later than this nothing is cut by sight: one may be out.',
    ),
    rest(addDays(day, 5), dates.handsOff.to, 'A virgin emerges, flies and mates. Leave it shut.'),
    look('eggs-due', dates.eggsLook, 'Eggs of the young queen. Feed and room.'),
  ];
}

/** When to come back to a swarm that was hived. @param prime - its queen is known to be the old one, who lays at once */
export function hivedSwarmLooks(day: Day, prime: boolean): LookText[] {
  return [
    look(
      'eggs-due',
      prime ? windowAfter(day, 4, 7, 10) : windowAfter(day, 7, 14, 24),
      prime
        ? 'Eggs of its queen, on new comb. Fed until it has stores.'
        : 'Eggs within ten days if it was a prime swarm; with a virgin, two to three and a half weeks.',
    ),
  ];
}

/** Of a colony that was broken up whole nothing stays behind. @param away - to another yard, where a job of its own takes them */
export const emptyStand = (day: Day, away: boolean): LookText => ({
  topic: 'empty-stand',
  kind: 'look',
  window: onDay(day),
  expect: `At dusk, carry ${away ? 'every part off.' : 'the parts to places apart from each other and set a branch before each entrance.'} ${NOTHING_LEFT}`,
});

const NOTHING_LEFT =
  'Nothing is left on the old stand, no box for stragglers either: it would collect the field bees of all.';

import type { Problem } from '../basics/index.ts';
import { SEASON_EVENT_NAMES, type SeasonEvent } from './climates.ts';
import { calendarOf, type SeasonSetting } from './season.ts';

/** What cannot come before what, in any year. */
const IN_ORDER: readonly (readonly [SeasonEvent, SeasonEvent])[] = [
  ['brood-restart', 'first-flow'],
  ['first-flow', 'main-flow'],
  ['main-flow', 'main-flow-end'],
  ['main-flow-end', 'autumn-flow'],
  ['autumn-flow', 'autumn-flow-end'],
  ['autumn-flow-end', 'first-frost'],
  ['swarm-start', 'swarm-end'],
  ['first-drones', 'last-mating'],
  ['last-mating', 'first-frost'],
];

/** What is wrong with the order of the dates of a year; empty when it can be. */
export function problemsOfSeason(
  { climate, moved, flows }: SeasonSetting,
  path: readonly (string | number)[],
): Problem[] {
  const calendar = calendarOf(climate, moved as Partial<Record<SeasonEvent, number>>);
  const turned = IN_ORDER.flatMap(([first, then]): Problem[] =>
    calendar[first] < calendar[then]
      ? []
      : [
          {
            code: 'season-order',
            path: [...path, 'moved', moved[then] === undefined ? first : then],
            message: `“${SEASON_EVENT_NAMES[then]}” must come after “${SEASON_EVENT_NAMES[first].toLowerCase()}”.`,
            remedy: 'Move one of the two.',
          },
        ],
  );
  const backwards = flows.flatMap(({ from, to }, i): Problem[] =>
    to === null || from <= to
      ? []
      : [
          {
            code: 'window-reversed',
            path: [...path, 'flows', i],
            message: 'A flow ends before it begins.',
            remedy: 'Correct one of its days.',
          },
        ],
  );
  return [...turned, ...backwards];
}

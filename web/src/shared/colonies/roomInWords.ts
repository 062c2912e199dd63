import { dayInWords, type Day } from '@incremen/core/basics';
import type { RoomAhead } from '@incremen/core/forecast';

/** When a colony will want a box, and where it goes, in a sentence. */
export function roomInWords({ full, boxBy, where, waitUntil, shrinks }: RoomAhead, today: Day): string {
  if (shrinks) return 'No box before spring: it shrinks now, and an empty box only cools it.';
  if (full === null || boxBy === null) return 'No more room needed for six weeks.';
  const head =
    full <= today
      ? 'Bees cover nearly all combs now'
      : `Bees cover nearly all combs about ${dayInWords(full)}`;
  if (waitUntil !== null)
    return `${head}: give it a box after the cold nights, about ${dayInWords(boxBy)}, or take brood from it.`;
  const when = boxBy <= today ? 'now' : `by ${dayInWords(boxBy)}`;
  return where === 'above'
    ? `${head}: give it a box ${when}, or take brood from it.`
    : `${head}: give it a box ${when}, under the nest while nights are cold.`;
}

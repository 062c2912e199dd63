import { addDays, type Day, type Window } from '../../basics/index.ts';
import { queenCalendar } from '../../brood/index.ts';
import type { FollowUpText } from '../base/method.ts';

/** The rest and the look for eggs of a part that raises or hatches a queen. */
export function queenLooks(
  parts: FollowUpText['parts'],
  day: Day,
  emergence: Window,
  anchor: FollowUpText['anchor'],
  words: { readonly rest: string; readonly eggs: string },
): FollowUpText[] {
  const dates = queenCalendar(day, emergence);
  const { from, to } = dates.handsOff;
  return [
    {
      parts,
      kind: 'hands-off',
      topic: 'rest',
      window: { earliest: from, likely: from, latest: to },
      anchor,
      expect: words.rest,
    },
    { parts, kind: 'look', topic: 'eggs-due', window: dates.eggsLook, anchor, expect: words.eggs },
  ];
}

/** Days 7 to 9, but before the first queen can be out. Null when she may be out by day 7 already. */
export function surplusCellsLook(
  parts: FollowUpText['parts'],
  day: Day,
  emergence: Window,
  expect: string,
): FollowUpText[] {
  const usual = queenCalendar(day, emergence).surplusCells;
  const lastDay = addDays(emergence.earliest, -1);
  if (usual.earliest > lastDay) return [];
  const notAfter = (d: Day) => (d < lastDay ? d : lastDay);
  return [
    {
      parts,
      kind: 'look',
      topic: 'surplus-cells',
      window: {
        earliest: usual.earliest,
        likely: notAfter(usual.likely),
        latest: notAfter(usual.latest),
      },
      anchor: 'work',
      expect,
    },
  ];
}

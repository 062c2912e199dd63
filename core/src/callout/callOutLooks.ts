import type { FollowUp } from '../apiary/records.ts';
import { addDays, type Day } from '../calendar/day.ts';
import { queenCalendar, windowAfter } from '../followup/windows.ts';
import type { CallOutBody } from './callOut.ts';

/** Ripe cells are given one to three days after the break-up, once the bees know that they have no queen. */
const CELL_IN = { earliest: 1, likely: 2, latest: 3 } as const;

/** When to come back to the units of a break-up, and what to expect then. */
export function callOutLooks(body: CallOutBody, day: Day, newId: () => string): FollowUp[] {
  const filled = body.units.filter((u) => body.calls.some((c) => c.to.at === 'unit' && c.to.key === u.key));
  return filled.flatMap((u): FollowUp[] => {
    const look = (
      topic: FollowUp['topic'],
      window: FollowUp['window'],
      expect: string,
      kind: FollowUp['kind'] = 'look',
    ): FollowUp => ({
      id: newId(),
      planId: null,
      colonyIds: [u.colonyId],
      kind,
      topic,
      window,
      expect,
      status: 'open',
    });
    if (body.queens.some((q) => q.now === u.key)) {
      return [look('rhythm', windowAfter(day, 5, 7, 10), 'The old queen lays; food and room.')];
    }
    switch (u.recipe.queen) {
      case 'raises': {
        const dates = queenCalendar(day);
        return [
          look(
            'surplus-cells',
            dates.surplusCells,
            'Cells are capped, and none can be made any more: leave one or two, or all in a small nuc.',
          ),
          look(
            'rest',
            { earliest: dates.handsOff.from, likely: dates.handsOff.from, latest: dates.handsOff.to },
            'A virgin emerges, flies and mates. Leave it shut.',
            'hands-off',
          ),
          look('eggs-due', dates.eggsLook, 'Eggs of the new queen. Feed and room.'),
        ];
      }
      case 'cell': {
        const emergence = windowAfter(day, 2, 3, 5);
        const dates = queenCalendar(day, emergence);
        return [
          look(
            'act',
            windowAfter(day, CELL_IN.earliest, CELL_IN.likely, CELL_IN.latest),
            'A ripe cell goes between its brood frames: upright, warm, not jarred.',
          ),
          look(
            'rest',
            { earliest: emergence.latest, likely: emergence.latest, latest: dates.handsOff.to },
            'The cell opens, the virgin flies and mates. Leave it shut for about a month.',
            'hands-off',
          ),
          look('eggs-due', dates.eggsLook, 'Eggs of the new queen.'),
        ];
      }
      case 'mated':
      case 'old-queen':
        return [look('rhythm', windowAfter(day, 4, 5, 7), 'She is out of her cage and lays.')];
    }
  });
}

/** When the queen of a unit is expected to emerge; null where she is there already or raised from eggs. */
export function emergenceOf(
  queen: 'raises' | 'cell' | 'mated' | 'old-queen',
  day: Day,
): FollowUp['window'] | null {
  return queen === 'cell'
    ? { earliest: addDays(day, 2), likely: addDays(day, 3), latest: addDays(day, 5) }
    : null;
}

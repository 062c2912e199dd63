import { addDays, type Day } from '../../basics/index.ts';
import { seasonOfYard, yardCalendar } from '../../forecast/index.ts';
import type { Apiary, Yard } from '../../records/index.ts';
import { CLIMATE_CALENDARS, type FlowSpell, type SeasonEvent } from '../../season/index.ts';
import { USUAL_FLOWS } from '../year/seasonWeek.ts';

/** The flows of a year, by the events that they begin and end with. */
const SPELLS: readonly (readonly [SeasonEvent, SeasonEvent, number])[] = [
  ['first-flow', 'main-flow', USUAL_FLOWS.early],
  ['main-flow', 'main-flow-end', USUAL_FLOWS.main],
  ['autumn-flow', 'autumn-flow-end', USUAL_FLOWS.autumn],
];
const YEAR = 365;

/**
 * The records as if the year to come were a usual one: with the flows of its calendar. The clock assumes none, which is right for
 * what is advised today; a round that lies weeks ahead would then be tried on starved colonies.
 *
 * @param share - this keeper's yields against the usual
 */
export function inUsualYear(apiary: Apiary, from: Day, share: number): Apiary {
  const yard = Object.fromEntries(
    Object.values(apiary.yard).map((y): [string, Yard] => {
      const spells = [from, addDays(from, YEAR)].flatMap((day): FlowSpell[] => {
        const { days } = seasonOfYard(apiary, y, day);
        return SPELLS.flatMap(([begins, ends, kg]): FlowSpell[] => {
          const first = days[begins] > from ? days[begins] : from;
          const to = addDays(days[ends], -1);
          return to <= first ? [] : [{ from: first, to, by: 'keeper', kgPerDay: kg * share }];
        });
      });
      const climate = y.season?.climate ?? 'temperate';
      const own = yardCalendar(apiary, y);
      const moved = y.season?.moved ?? {
        ...(own['first-frost'] !== CLIMATE_CALENDARS.temperate['first-frost'] && {
          'first-frost': own['first-frost'],
        }),
      };
      // What is on record of the past stays; one that goes on ends where the supposed one begins.
      const past = (y.season?.flows ?? []).map((f) =>
        f.to === null || f.to >= from ? { ...f, to: addDays(from, -1) } : f,
      );
      return [
        y.id,
        {
          ...y,
          season: { climate, moved, flows: [...past.filter((f) => (f.to ?? from) >= f.from), ...spells] },
        },
      ];
    }),
  );
  return { ...apiary, yard };
}

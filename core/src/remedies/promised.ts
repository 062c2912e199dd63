import { addDays, type Day } from '../basics/index.ts';
import { colonyState } from '../colony/index.ts';
import { isChanged, type Apiary, type Work } from '../records/index.ts';
import { apiaryAfter } from './actions/apiaryAfter.ts';

/** So many days after the work the field bees have flown home, and the colonies are what the work has made of them. */
export const SETTLED_DAYS = 2;

/** What a colony will be once work is done and the field bees are home: what every page shows on that day. */
export interface Promised {
  readonly colonyId: string;
  readonly name: string;
  readonly day: Day;
  /** In frames of the reference size. */
  readonly bees: number;
  readonly brood: number;
  readonly foodKg: number;
}

/**
 * What work promises of each colony that it leaves, by the same clock by which it will be shown afterwards.
 *
 * @returns one line a colony that it changes; those that end are left out
 */
export function promisedBy(apiary: Apiary, work: Work): Promised[] {
  const after = apiaryAfter(apiary, work);
  const day = addDays(work.day, SETTLED_DAYS);
  const changed = work.body.units.filter(isChanged);
  const units = changed.length > 0 ? changed : work.body.units;
  const ids = [...new Set(units.map((u) => u.colonyId))];
  return ids.flatMap((id): Promised[] => {
    const colony = after.colony[id];
    if (!colony || colony.endedOn !== null) return [];
    const { strength } = colonyState(after, colony, day);
    return [
      {
        colonyId: id,
        name: colony.name,
        day,
        bees: strength.framesOfBees.likely,
        brood: strength.broodFrames.likely,
        foodKg: strength.storesKg.likely,
      },
    ];
  });
}

import { DEVELOPMENT, queenCalendar } from '../brood/index.ts';
import { addDays, type Day, windowAfter, type Window } from '../basics/index.ts';

/** Day-old larvae are grafted: so old is the queen to be, counted from the egg. */
const GRAFTED_AT = DEVELOPMENT.queen.eggHatches.likely + 1;
/** Cells are ripe so many days after grafting (common practice, no source). */
const RIPE_AFTER = { earliest: 10, latest: 11 } as const;

/** Every date around cells that are brought, from one of them. */
export interface CellDelivery {
  readonly graftOn: Day;
  /** Cells are ripe, brought and given: between two brood frames, upright, warm, out of the sun. */
  readonly giveOn: Day;
  readonly giveLatest: Day;
  /** Units are made so that they feel queenless when the cells come, and have not raised their own. */
  readonly makeUnits: Window;
  readonly emergence: Window;
  readonly handsOff: { readonly from: Day; readonly to: Day };
  readonly eggsLook: Window;
  readonly firstCapped: Window;
}

/** Forwards from the day of grafting. */
export function deliveryFromGraft(graftOn: Day): CellDelivery {
  const giveOn = addDays(graftOn, RIPE_AFTER.earliest);
  const out = DEVELOPMENT.queen.emerges.likely - GRAFTED_AT;
  const emergence = windowAfter(graftOn, out - 1, out, out + 1);
  const dates = queenCalendar(giveOn, emergence);
  return {
    graftOn,
    giveOn,
    giveLatest: addDays(graftOn, RIPE_AFTER.latest),
    makeUnits: { earliest: addDays(giveOn, -3), likely: addDays(giveOn, -2), latest: addDays(giveOn, -1) },
    emergence,
    handsOff: { from: emergence.earliest, to: dates.handsOff.to },
    eggsLook: dates.eggsLook,
    firstCapped: dates.firstCapped,
  };
}

/** Backwards from the day on which units are to get their cells. */
export function deliveryForDay(giveOn: Day): CellDelivery {
  return deliveryFromGraft(addDays(giveOn, -RIPE_AFTER.earliest));
}

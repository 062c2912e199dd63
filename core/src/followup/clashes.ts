import { type Apiary, type FollowUp, openFollowUps, placeOf } from '../records/index.ts';
import { addDays, dayInWords, daysBetween, type Day, listInWords, type Window } from '../basics/index.ts';
import type { QueenLane } from './queenLane.ts';
import { isInspection } from './topics.ts';

/** Things in one yard that get in each other's way. */
export interface Clash {
  readonly colonyIds: readonly string[];
  readonly words: string;
}

/** Looks that fall into days of rest of the same colony or of one behind the same partition, and virgins that fly together. */
export function clashesOf(apiary: Apiary, lanes: readonly QueenLane[], today: Day): Clash[] {
  const clashes: Clash[] = [];
  const looks = openFollowUps(apiary).filter((f) => isInspection(f) && f.topic !== 'eggs-due');
  const colony = (id: string) => apiary.colony[id];
  for (const lane of lanes.filter((l) => !l.laying && l.handsOff.to >= today)) {
    const own = colony(lane.colonyId);
    for (const f of looks) {
      const day = f.window.likely < today ? today : f.window.likely;
      if (day < lane.handsOff.from || day > lane.handsOff.to) continue;
      const [lookedAt] = f.colonyIds.flatMap((id) => colony(id) ?? []);
      if (!lookedAt || !own) continue;
      const same = lookedAt.id === own.id;
      if (!same && (lookedAt.hiveId === null || lookedAt.hiveId !== own.hiveId)) continue;
      clashes.push({
        colonyIds: same ? [own.id] : [own.id, lookedAt.id],
        words: same
          ? `${own.name}: an inspection on ${dayInWords(day)} falls into its days of rest (${dayInWords(lane.handsOff.from)} to ${dayInWords(lane.handsOff.to)}). Put it off, or only lift the lid.`
          : `${lookedAt.name} is to be looked at on ${dayInWords(day)}, and ${own.name} in the same hive rests until ${dayInWords(lane.handsOff.to)}: keep its side covered with a cloth.`,
      });
    }
  }
  return [...clashes, ...flightsTogether(apiary, lanes)];
}

/** Flights that begin within so many days of the first fall together. */
const TOGETHER_DAYS = 3;

/** Virgins of one yard that fly in the same days, all of them in one line. */
function flightsTogether(apiary: Apiary, lanes: readonly QueenLane[]): Clash[] {
  const flights = lanes
    .flatMap((lane) => {
      const flies = lane.events.find((e) => e.id === 'flies')?.window.likely;
      const lives = apiary.colony[lane.colonyId];
      return flies && lives && !lane.laying && lane.certain && lane.raises
        ? [{ lane, flies, yardId: placeOf(apiary, lives).yard?.id }]
        : [];
    })
    .toSorted((a, b) => a.flies.localeCompare(b.flies) || a.lane.name.localeCompare(b.lane.name));
  const groups: (typeof flights)[] = [];
  for (const f of flights) {
    const group = groups.find(
      ([first]) => first && first.yardId === f.yardId && daysBetween(first.flies, f.flies) <= TOGETHER_DAYS,
    );
    if (group) group.push(f);
    else groups.push([f]);
  }
  return groups.flatMap((group) => {
    const [first] = group;
    if (!first || group.length < 2) return [];
    const names = group.map((f) => f.lane.name);
    return [
      {
        colonyIds: group.map((f) => f.lane.colonyId),
        words: `Virgins of ${listInWords(names)} fly in the same days, about ${dayInWords(first.flies)}: move no hive and no landmark of that yard then.`,
      },
    ];
  });
}

/** A look that should be on another day, and why. */
export interface Reschedule {
  readonly followUp: FollowUp;
  readonly to: Window;
  readonly why: string;
}

/**
 * Looks whose day has no weather to open hives, with the nearest day inside their window that has.
 *
 * @param goodDays - days with hours in which hives can be opened, as far as the forecast reaches
 * @param until - the last day that the forecast knows
 */
export function reschedulesFor(
  followUps: readonly FollowUp[],
  goodDays: readonly Day[],
  today: Day,
  until: Day,
): Reschedule[] {
  return followUps.flatMap((f): Reschedule[] => {
    const { window: w } = f;
    const due = w.likely < today ? today : w.likely;
    if (f.kind !== 'look' || due > until || goodDays.includes(due)) return [];
    const [best] = goodDays
      .filter((d) => d >= today && d >= w.earliest && d <= w.latest)
      .toSorted((a, b) => Math.abs(daysBetween(a, due)) - Math.abs(daysBetween(b, due)));
    if (best) {
      return [
        { followUp: f, to: { ...w, likely: best }, why: `No weather to open hives on ${dayInWords(due)}.` },
      ];
    }
    const [later] = goodDays.filter((d) => d > w.latest);
    if (!later || w.latest > until) return [];
    return [
      {
        followUp: f,
        to: { ...w, likely: later, latest: addDays(later, 1) },
        why: `No weather to open hives before ${dayInWords(later)}; that is after its last day, so read it with care.`,
      },
    ];
  });
}

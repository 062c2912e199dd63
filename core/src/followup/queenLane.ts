import { type Apiary, type Colony, queenOf } from '../records/index.ts';
import { DEVELOPMENT, queenCalendar } from '../brood/index.ts';
import { addDays, dayInWords, daysBetween, type Day, shiftWindow, type Window } from '../basics/index.ts';
import { looksOf, type DatedLook } from '../queen-odds/index.ts';
import { datedByLooks, MATURE_AFTER, type LaneChange } from './datedByLooks.ts';

/** What happens in a part that raises its queen, in its order. */
const LANE_EVENTS = [
  'capped',
  'emerges',
  'mature',
  'flies',
  'eggs',
  'cappings',
  'broodless',
  'new-bees',
] as const;
export type LaneEventId = (typeof LANE_EVENTS)[number];

const EVENT_WORDS: Readonly<Record<LaneEventId, string>> = {
  capped: 'Cell capped',
  emerges: 'She emerges',
  mature: 'She is mature',
  flies: 'Mating flights',
  eggs: 'First eggs',
  cappings: 'First worker brood capped',
  broodless: 'No capped brood',
  'new-bees': 'First new worker',
};

/** One event with its window. */
interface LaneEvent {
  readonly id: LaneEventId;
  readonly words: string;
  readonly window: Window;
}

/** The biology of one part, from the loss of its queen to new bees of the next one. */
export interface QueenLane {
  readonly colonyId: string;
  readonly name: string;
  readonly lostOn: Day;
  /** False while nobody knows which part of a split has the old queen. */
  readonly certain: boolean;
  readonly events: readonly LaneEvent[];
  readonly handsOff: { readonly from: Day; readonly to: Day };
  readonly emergence: Window;
  /** Eggs by then, or something is decided. */
  readonly latestEggs: Day;
  readonly decideBy: Day;
  /** Eggs of the new queen have been seen. */
  readonly laying: boolean;
  /** False once cells were looked for in vain, when none could be made any more and no queen could be out. */
  readonly raises: boolean;
  /** When eggs were last looked for, in vain or not; null when nobody has. */
  readonly lookedForEggsOn: Day | null;
  readonly changes: readonly LaneChange[];
  /** Notes that cannot all be true; all are kept. */
  readonly contradictions: readonly string[];
}

/**
 * The lane of a part that raises its queen, as its looks have moved it; null for a colony that has a queen or was
 * never parted.
 *
 * @param flying - whether a virgin could or can fly, by day, as far as weather is known; see flyingWeather
 */
export function queenLane(
  apiary: Apiary,
  colony: Colony,
  day: Day,
  flying: ReadonlyMap<Day, boolean> = new Map(),
): QueenLane | null {
  const { separation } = colony;
  if (!separation || separation.queen === 'here' || colony.endedOn !== null || queenOf(apiary, colony.id)) {
    return null;
  }
  const lostOn = separation.day;
  const looks = looksOf(apiary, colony, day);
  const dated = datedByLooks(lostOn, separation.emergence, looks);
  const firstFlight = addDays(dated.emergence.likely, MATURE_AFTER);
  const flight = dated.eggsSeen === null ? flightByWeather(firstFlight, flying) : null;
  const changes = [...dated.changes, ...heldBack(firstFlight, flight, day)];
  const dates = queenCalendar(lostOn, dated.emergence);
  const eggs = eggWindow(dated.eggsSeen, dates.firstEggs, flight?.day);
  const { emergence } = dated;
  const capped = DEVELOPMENT.queen.cellCapped.likely - DEVELOPMENT.queen.emerges.likely;
  const windows: Record<LaneEventId, Window> = {
    capped: shiftWindow(emergence, capped),
    emerges: emergence,
    mature: shiftWindow(emergence, MATURE_AFTER),
    flies: {
      earliest: addDays(emergence.earliest, MATURE_AFTER),
      likely: addDays(emergence.likely, MATURE_AFTER + 2),
      latest: addDays(eggs.latest, -2),
    },
    eggs,
    cappings: shiftWindow(eggs, DEVELOPMENT.worker.cellCapped.likely),
    broodless: {
      earliest: dates.broodless.from,
      likely: dates.broodless.from,
      latest: addDays(eggs.likely, DEVELOPMENT.worker.cellCapped.likely),
    },
    'new-bees': shiftWindow(eggs, DEVELOPMENT.worker.emerges.likely),
  };
  return {
    colonyId: colony.id,
    name: colony.name,
    lostOn,
    certain: separation.queen === 'elsewhere',
    events: LANE_EVENTS.map((id) => ({ id, words: EVENT_WORDS[id], window: windows[id] })),
    handsOff: dates.handsOff,
    emergence,
    latestEggs: eggs.latest,
    decideBy: dates.decideBy,
    laying: dated.eggsSeen !== null,
    raises: !foundNoCells(looks, dates.larvaeUsable.latest, emergence),
    lookedForEggsOn: looks.findLast((l) => l.seen.eggs.look !== 'notLooked')?.day ?? null,
    changes,
    contradictions: dated.contradictions,
  };
}

/** The last look before a queen can be out found no cells, and the larvae are too old to begin one. */
function foundNoCells(looks: readonly DatedLook[], lastCanBegin: Day, emergence: Window): boolean {
  const last = looks.findLast((l) => l.seen.cells.look !== 'notLooked' && l.day < emergence.earliest);
  return last !== undefined && last.seen.cells.look === 'notFound' && last.day > lastCanBegin;
}

/** The first day on which she could fly. */
interface Flight {
  readonly day: Day;
  /** Weather for it was seen or is foretold; otherwise it is the first day of which nothing is known. */
  readonly known: boolean;
}

/**
 * Walks from her first possible flight over all days of which it is known that she stayed at home. A day without
 * weather may have been a good one. Null when nothing is known of the first.
 */
function flightByWeather(firstFlight: Day, flying: ReadonlyMap<Day, boolean>): Flight | null {
  if (!flying.has(firstFlight)) return null;
  let day = firstFlight;
  while (flying.get(day) === false) day = addDays(day, 1);
  return { day, known: flying.has(day) };
}

/** Weather that keeps a virgin at home: told when it costs more than a day beyond the usual two. */
function heldBack(firstFlight: Day, flight: Flight | null, day: Day): LaneChange[] {
  if (flight === null) return [];
  const was = addDays(firstFlight, 2);
  const late = daysBetween(was, flight.day);
  if (late <= 1) return [];
  const because = flight.known
    ? `No mating weather before ${dayInWords(flight.day)}: eggs may come ${late} days later.`
    : `No mating weather up to ${dayInWords(addDays(flight.day, -1))}, as far as weather is known: eggs may come ${late} days later or more.`;
  return [{ day, was, now: flight.day, because }];
}

/** From the flight to the first egg: two to four days (common practice, no source). */
const EGGS_AFTER_FLIGHT = 3;

/** When eggs are to be expected: seen ones rule; else the flights that weather allows, within the usual window. */
function eggWindow(eggsSeen: Day | null, usual: Window, flightDay: Day | undefined): Window {
  if (eggsSeen !== null) {
    return { earliest: addDays(eggsSeen, -3), likely: addDays(eggsSeen, -1), latest: eggsSeen };
  }
  const byFlight = flightDay === undefined ? usual.likely : addDays(flightDay, EGGS_AFTER_FLIGHT);
  const [, likely = usual.likely] = [usual.likely, byFlight, usual.latest].toSorted((a, b) =>
    a.localeCompare(b),
  );
  return { ...usual, likely };
}

import {
  type Apiary,
  type Colony,
  type Reading,
  framesOfColony,
  nestOf,
  queenOf,
  type PlacedFrame,
} from '../records/index.ts';
import { presentLayingRate, projectNest, type Laying, type NestFrame } from '../brood/index.ts';
import { daysBetween, type Day } from '../basics/index.ts';

/**
 * What the queen of a colony is taken to do after its count: she lays on at the rate that eggs and open
 * brood speak for, unless the colony is known to be without a laying queen.
 */
export function layingOf(apiary: Apiary, colony: Colony, nest: readonly NestFrame[]): Laying {
  const parted = colony.separation !== null && colony.separation.queen !== 'here';
  if (parted && !queenOf(apiary, colony.id)) return { queen: 'none' };
  const eggsPerDay = presentLayingRate(nest);
  return eggsPerDay > 0 ? { queen: 'laying', eggsPerDay } : { queen: 'none' };
}

/**
 * A colony's frames as they are on a day, reckoned from their last readings.
 *
 * Frames that were read on several days are first brought to the latest of them. Frames read after that day
 * stay as they are, and so does everything when nothing was read.
 */
export function framesOn(apiary: Apiary, colony: Colony, day: Day): PlacedFrame[] {
  return project(framesOfColony(apiary, colony), day, (nest) => layingOf(apiary, colony, nest));
}

/**
 * A colony's frames as they were on a past day, from the readings that stood then. Frames show in the slot
 * in which they were read. Empty when the colony had not been counted by then.
 *
 * @param readings - the readings as of that day, of all colonies
 */
export function framesBack(
  apiary: Apiary,
  colony: Colony,
  readings: readonly Reading[],
  day: Day,
): PlacedFrame[] {
  const own = readings.filter(
    (r) => r.day <= day && r.visitId !== null && apiary.visit[r.visitId]?.colonyId === colony.id,
  );
  const frames = own.flatMap((reading): PlacedFrame[] => {
    const frame = apiary.frame[reading.frameId];
    const box = reading.boxId === null ? undefined : apiary.box[reading.boxId];
    return frame && box && reading.slot !== null ? [{ frame, box, slot: reading.slot, reading }] : [];
  });
  const ordered = frames.toSorted((a, b) => a.box.position - b.box.position || a.slot - b.slot);
  // Whether she laid then is not kept; what the nest itself says is all there is.
  return project(ordered, day, (nest) => {
    const eggsPerDay = presentLayingRate(nest);
    return eggsPerDay > 0 ? { queen: 'laying', eggsPerDay } : { queen: 'none' };
  });
}

function project(
  frames: readonly PlacedFrame[],
  day: Day,
  layingOfNest: (nest: readonly NestFrame[]) => Laying,
): PlacedFrame[] {
  const days = frames.flatMap((f) => (f.reading ? [f.reading.day] : []));
  const latest = days.reduce<Day | null>((l, d) => (l === null || d > l ? d : l), null);
  if (latest === null || latest > day) return [...frames];
  const nest = nestOf(frames);
  const laying = layingOfNest(nest);
  const atLatest = new Map<string, NestFrame>();
  for (const readOn of new Set([...days, latest])) {
    const group = frames.filter((f) => (f.reading?.day ?? latest) === readOn);
    const share = frames.length > 0 ? group.length / frames.length : 0;
    const own: Laying =
      laying.queen === 'laying' ? { queen: 'laying', eggsPerDay: laying.eggsPerDay * share } : laying;
    for (const f of projectNest(nestOf(group), daysBetween(readOn, latest), own)) atLatest.set(f.id, f);
  }
  const inOrder = nest.map((f) => atLatest.get(f.id) ?? f);
  const then = projectNest(inOrder, daysBetween(latest, day), laying);
  return frames.map((f, i) => {
    const body = then[i]?.reading;
    return f.reading && body ? { ...f, reading: { ...f.reading, body } } : f;
  });
}

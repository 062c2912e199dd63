import { daysBetween, type Day } from '../basics/index.ts';
import { inReferenceFrames, shareOfBees, type FrameReading } from '../comb/index.ts';
import {
  framesOfColony,
  operationOf,
  type Apiary,
  type Colony,
  type UnexpectedCount,
} from '../records/index.ts';
import { colonyOn } from './colonyOn.ts';

/** A count of fewer of its combs says nothing of the whole. */
const WHOLE_COUNT = 0.8;
/** A forecast from a count that is older says too little to be contradicted. */
const MOST_DAYS = 42;
/** A single count is off by about so much, as a share (common practice, no source). */
const COUNT_ERROR = 0.2;
/** What is off by so many times what is usual, and by so many frames of bees, is no accident. */
const TIMES = 3;
const LEAST_FRAMES = 1.5;

/**
 * Whether a count contradicts the counts before it, with all that is on record since.
 *
 * @param apiary - the records before the count
 * @returns null where it can be, and where nothing can be told
 */
export function unexpectedCount(
  apiary: Apiary,
  colony: Colony,
  day: Day,
  counted: readonly { readonly frameId: string; readonly body: FrameReading }[],
): UnexpectedCount | null {
  const before = colonyOn(apiary, colony, day);
  const known = framesOfColony(apiary, colony).filter((f) => f.reading !== null);
  const bodies = new Map(counted.map((c) => [c.frameId, c.body]));
  const same = known.filter((f) => bodies.has(f.frame.id));
  const oldest = known.reduce<Day>((d, f) => (f.reading && f.reading.day < d ? f.reading.day : d), day);
  if (daysBetween(oldest, day) > MOST_DAYS) return null;
  if (!before.model || same.length < WHOLE_COUNT * known.length || known.length === 0) return null;
  const { referenceSize } = operationOf(apiary);
  let now = 0;
  for (const { frame } of same) {
    const body = bodies.get(frame.id);
    if (body) now += shareOfBees(body) * inReferenceFrames(frame.sizeId, referenceSize);
  }
  let expected = 0;
  for (const { frame, reading } of before.frames)
    if (reading && bodies.has(frame.id))
      expected += shareOfBees(reading.body) * inReferenceFrames(frame.sizeId, referenceSize);
  const off = Math.abs(Math.log((now + 0.1) / (expected + 0.1)));
  const usual = Math.hypot(before.doubt, COUNT_ERROR);
  if (off < TIMES * usual || Math.abs(now - expected) < LEAST_FRAMES) return null;
  const tenth = (n: number) => Math.round(n * 10) / 10;
  return { expected: tenth(expected), counted: tenth(now) };
}

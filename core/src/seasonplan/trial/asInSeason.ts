import { daysBetween, type Day } from '../../basics/index.ts';
import { spreadColony } from '../../brood/index.ts';
import { honeyKgPerFrame, type Side } from '../../comb/index.ts';
import { decide } from '../../decide/index.ts';
import {
  applyChanges,
  boxesOfColony,
  framesOfColony,
  operationOf,
  type Apiary,
  type Colony,
} from '../../records/index.ts';
import type { FamilyStory, FamilyWeek } from '../course/story.ts';
import type { SeasonProblem } from '../course/problem.ts';

/** Of steady brood so much is capped, and so much open with its eggs told apart from it. */
const CAPPED = 12 / 21;
const OPEN = 6 / 21;
/** Combs of a nest that are neither full of brood nor of food: bread, and room to lay. */
const ROOM = 1.5;
const BREAD = 0.8;
/** A comb of brood is never full of it. */
const FULLEST = 0.8;

/**
 * The records as if every colony had been counted on a day and were what the season makes of it, spread over its own combs like a
 * quick count. What is above the brood nest by then, supers and their honey, is taken care of and not in it.
 *
 * @param only - of these colonies; null for all
 */
export function asInSeason(
  apiary: Apiary,
  problem: SeasonProblem,
  story: readonly FamilyStory[],
  day: Day,
  newId: () => string,
  only: ReadonlySet<string> | null = null,
): Apiary {
  const week = Math.floor(daysBetween(problem.from, day) / 7);
  let now = apiary;
  for (const told of story) {
    const id = told.start === null ? null : (problem.starts[told.start]?.colonyId ?? null);
    const colony = id === null ? undefined : now.colony[id];
    // What is told of a week is how it ends: a round is done at its beginning.
    const then = told.weeks[Math.max(0, week - 1 - told.from)];
    if (!colony || colony.endedOn !== null || !then || only?.has(colony.id) === false) continue;
    now = counted(now, colony, then, day, newId);
  }
  return now;
}

function counted(apiary: Apiary, colony: Colony, then: FamilyWeek, day: Day, newId: () => string): Apiary {
  const frames = framesOfColony(apiary, colony);
  const boxes = boxesOfColony(apiary, colony).map((b) => ({
    id: b.id,
    sizeId: b.sizeId,
    brood: b.role === 'brood',
    own: frames.filter((f) => f.box.id === b.id),
  }));
  const combs = frames.length;
  if (combs === 0) return apiary;
  const nest = boxes.reduce((n, b) => (b.brood ? n + b.own.length : n), 0);
  const brood = Math.min(then.brood, FULLEST * nest);
  const kg = honeyKgPerFrame(operationOf(apiary).referenceSize).likely;
  const stores = Math.max(0, Math.min(then.kg / kg, nest - brood / FULLEST - ROOM));
  const quick = {
    bees: Math.min(then.frames, combs),
    capped: brood * CAPPED,
    open: brood * OPEN,
    eggsSeen: then.lays,
    stores,
    beeBread: Math.min(BREAD, Math.max(0, nest - stores - brood / FULLEST)),
    drawn: 0,
    foundation: 0,
  };
  const spread = spreadColony(
    quick,
    boxes.map((b) => ({ sizeId: b.sizeId, brood: b.brood, combs: b.own.length })),
  );
  const readings = boxes.flatMap((b, i) =>
    b.own.flatMap((f, k) => {
      const body = spread[i]?.[k];
      if (!body) return [];
      const [front, back] = body.sides;
      // Taken for read comb by comb: of combs that are only supposed no plan would say which to carry.
      const read = {
        ...body,
        sides: [front, back] as [Side, Side],
        cells: [...body.cells],
        estimated: false,
      };
      return [{ id: newId(), frameId: f.frame.id, body: read }];
    }),
  );
  // She is on the comb with most eggs: where a round moves her, she is looked for first.
  const eggs = (r: (typeof readings)[number]) => r.body.sides[0].contents.eggs ?? 0;
  const hers = then.lays
    ? readings.reduce((best, r, i) => (eggs(r) > best.eggs ? { i, eggs: eggs(r) } : best), { i: -1, eggs: 0 })
        .i
    : -1;
  const done = decide(apiary, {
    type: 'recordCount',
    visitId: newId(),
    colonyId: colony.id,
    day,
    note: '',
    readings: readings.map((r, i) => (i === hers ? { ...r, body: { ...r.body, queenSeen: true } } : r)),
  });
  return done.ok ? applyChanges(apiary, done.value) : apiary;
}

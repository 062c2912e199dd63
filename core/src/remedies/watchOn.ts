import type { FollowUp, WatchTest } from '../records/index.ts';
import { addDays, dayInWords, type Day } from '../basics/index.ts';
import { inWords } from './remedyDraft.ts';
import type { UnitFacts } from './unit/unitFacts.ts';
import { broodOf } from './unit/unitProspect.ts';

/** A week: longer costs too many of its bees, sooner nothing shows (common practice, no source). */
const WATCH_DAYS = 7;
/** More brood than now, in frames: what a laying queen adds at the least in a week. Judgement, no source. */
const MORE_BROOD = 0.3;

const tenth = (x: number) => Math.round(10 * x) / 10;

/** What a unit has to come to when it is watched. */
function watchTestOf({ unit, day }: Pick<UnitFacts, 'unit' | 'day'>): WatchTest {
  return { since: day, brood: tenth(broodOf(unit) + MORE_BROOD), bees: tenth(unit.bees) };
}

/** The test of a unit in words. */
export function watchInWords(facts: Pick<UnitFacts, 'unit' | 'day'>): string {
  const { brood, bees } = watchTestOf(facts);
  return `By ${dayInWords(watchDay(facts.day))} at least ${inWords(brood)} frames of brood, or more bees than ${inWords(bees)}; if not, unite it or let it die out.`;
}

const watchDay = (day: Day) => addDays(day, WATCH_DAYS);

/** The look that a watched unit has to stand: a test and a date. */
export function watchOn(facts: UnitFacts, id: string): FollowUp {
  const day = watchDay(facts.day);
  return {
    id,
    workId: null,
    colonyIds: [facts.colony.id],
    kind: 'look',
    topic: 'watch',
    window: { earliest: addDays(day, -1), likely: day, latest: addDays(day, 2) },
    expect: watchInWords(facts),
    status: 'open',
    test: watchTestOf(facts),
  };
}

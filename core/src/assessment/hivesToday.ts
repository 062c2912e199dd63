import {
  type Apiary,
  changedBy,
  type Colony,
  type FollowUp,
  openFollowUps,
  stepsOfWork,
} from '../records/index.ts';
import { byName, dayInWords, daysBetween, type Day } from '../basics/index.ts';
import { followUpInShort, isJob, pressingLook } from '../followup/index.ts';
import { stopBefore } from '../work/index.ts';
import { assess, type Assessment } from './assess.ts';
import { dateCell, emergenceOf } from '../cells/index.ts';

/** A hive as it stands to the day's work. */
export interface HiveToday {
  readonly colony: Colony;
  /** Why, in a line. */
  readonly why: string;
  /** Where to go to do it; null where nothing is to be done. */
  readonly to: string | null;
  /** About so long it takes. */
  readonly minutes: number;
  /** The last day on which it can be done; null where nothing hangs on one. */
  readonly by: Day | null;
}

/** An inspection of a hive, and a thing done about one, in minutes (judgement). */
const INSPECTION_MINUTES = 15;
const JOB_MINUTES = 5;

/** The day's hives, each in the order in which they should be taken. */
export interface DaySorted {
  readonly must: readonly HiveToday[];
  readonly may: readonly HiveToday[];
  readonly mustNot: readonly HiveToday[];
}

/** What is to be done takes a minute, and an entrance that is shut cannot wait. */
const JOB_RANK = 5;

/** What is to be done about a hive by today, the most overdue first. */
const dueJobs = (own: readonly FollowUp[], today: Day): FollowUp[] =>
  own
    .filter((f) => isJob(f) && f.window.earliest <= today)
    .toSorted((a, b) => a.window.latest.localeCompare(b.window.latest));

/** Longer than this since the last count a look pays even if nothing is due (judgement). */
const LONG_DAYS = 14;

/**
 * Sorts the hives of a day into those that must be opened, may be opened, and must not be: a virgin that emerges,
 * flies and mates is left alone whatever else is due. The most advanced cells come first; hives where sickness is
 * suspected come last, so that nothing is carried from them.
 */
export function hivesToday(apiary: Apiary, today: Day): DaySorted {
  const due = openFollowUps(apiary);
  const dueWork = Object.values(apiary.work)
    .filter((w) => w.status === 'working' || (w.status === 'draft' && w.day <= today))
    .map((w) => ({ id: w.id, keys: changedBy(w.body) }));
  const must: (HiveToday & { readonly rank: number })[] = [];
  const may: (HiveToday & { readonly rank: number })[] = [];
  const mustNot: (HiveToday & { readonly rank: number })[] = [];
  for (const colony of Object.values(apiary.colony)) {
    if (colony.endedOn !== null || colony.hiveId === null) continue;
    const own = due.filter((f) => f.colonyIds.includes(colony.id));
    const state = assess(apiary, colony, today);
    const { opening, needs } = state;
    const [first] = needs;
    const isSick = opening.because === 'health';
    if (!opening.may && !isSick) {
      const until = opening.until ? ` Until ${dayInWords(opening.until)}.` : '';
      // Food is given, and other things done, without opening the nest.
      const feed = first.notice.id === 'hungry' ? `${first.notice.words}, without opening the nest. ` : '';
      const jobs = dueJobs(own, today).map((f) => `${followUpInShort(f)}. `);
      mustNot.push({
        colony,
        why: `${feed}${jobs.join('')}${opening.why}${until}`,
        to: null,
        minutes: 0,
        by: null,
        // At what has to stay shut something may still be done: that comes first.
        rank: feed !== '' || jobs.length > 0 ? 0 : 1,
      });
      continue;
    }
    // Nothing is carried from a sick hive to a sound one: it comes last.
    const last = isSick ? 1000 : 0;
    const look = pressingLook(own, today);
    const [job] = dueJobs(own, today);
    const plan = dueWork.find((w) => w.keys.has(colony.id));
    const cells = daysToEmergence(state, today);
    if (plan) {
      must.push({
        colony,
        why: 'Work is planned for it.',
        to: `/worksheet/${plan.id}`,
        minutes: stopBefore(stepsOfWork(apiary, plan.id), 0).needed,
        by: first.by,
        rank: last + (cells ?? 20),
      });
    } else if (look && look.window.earliest <= today) {
      const late = daysBetween(look.window.latest, today);
      must.push({
        colony,
        why: `${late > 0 ? `Overdue since ${dayInWords(look.window.latest)}. ` : ''}${followUpInShort(look)}`,
        to: `/look/${look.id}`,
        minutes: INSPECTION_MINUTES,
        by: earlierOf(look.window.latest, first.by),
        rank: last + (cells ?? (late > 0 ? 10 : 30)),
      });
    } else if (job) {
      must.push({
        colony,
        why: job.expect,
        to: `/colonies/${colony.id}`,
        minutes: JOB_MINUTES,
        by: job.window.latest,
        rank: last + JOB_RANK,
      });
    } else if (state.notice.urgent) {
      must.push({
        colony,
        why: state.notice.words,
        to: `/colonies/${colony.id}`,
        minutes: INSPECTION_MINUTES,
        by: first.by,
        rank: last + (cells ?? 25),
      });
    } else {
      const age = state.countAgeDays;
      may.push({
        colony,
        why:
          age === null
            ? 'Never counted.'
            : age > LONG_DAYS
              ? `Last counted ${age} days ago.`
              : 'Nothing is due; it can wait.',
        to: age === null || age > LONG_DAYS ? `/colonies/${colony.id}/count` : null,
        minutes: INSPECTION_MINUTES,
        by: null,
        rank: last - (age ?? 99),
      });
    }
  }
  const inOrder = (a: { rank: number; colony: Colony }, b: { rank: number; colony: Colony }) =>
    a.rank - b.rank || byName(a.colony, b.colony);
  return {
    must: must.toSorted(inOrder),
    may: may.toSorted(inOrder),
    mustNot: mustNot.toSorted(inOrder),
  };
}

const earlierOf = (a: Day, b: Day | null): Day => (b !== null && b < a ? b : a);

/** Days until the first queen may be out of the cells that were seen; null without any. */
function daysToEmergence({ frames, colony }: Assessment, today: Day): number | null {
  const days = frames.flatMap(({ reading }) => {
    return (reading?.body.cells ?? []).flatMap((cell) => {
      const age = reading && dateCell(cell, reading.day, colony);
      return age ? [Math.max(0, daysBetween(today, emergenceOf(age).earliest))] : [];
    });
  });
  return days.length > 0 ? Math.min(...days) : null;
}

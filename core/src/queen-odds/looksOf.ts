import {
  type Apiary,
  type Colony,
  type Visit,
  readingsOfVisit,
  speaksOfQueenFrom,
  visitsOf,
  noEvidence,
  saysAnything,
  evidenceOfDay,
  type Evidence,
  filledByFrames,
} from '../records/index.ts';
import { addDays, type Day } from '../basics/index.ts';
import type { DatedLook } from './queenOdds.ts';

/** Looks at a colony that was never parted count for so many days; before, it may have been another queen. */
const DAYS_BACK = 45;

/** What looks and counts say of a colony up to a day, oldest first: all since it was parted or got a queen, or of the last weeks. */
export function looksOf(apiary: Apiary, colony: Colony, day: Day): DatedLook[] {
  const { separation } = colony;
  const own = speaksOfQueenFrom(apiary, colony, day);
  // On the day of the split itself one looks at what is about to be parted.
  const parted = separation ? addDays(separation.day, 1) : null;
  const since = [own, parted, separation ? null : addDays(day, -DAYS_BACK)].reduce<Day>(
    (latest, d) => (d !== null && d > latest ? d : latest),
    '',
  );
  const seen = visitsOf(apiary, colony.id)
    .filter((v) => v.day >= since && v.day <= day)
    .toReversed()
    .map((v) => ({ day: v.day, seen: evidenceOfVisit(apiary, v) }))
    .filter((l) => saysAnything(l.seen));
  // A count and an inspection of one day are one look.
  return seen.reduce<DatedLook[]>((looks, l) => {
    const last = looks.at(-1);
    if (last?.day !== l.day) return [...looks, l];
    return [...looks.slice(0, -1), { day: l.day, seen: evidenceOfDay(last.seen, l.seen) }];
  }, []);
}

/** What was said on a visit, with what its frames show. */
function evidenceOfVisit(apiary: Apiary, visit: Visit): Evidence {
  const read = readingsOfVisit(apiary, visit.id);
  return filledByFrames(visit.evidence ?? noEvidence(read.length), read);
}

import { operationOf, type Apiary, type Colony, type Visit } from '../apiary/records.ts';
import { queenOf, visitsOf } from '../apiary/views.ts';
import { addDays, type Day } from '../calendar/day.ts';
import { shareOf } from '../comb/contents.ts';
import { noEvidence, saysAnything, type Evidence } from '../queen/evidence.ts';
import type { PartBefore } from './courses.ts';
import { houseRules } from '../rules/houseRules.ts';
import type { KeeperLikelihoods } from './keeperLikelihoods.ts';
import { queenBelief, type DatedLook, type QueenBelief } from './queenOdds.ts';

/** Looks at a colony that was never parted count for so many days; before, it may have been another queen. */
const DAYS_BACK = 45;

/** What is to be believed of a colony's queen on a day, from all looks and counts since it was parted. */
export function queenBeliefOf(
  apiary: Apiary,
  colony: Colony,
  day: Day,
): {
  readonly before: PartBefore;
  readonly looks: readonly DatedLook[];
  readonly belief: QueenBelief;
  /** The house rules that it rests on. */
  readonly keeper: KeeperLikelihoods;
} {
  const keeper = houseRules(operationOf(apiary).houseRules.changes);
  const { separation } = colony;
  const since = separation?.day ?? addDays(day, -DAYS_BACK);
  const looks = visitsOf(apiary, colony.id)
    .filter((v) => v.day >= since && v.day <= day)
    // On the day of the split itself one looks at what is about to be parted.
    .filter((v) => separation === null || v.day > separation.day)
    .toSorted((a, b) => a.day.localeCompare(b.day))
    .flatMap((v) => {
      const seen = evidenceOfVisit(apiary, v);
      return saysAnything(seen) ? [{ day: v.day, seen }] : [];
    });
  const before: PartBefore = {
    separatedOn: separation?.day ?? null,
    emergence: separation?.emergence ?? null,
    queenHere: chanceOfOldQueen(apiary, colony),
  };
  return { before, looks, belief: queenBelief(before, looks, day, keeper), keeper };
}

function chanceOfOldQueen(apiary: Apiary, colony: Colony): number {
  const { separation } = colony;
  if (!separation) return 1;
  if (separation.queen === 'unknown') return 1 / separation.partIds.length;
  if (separation.queen === 'here') return KNOWN;
  // A queen that is on record here by now is a new one: then eggs speak for themselves.
  return queenOf(apiary, colony.id) ? 0 : 1 - KNOWN;
}

/** Who says that she saw the old queen go in is nearly always right. */
const KNOWN = 0.98;

/** What was said on a visit, with what its frames show. Only what was found: a frame without eggs says that none were noted. */
function evidenceOfVisit(apiary: Apiary, visit: Visit): Evidence {
  const frames = Object.values(apiary.reading).filter((r) => r.visitId === visit.id && !r.body.estimated);
  const said = visit.evidence ?? noEvidence(frames.length);
  const on = (...classes: Parameters<typeof shareOf>[1][]) =>
    frames.some((r) => shareOf(r.body, ...classes) > 0);
  return {
    ...said,
    framesRead: Math.max(said.framesRead, Math.min(frames.length, said.framesTotal)),
    ...(said.eggs.look === 'notLooked' &&
      on('eggs') && { eggs: { look: 'found', perCell: 'one', place: 'unsure' } as const }),
    ...(said.olderLarvae.look === 'notLooked' && on('open') && { olderLarvae: { look: 'found' } as const }),
    ...(said.queen.look === 'notLooked' &&
      frames.some((r) => r.body.queenSeen) && { queen: { look: 'found', build: 'unsure' } as const }),
  };
}

import equal from 'fast-deep-equal';
import { daysBetween, yearOf, type Day } from '../../basics/index.ts';
import { isJob } from '../../followup/index.ts';
import type { Verdict } from '../../queen-verdict/index.ts';
import {
  newQueen,
  openFollowUps,
  queenOf,
  type Apiary,
  type Evidence,
  type FollowUp,
} from '../../records/index.ts';
import type { Draft } from './draft.ts';
import { dropLooks } from './droppingLooks.ts';
import { judgeLook } from './judgingInspection.ts';
import { isDayOfDecision, moveWithQueen, waitingLane } from './movingWithQueen.ts';
import { settleQueen } from './settlingQueen.ts';

/**
 * Draws the verdict of an inspection, settles what it settles and files what comes next. It is one thing whether it came
 * with a count, on a day that was due or in passing.
 *
 * @param before - the records as they were: what is looked at now is not counted twice
 * @param ids - identifiers that the client has made for what is filed
 */
export function settleInspection(
  draft: Draft,
  before: Apiary,
  parts: readonly { readonly colonyId: string; readonly evidence: Evidence }[],
  day: Day,
  ids: string[],
): void {
  const looked = parts.map((p) => p.colonyId);
  const joint = judgeLook(before, parts, day);
  settleQueen(draft, joint, day, ids);
  for (const { id, verdict } of joint.parts) {
    if (!verdict || !looked.includes(id)) continue;
    // Whoever has opened it has seen how many bees there are.
    dropLooks(draft, id, (f) => f.topic === 'bees-stay');
    if (verdict.certainty !== 'open') takeOffOpenFollowUps(draft, before, id, verdict);
    fileNext(draft, id, verdict, ids);
    raiseFromGift(draft, id, verdict, day);
    welcomeNewQueen(draft, id, verdict, day, ids);
    moveWithQueen(draft, before, id);
  }
}

/** Whether anything was looked at that tells of the queen: who only noted the temper asked nothing. */
export const speaksOfQueen = (seen: Evidence): boolean =>
  [seen.eggs, seen.youngLarvae, seen.cappedBrood, seen.cells, seen.queen, seen.beesReversing].some(
    (e) => e.look !== 'notLooked',
  );

/** What was to be looked at before is overtaken by what is seen; what is to be done stays, and of a part that waits its last day. */
function takeOffOpenFollowUps(draft: Draft, before: Apiary, colonyId: string, { finding }: Verdict): void {
  const waits = finding === 'raising' || finding === 'virgin-or-mating';
  const lane = waits ? waitingLane(before, before.colony[colonyId]) : null;
  dropLooks(draft, colonyId, (f) => !isJob(f) && (!lane || !isDayOfDecision(f, lane)));
}

function fileNext(draft: Draft, colonyId: string, verdict: Verdict, ids: string[]): void {
  for (const action of verdict.next) {
    if (
      action.window === null ||
      (action.kind === 'leave' && action.window.earliest === action.window.latest)
    )
      continue;
    const kind = action.kind === 'leave' ? ('hands-off' as const) : ('look' as const);
    const expect = `${action.what}. ${action.why}`;
    const same = openFollowUps(draft.apiary).filter(
      (f) => f.topic === action.topic && f.kind === kind && equal(f.window, action.window),
    );
    if (same.some((f) => f.colonyIds.includes(colonyId))) continue;
    const shared = same.find((f) => f.expect === expect && areToldApartTogether(draft, f, colonyId));
    if (shared) {
      draft.put('followUp', { ...shared, colonyIds: [...shared.colonyIds, colonyId] });
      continue;
    }
    const id = ids.shift();
    if (id === undefined) return;
    const workId = draft.get('colony', colonyId)?.separation?.workId;
    draft.put('followUp', {
      id,
      // What a restored file no longer has is not referred to.
      workId: workId && draft.get('work', workId) ? workId : null,
      colonyIds: [colonyId],
      kind,
      topic: action.topic,
      window: action.window,
      expect,
      status: 'open',
    });
  }
}

/** Parts of one split of which nobody knows which has the queen: what is seen in one tells of the others. */
function areToldApartTogether(draft: Draft, followUp: FollowUp, colonyId: string): boolean {
  const separation = draft.get('colony', colonyId)?.separation;
  return separation?.queen === 'unknown' && followUp.colonyIds.every((id) => separation.partIds.includes(id));
}

/** Cells on brood that was given: it has no queen since then at the latest, and its lane begins with that day. */
function raiseFromGift(draft: Draft, colonyId: string, { finding }: Verdict, day: Day): void {
  const colony = draft.get('colony', colonyId);
  const gift = colony?.broodGiven.findLast(
    (g) => g.young && g.day <= day && daysBetween(g.day, day) <= CELLS_OF_GIFT,
  );
  if (!colony || !gift || finding !== 'raising' || colony.separation || queenOf(draft.apiary, colonyId))
    return;
  draft.put('colony', {
    ...colony,
    separation: {
      v: 1,
      day: gift.day,
      workId: null,
      queen: 'elsewhere',
      partIds: [colonyId],
      emergence: null,
    },
  });
}

/** Emergency cells on brood that was given stand for so many days (Winston 1987). */
const CELLS_OF_GIFT = 12;

/** The first eggs of a new queen put her into the register, unmated until flat caps say otherwise. */
function welcomeNewQueen(draft: Draft, colonyId: string, verdict: Verdict, day: Day, ids: string[]): void {
  if (verdict.finding !== 'eggs-unproved' && verdict.finding !== 'mated') return;
  const mating = verdict.finding === 'mated' ? 'mated' : 'unknown';
  const present = queenOf(draft.apiary, colonyId);
  if (present) {
    if (mating === 'mated') draft.put('queen', { ...present, mating });
    return;
  }
  const id = ids.shift();
  if (id === undefined) return;
  draft.put(
    'queen',
    newQueen({ id, birthYear: yearOf(day), mating, whereabouts: { known: 'colony', colonyId } }),
  );
}

import equal from 'fast-deep-equal';
import { daysBetween, yearOf, type Day } from '../../basics/index.ts';
import {
  judgeParts,
  type JointVerdict,
  type LookedPart,
  type PartHistory,
  type Verdict,
} from '../../queen-verdict/index.ts';
import { queenBeliefOf, type DatedLook } from '../../queen-odds/index.ts';
import {
  type CommandOf,
  type Apiary,
  type Colony,
  type FollowUp,
  openFollowUps,
  queenOf,
  queenCame,
  visitsOf,
  newQueen,
} from '../../records/index.ts';
import { broodSlots, maySwarm } from '../../colony/index.ts';
import { colonyOn } from '../../forecast/index.ts';
import { isJob } from '../../followup/index.ts';
import type { Draft } from './draft.ts';
import { dropLooks } from './droppingLooks.ts';
import { isDayOfDecision, moveWithQueen, waitingLane } from './movingWithQueen.ts';
import { settleQueen } from './settlingQueen.ts';

type Path = readonly (string | number)[];

/** What is known of a colony since it was last parted, before a look on `day`. */
function historyOf(apiary: Apiary, colony: Colony, day: Day): PartHistory {
  const since = colony.separation?.day ?? null;
  return {
    name: colony.name,
    separatedOn: colony.separation?.queen === 'here' ? null : since,
    emergence: colony.separation?.emergence ?? null,
    maySwarm: hasBeesToSwarm(apiary, colony, day),
    came: queenCame(apiary, colony, day),
    gifts: colony.broodGiven,
    surplusOut: Object.values(apiary.followUp).some(
      (f) =>
        f.topic === 'surplus-cells' &&
        f.status !== 'dropped' &&
        f.colonyIds.includes(colony.id) &&
        // Not of a split long ago.
        since !== null &&
        f.window.latest >= since,
    ),
    earlier: visitsOf(apiary, colony.id)
      .filter((v) => v.evidence !== null && v.day < day && (since === null || v.day >= since))
      .toReversed()
      .flatMap((v) => (v.evidence ? [{ day: v.day, seen: v.evidence }] : [])),
  };
}

/**
 * The verdict on a look, as {@link decideLook} will store it: parts of one split are judged together, the
 * unopened ones included.
 */
export function judgeLook(
  apiary: Apiary,
  looks: readonly { readonly colonyId: string; readonly evidence: LookedPart['seen'] }[],
  day: Day,
): JointVerdict {
  const seen = new Map(looks.map((l) => [l.colonyId, l.evidence]));
  const first = looks[0] && apiary.colony[looks[0].colonyId];
  const separation = first?.separation;
  const jointly = separation?.queen === 'unknown' ? separation.partIds : looks.map((l) => l.colonyId);
  const ids = [...new Set([...jointly, ...looks.map((l) => l.colonyId)])];
  const parts = ids.flatMap((id): LookedPart[] => {
    const colony = apiary.colony[id];
    if (!colony || colony.endedOn !== null) return [];
    const now = seen.get(id) ?? null;
    return [
      {
        id,
        history: historyOf(apiary, colony, day),
        seen: now,
        belief: now && beliefsWith(apiary, colony, { day, seen: now }),
      },
    ];
  });
  return judgeParts(parts, day);
}

function hasBeesToSwarm(apiary: Apiary, colony: Colony, day: Day): boolean | null {
  const { model } = colonyOn(apiary, colony, day);
  return model && maySwarm(model.framesOfBees, broodSlots(apiary, colony));
}

function beliefsWith(apiary: Apiary, colony: Colony, now: DatedLook) {
  const { separation } = colony;
  const asIs = queenBeliefOf(apiary, colony, now.day, now).belief;
  if (!separation || separation.queen === 'here') return { asIs, ifQueenHere: asIs };
  const known: Colony = { ...colony, separation: { ...separation, queen: 'here' } };
  return { asIs, ifQueenHere: queenBeliefOf(apiary, known, now.day, now).belief };
}

/** Records a look, draws its verdict, settles what it settles and files what comes next. */
export function decideLook(draft: Draft, command: CommandOf<'recordLook'>, path: Path): void {
  const ids = [...command.newIds];
  const before = draft.apiary;
  command.parts.forEach((part, i) => {
    const at = [...path, 'parts', i];
    const colony = draft.need('colony', part.colonyId, [...at, 'colonyId']);
    if (!colony) return;
    const since = colony.separation?.day ?? colony.startedOn;
    if (command.day < since) {
      draft.problem(
        'before-colony',
        [...path, 'day'],
        `${colony.name} has been on its own since ${since}; the inspection is dated ${command.day}.`,
        'Correct the day of the inspection.',
      );
    }
    if (part.evidence.framesRead > part.evidence.framesTotal) {
      draft.problem(
        'more-read-than-there',
        [...at, 'evidence', 'framesRead'],
        `${part.evidence.framesRead} frames read of ${part.evidence.framesTotal}.`,
        'Enter at most as many frames as there are.',
      );
    }
    draft.add(
      'visit',
      {
        id: part.visitId,
        colonyId: part.colonyId,
        day: command.day,
        purpose: 'look',
        note: command.note,
        evidence: part.evidence,
        time: command.time ?? null,
        conditions: command.conditions ?? null,
        clash: null,
        unexpected: null,
      },
      [...at, 'visitId'],
    );
  });
  const followUp =
    command.followUpId === null
      ? undefined
      : draft.need('followUp', command.followUpId, [...path, 'followUpId']);
  if (draft.problems.length > 0) return;
  const looked = command.parts.map((p) => p.colonyId);
  if (followUp) markDone(draft, followUp, looked, ids);
  // The records as they were: what is looked at now is not counted twice.
  const joint = judgeLook(before, command.parts, command.day);
  settleQueen(draft, joint, command.day, ids);
  for (const { id, verdict } of joint.parts) {
    if (!verdict || !looked.includes(id)) continue;
    // Whoever has opened it has seen how many bees there are.
    dropLooks(draft, id, (f) => f.topic === 'bees-stay');
    if (verdict.certainty !== 'open') takeOffOpenFollowUps(draft, before, id, verdict);
    fileNext(draft, id, verdict, ids);
    raiseFromGift(draft, id, verdict, command.day);
    welcomeNewQueen(draft, id, verdict, command.day, ids);
    moveWithQueen(draft, before, id);
  }
}

/** A look that was due is done for those that were looked at; the others still have it before them. */
function markDone(draft: Draft, followUp: FollowUp, looked: readonly string[], ids: string[]): void {
  const left = followUp.colonyIds.filter(
    (id) => !looked.includes(id) && draft.get('colony', id)?.endedOn === null,
  );
  const done = followUp.colonyIds.filter((id) => looked.includes(id));
  if (done.length === 0) return;
  const id = left.length > 0 ? ids.shift() : undefined;
  if (id !== undefined) draft.put('followUp', { ...followUp, id, colonyIds: left });
  draft.put('followUp', {
    ...followUp,
    colonyIds: id === undefined ? followUp.colonyIds : done,
    status: 'done',
  });
}

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

/** Closes a follow-up without a look: a job is done; of a look the beekeeper knows better. */
export function decideCloseFollowUp(draft: Draft, command: CommandOf<'closeFollowUp'>, path: Path): void {
  const followUp = draft.need('followUp', command.followUpId, [...path, 'followUpId']);
  if (followUp) draft.put('followUp', { ...followUp, status: isJob(followUp) ? 'done' : 'dropped' });
}

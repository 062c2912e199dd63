import {
  applyChanges,
  type Command,
  type CommandOf,
  type Apiary,
  type Box,
  boxesOfColony,
  framesOfBox,
  placeOf,
  type WorkReport,
} from '../records/index.ts';
import { decide } from '../decide/index.ts';
import { type Day, failure, success, type Problem, type Result } from '../basics/index.ts';
import { queenCalendar } from '../brood/index.ts';
import { queenLooks } from '../split/index.ts';
import { repairPlan } from './repairPlan.ts';
import { repairYardPlan } from './repairYardPlan.ts';

/**
 * What was really done takes the place of what was planned, and the rest of the plan is made to fit.
 *
 * @param planId - of either kind of plan
 * @returns one command, or several that happen together: what changed outside the plan, and the amended plan
 */
export function reportWork(
  apiary: Apiary,
  planId: string,
  report: WorkReport,
  day: Day,
  newId: () => string,
): Result<Command> {
  const before = outsideThePlan(apiary, planId, report, day, newId);
  if (!before.ok) return before;
  let now = apiary;
  for (const command of before.value) {
    const changed = decide(now, command);
    if (!changed.ok) return changed;
    now = applyChanges(now, changed.value);
  }
  const plan = apiary.plan[planId];
  const yardPlan = apiary.yardPlan[planId];
  if (!plan && !yardPlan) {
    return failure({
      code: 'unknown-id',
      path: ['planId'],
      message: 'This plan is not there any more.',
      remedy: 'Make it again.',
    });
  }
  const amended = plan
    ? repairPlan(now, plan, report, day, newId)
    : repairYardPlan(now, yardPlan as NonNullable<typeof yardPlan>, report, day, newId);
  if (!amended.ok) return amended;
  return success(
    before.value.length === 0 ? amended.value : { type: 'batch', commands: [...before.value, amended.value] },
  );
}

type Single = CommandOf<'moveFrames' | 'addUnit'>;

/** What a report changes in the records at once: a frame in a colony that has no part in the plan, a unit more. */
function outsideThePlan(
  apiary: Apiary,
  planId: string,
  report: WorkReport,
  day: Day,
  newId: () => string,
): Result<readonly Single[]> {
  if (report.what === 'unit-added') return unitOf(apiary, planId, report, day, newId);
  if (report.what !== 'frame-went' || inPlan(apiary, planId, report.toColonyId)) return success([]);
  const colony = apiary.colony[report.toColonyId];
  const frame = apiary.frame[report.frameId];
  if (!colony || !frame) {
    return failure(problem('unknown-id', 'This frame or colony is not there any more.', 'Choose another.'));
  }
  const place = boxesOfColony(apiary, colony)
    .filter((b) => b.sizeId === frame.sizeId)
    .map((box) => ({
      box,
      slot: freeSlotsOf(apiary, box, colony.id).find((s) => report.slot === null || s === report.slot),
    }))
    .find((p) => p.slot !== undefined);
  if (place?.slot === undefined) {
    return failure(
      problem(
        'no-slot-free',
        report.slot === null
          ? `No slot for a frame of this size is free in ${colony.name}.`
          : `Slot ${report.slot} of ${colony.name} is taken.`,
        'Say first which frame came out of it.',
      ),
    );
  }
  return success([
    {
      type: 'moveFrames',
      moves: [{ frameId: frame.id, to: { place: 'box', boxId: place.box.id, slot: place.slot } }],
    },
  ]);
}

const problem = (code: string, message: string, remedy: string): Problem => ({
  code,
  path: ['report'],
  message,
  remedy,
});

function inPlan(apiary: Apiary, planId: string, colonyId: string): boolean {
  const parts = apiary.plan[planId]?.body.parts ?? apiary.yardPlan[planId]?.body.units ?? [];
  return parts.some((p) => p.colonyId === colonyId);
}

function freeSlotsOf(apiary: Apiary, box: Box, colonyId: string): number[] {
  const taken = new Set(framesOfBox(apiary, box.id).map((f) => f.slot));
  return box.chambers.flatMap((c) =>
    c.colonyId === colonyId
      ? Array.from({ length: c.toSlot - c.fromSlot + 1 }, (_, i) => c.fromSlot + i).filter(
          (s) => !taken.has(s),
        )
      : [],
  );
}

/** The slots of the box of a unit that nobody had planned. */
const UNPLANNED_SLOTS = 5;

function unitOf(
  apiary: Apiary,
  planId: string,
  report: Extract<WorkReport, { what: 'unit-added' }>,
  day: Day,
  newId: () => string,
): Result<readonly Single[]> {
  const from = apiary.colony[report.fromColonyId];
  const yard = from && placeOf(apiary, from).yard;
  const sizes = new Set(report.frameIds.map((id) => apiary.frame[id]?.sizeId));
  const [sizeId] = sizes;
  if (!from || !yard || !sizeId) {
    return failure(
      problem('unknown-id', 'This colony or a frame of it is not there any more.', 'Choose others.'),
    );
  }
  if (sizes.size > 1) {
    return failure(
      problem('size', 'Frames of two sizes do not hang in one box.', 'Choose frames of one size.'),
    );
  }
  const colonyId = newId();
  const calendar = queenCalendar(day);
  return success([
    {
      type: 'addUnit',
      day,
      planId,
      fromColonyId: from.id,
      unit: {
        colonyId,
        hiveId: newId(),
        standId: newId(),
        boxId: newId(),
        yardId: yard.id,
        name: report.name,
        sizeId,
        slots: Math.max(UNPLANNED_SLOTS, report.frameIds.length),
      },
      frames: report.frameIds.map((frameId, i) => ({ frameId, slot: i + 1 })),
      looks: [
        {
          topic: 'which-part' as const,
          kind: 'look' as const,
          window: { ...calendar.eggsProveQueen, latest: calendar.surplusCells.latest },
          expect: 'Cells and no eggs: it raises a queen. Neither: give it eggs, a cell or a queen that day.',
        },
        ...queenLooks(['new'], day, calendar.emergence, 'split', {
          rest: 'A virgin emerges, flies and mates. Leave it shut.',
          eggs: 'Eggs of the new queen.',
        }).map(({ topic, kind, window, expect }) => ({ topic, kind, window, expect })),
      ].map((look) => ({
        id: newId(),
        planId: null,
        colonyIds: [colonyId],
        status: 'open' as const,
        ...look,
      })),
    },
  ]);
}

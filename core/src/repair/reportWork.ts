import {
  stepsOfWork,
  applyChanges,
  boxesOfColony,
  framesOfBox,
  placeOf,
  reportInWords,
  type Apiary,
  type Box,
  type Command,
  type CommandOf,
  type KeptReport,
  type Work,
  type WorkReport,
} from '../records/index.ts';
import { decide } from '../decide/index.ts';
import { type Day, failure, success, type Problem, type ProblemCode, type Result } from '../basics/index.ts';
import { queenCalendar } from '../brood/index.ts';
import { queenLooks } from '../split/index.ts';
import { mergeSteps, withReport } from './mergeSteps.ts';
import { replanAction } from './replanAction.ts';
import type { Replanned, UnderReport } from './replanned.ts';
import { replanSplit } from './replanSplit.ts';
import { replanYard } from './replanYard.ts';

/**
 * What was really done takes the place of what was planned, and the rest of the work is made to fit.
 *
 * @returns one command, or several that happen together: what changed outside the work, and the amended work
 */
export function reportWork(
  apiary: Apiary,
  workId: string,
  report: WorkReport,
  day: Day,
  newId: () => string,
): Result<Command> {
  const before = outsideTheWork(apiary, workId, report, day, newId);
  if (!before.ok) return before;
  let now = apiary;
  for (const command of before.value) {
    const changed = decide(now, command);
    if (!changed.ok) return changed;
    now = applyChanges(now, changed.value);
  }
  const work = apiary.work[workId];
  if (!work) {
    return failure({
      code: 'unknown-id',
      path: ['workId'],
      message: 'This plan is not there any more.',
      remedy: 'Make it again.',
    });
  }
  const amended = amend(now, work, report, day, newId);
  if (!amended.ok) return amended;
  return success(
    before.value.length === 0 ? amended.value : { type: 'batch', commands: [...before.value, amended.value] },
  );
}

/** Two virgins in one unit do not stay two. */
const TWO_VIRGINS =
  'A virgin runs here already: other cells in this part are torn down, or she leaves with a swarm. Keep it quiet; give the cells that are left to a part without one.';

/** The work with the report in it. How the rest is planned depends on what was asked, and on nothing else. */
function amend(
  apiary: Apiary,
  work: Work,
  report: WorkReport,
  day: Day,
  newId: () => string,
): Result<CommandOf<'amendWork'>> {
  const steps = stepsOfWork(apiary, work.id);
  const unitOf = (id: string) => work.body.units.find((u) => u.colonyId === id);
  const words = reportInWords(
    apiary,
    report,
    (id) => unitOf(id)?.name ?? apiary.colony[id]?.name ?? 'a colony',
  );
  const reports: KeptReport[] = [...(work.body.reports ?? []), { day, report, words }];
  const replanned = replan({ apiary, work, steps, report, reports, day, newId });
  if (!replanned.ok) return replanned;
  const { body, anew, settled, virginSeen } = replanned.value;
  const told = 'toColonyId' in report ? report.toColonyId : 'colonyId' in report ? report.colonyId : null;
  const key = told === null ? undefined : unitOf(told)?.key;
  const done = withReport(work.id, replanned.value.before, {
    id: newId(),
    report,
    words,
    day,
    unitKeys: key === undefined ? [] : [key],
  });
  return success({
    type: 'amendWork',
    work: {
      ...work,
      status: 'working',
      body: {
        ...body,
        reports,
        cautions: [...(virginSeen ? [TWO_VIRGINS] : []), ...body.cautions.filter((c) => c !== TWO_VIRGINS)],
      },
    },
    steps: mergeSteps(
      done,
      anew,
      settled,
      steps.filter((s) => s.doneOn === null && !done.some((d) => d.id === s.id)),
    ),
  });
}

function replan(under: UnderReport): Result<Replanned> {
  const { asked } = under.work.body;
  switch (asked.source) {
    case 'split':
      return replanSplit(asked, under);
    case 'yard':
      return replanYard(asked, under);
    case 'action':
      return replanAction(under);
    case 'call-out':
      return failure(
        problem(
          'plan-closed',
          'A break-up that was called frame by frame is finished with its last frame.',
          'Correct it with an inspection, or undo it from the journal.',
        ),
      );
  }
}

type Single = CommandOf<'moveFrames' | 'addUnit'>;

/** What a report changes in the records at once: a frame in a colony that has no part in the work, a unit more. */
function outsideTheWork(
  apiary: Apiary,
  workId: string,
  report: WorkReport,
  day: Day,
  newId: () => string,
): Result<readonly Single[]> {
  if (report.what === 'unit-added') return unitOf(apiary, workId, report, day, newId);
  if (report.what !== 'frame-went' || inWork(apiary, workId, report.toColonyId)) return success([]);
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

const problem = (code: ProblemCode, message: string, remedy: string): Problem => ({
  code,
  path: ['report'],
  message,
  remedy,
});

function inWork(apiary: Apiary, workId: string, colonyId: string): boolean {
  return apiary.work[workId]?.body.units.some((u) => u.colonyId === colonyId) === true;
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
  workId: string,
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
      workId,
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
        ...queenLooks(['new'], day, calendar.emergence, 'work', {
          rest: 'A virgin emerges, flies and mates. Leave it shut.',
          eggs: 'Eggs of the new queen.',
        }).map(({ topic, kind, window, expect }) => ({ topic, kind, window, expect })),
      ].map((look) => ({
        id: newId(),
        workId: null,
        colonyIds: [colonyId],
        status: 'open' as const,
        ...look,
      })),
    },
  ]);
}

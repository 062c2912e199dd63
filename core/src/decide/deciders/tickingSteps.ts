import { stepsOfWork, isOpenWork, unitsOfWork, type CommandOf } from '../../records/index.ts';
import { carryOutWork } from './carryOutWork.ts';
import { closes } from './closingVisits.ts';
import type { Draft } from './draft.ts';
import { noteDoneAlready } from './noteDoneAlready.ts';
import { noteClosed } from './planningWork.ts';

type Path = readonly (string | number)[];

/**
 * Ticks a step of the work, or takes the tick back.
 *
 * The first tick begins the work; the last carries it into the records: stands, hives, boxes, colonies, frames,
 * queens and inspections are then as they are in the yard.
 */
export function decideTickStep(draft: Draft, command: CommandOf<'tickStep'>, path: Path): void {
  const at = [...path, 'stepId'];
  const step = draft.need('workStep', command.stepId, at);
  const work = step && draft.need('work', step.workId, at);
  if (!step || !work) return;
  if (!isOpenWork(work)) {
    noteClosed(draft, work, at);
    return;
  }
  if (command.done && step.doneOn !== null) {
    noteDoneAlready(draft, step.doneOn, at);
    return;
  }
  draft.put('workStep', { ...step, doneOn: command.done ? command.day : null });
  const steps = stepsOfWork(draft.apiary, work.id);
  const done = steps.filter((s) => s.doneOn !== null).length;
  if (done === steps.length) {
    const { closing } = command;
    if (!closes(draft, unitsOfWork(draft.apiary, work), closing, [...path, 'closing'])) return;
    carryOutWork(draft, closing ? { ...work, body: { ...work.body, closing } } : work, command.day, at);
    return;
  }
  const status = done > 0 ? 'working' : 'draft';
  if (work.status !== status) draft.put('work', { ...work, status });
}

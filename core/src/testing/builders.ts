import type { FrameSizeId } from '../comb/index.ts';
import { applyChanges } from '../records/change.ts';
import type { Command } from '../records/commands.ts';
import { decide } from '../decide/decide.ts';
import { emptyApiary, newOperation, type Apiary, type Colony } from '../records/records.ts';
import { framesOfColony, stepsOfWork } from '../records/views.ts';
import type { FrameReading } from '../comb/contents.ts';
import { seededIds } from '../demo/seededIds.ts';
import type { Day } from '../basics/day.ts';
import { LEFT_IN_ORDER, unitsOfWork, type ClosingAnswer } from '../records/bodies/closing.ts';

/** The answers that close the visit with this step; nothing while others are left. */
export function closingFor(apiary: Apiary, stepId: string): { closing?: ClosingAnswer[] } {
  const workId = apiary.workStep[stepId]?.workId;
  const work = workId === undefined ? undefined : apiary.work[workId];
  const others = (work ? stepsOfWork(apiary, work.id) : []).filter((s) => s.id !== stepId);
  const units = work ? unitsOfWork(apiary, work) : [];
  if (others.some((s) => s.doneOn === null) || units.length === 0) return {};
  return { closing: units.map(({ colonyId }) => ({ colonyId, ...LEFT_IN_ORDER })) };
}

/** An apiary for tests: commands are carried out at once, and a refused one throws with its problems. */
export class TestYard {
  apiary: Apiary;
  readonly newId: () => string;
  readonly yardId: string;

  constructor(seed = 1) {
    this.newId = seededIds(seed);
    const operationId = this.newId();
    this.yardId = this.newId();
    this.apiary = {
      ...emptyApiary(),
      operation: {
        [operationId]: newOperation(operationId, 'Test'),
      },
    };
    this.run({ type: 'addYard', yard: { id: this.yardId, name: 'Yard', note: '' } });
  }

  run(command: Command): void {
    const result = decide(this.apiary, command);
    if (!result.ok)
      throw new Error(result.problems.map((p) => `${p.path.join('.')}: ${p.message}`).join('\n'));
    this.apiary = applyChanges(this.apiary, result.value);
  }

  /** Nectar comes in from a day on. @param kgPerDay - what ten frames of bees gain in a day, where it was weighed */
  flow(day: Day, kgPerDay: number | null = null): void {
    this.run({ type: 'noteFlow', yardId: this.yardId, what: 'begins', day, by: 'keeper', kgPerDay });
  }

  /** Ticks a step; with the last one every unit answers. */
  tick(stepId: string, day: Day): void {
    this.run({ type: 'tickStep', stepId, done: true, day, ...closingFor(this.apiary, stepId) });
  }

  /** Problems of a command that must be refused, as `code at path`. */
  refused(command: Command): string[] {
    const result = decide(this.apiary, command);
    return result.ok ? [] : result.problems.map((p) => `${p.code} at ${p.path.join('.')}`);
  }

  /** A hive of deep boxes with the given frames, set up on 1 May and counted on `day`. */
  hive(
    name: string,
    boxes: readonly (readonly FrameReading[])[],
    day = '2026-05-09',
    slots = 10,
    sizeId: FrameSizeId = 'langstroth-deep',
  ): Colony {
    const colonyId = this.newId();
    this.run({
      type: 'addHives',
      yardId: this.yardId,
      day: day < '2026-05-01' ? day : '2026-05-01',
      hives: [
        {
          hiveId: this.newId(),
          standId: this.newId(),
          colonyId,
          name,
          boxes: boxes.map((b) => ({
            id: this.newId(),
            sizeId,
            slots,
            role: 'brood',
            frames: b.map((_, i) => ({ id: this.newId(), slot: i + 1, blank: 'drawn', combYear: null })),
          })),
        },
      ],
    });
    const colony = this.colony(name);
    const all = boxes.flat();
    this.run({
      type: 'recordCount',
      visitId: this.newId(),
      colonyId,
      day,
      note: '',
      readings: framesOfColony(this.apiary, colony).map((p, i) => ({
        id: this.newId(),
        frameId: p.frame.id,
        body: all[i] as never,
      })),
    });
    return this.colony(name);
  }

  colony(name: string): Colony {
    const colony = Object.values(this.apiary.colony).find((c) => c.name === name);
    if (!colony) throw new Error(`no colony ${name}`);
    return colony;
  }

  /** Takes frames into the store. */
  stock(blank: 'drawn' | 'foundation', n: number): void {
    this.run({
      type: 'addToStore',
      frames: Array.from({ length: n }, () => ({
        id: this.newId(),
        sizeId: 'langstroth-deep',
        blank,
        combYear: null,
      })),
    });
  }
}

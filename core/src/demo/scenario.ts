import { isInspection } from '../followup/index.ts';
import { demoHappenings } from './demoHappenings.ts';
import { decide, summarise } from '../decide/index.ts';
import {
  applyChanges,
  type Change,
  type Command,
  emptyApiary,
  newOperation,
  type Apiary,
  coloniesOfYard,
  framesOfColony,
  openFollowUps,
  type MethodId,
  LEFT_IN_ORDER,
  unitsOfWork,
  noEvidence,
  type MarkingColour,
} from '../records/index.ts';
import { spreadNest, type NestTotals } from '../brood/index.ts';
import type { Day } from '../basics/index.ts';
import { bothSides, type CellFinding, type FrameReading, type FrameSizeId } from '../comb/index.ts';
import type { JournalEntry } from '../formats/index.ts';
import { makePlan } from '../split/index.ts';
import { DEMO_COLONIES, type DemoColony } from './colonies.ts';
import { seededIds } from './seededIds.ts';

/** The day on which the demonstration stands still. */
export const DEMO_DAY: Day = '2026-05-15';

const SET_UP_ON: Day = '2026-04-04';

/** The records of the demonstration and the journal that led to them. */
export interface Scenario {
  readonly apiary: Apiary;
  readonly journal: readonly JournalEntry[];
}

/** Equipment in the shed; nuc boxes of five frames were lent out, and nobody has counted them since. */
const DEMO_KIT = {
  floor: 2,
  box: 3,
  'inner cover': 2,
  roof: 2,
  stand: 3,
  'entrance block': 4,
  feeder: 3,
  'queen excluder': 2,
  'hive tag': 1,
  'nuc box, 4 frames, with floor and lid': 2,
};
const STORE_COUNTED_ON = '2026-05-14';

/**
 * Builds the demonstration by the same commands that a beekeeper's clicks make: two yards, a dozen
 * colonies, two splits under way. All of it is made up.
 */
export function demoScenario(): Scenario {
  const newId = seededIds(20260515);
  const operation = newOperation(newId(), 'Two yards on the river', { fixedToday: DEMO_DAY });
  let apiary: Apiary = { ...emptyApiary(), operation: { [operation.id]: operation } };
  const journal: JournalEntry[] = [];
  const run = (day: Day, command: Command) => {
    const result = decide(apiary, command);
    if (!result.ok)
      throw new Error(`demo: ${result.problems.map((p) => `${p.path.join('.')}: ${p.message}`).join(' ')}`);
    const minute = String(journal.length % 60).padStart(2, '0');
    const at = `${day}T${String(9 + Math.floor((journal.length / 60) % 9)).padStart(2, '0')}:${minute}:00.000Z`;
    journal.push({
      id: newId(),
      seq: journal.length + 1,
      madeAt: at,
      doneAt: at,
      type: command.type,
      summary: summarise(apiary, command),
      undoneBy: null,
      body: { v: 1, changes: result.value as Change[] },
    });
    apiary = applyChanges(apiary, result.value);
  };
  const colonyNamed = (name: string) => {
    const colony = Object.values(apiary.colony).find((c) => c.name === name);
    if (!colony) throw new Error(`demo: no colony ${name}`);
    return colony;
  };

  const yards = { bank: newId(), ferry: newId() };
  run(SET_UP_ON, {
    type: 'addYard',
    yard: { id: yards.bank, name: 'Sallow Bank', note: 'South slope, willows. Gate sticks.' },
  });
  run(SET_UP_ON, {
    type: 'addYard',
    yard: { id: yards.ferry, name: 'Ferry Field', note: 'Across the river, 5 km by road.' },
  });
  for (const yard of ['bank', 'ferry'] as const) {
    run(SET_UP_ON, {
      type: 'addHives',
      yardId: yards[yard],
      day: SET_UP_ON,
      hives: DEMO_COLONIES.filter((c) => c.yard === yard).map((c) => hiveOf(c, newId)),
    });
  }
  const store = (sizeId: FrameSizeId, blank: 'drawn' | 'foundation', n: number) =>
    Array.from({ length: n }, () => ({
      id: newId(),
      sizeId,
      blank,
      combYear: blank === 'drawn' ? 2025 : 2026,
    }));
  run(SET_UP_ON, {
    type: 'addToStore',
    frames: [
      ...store('langstroth-deep', 'drawn', 9),
      ...store('langstroth-deep', 'foundation', 14),
      ...store('langstroth-medium', 'drawn', 6),
    ],
  });
  for (const c of DEMO_COLONIES) {
    if (c.queen) {
      run(SET_UP_ON, {
        type: 'putQueen',
        queen: {
          id: newId(),
          name: c.queen.name,
          birthYear: c.queen.birthYear,
          dot: c.queen.dot as MarkingColour | null,
          mating: 'mated',
          whereabouts: { known: 'colony', colonyId: colonyNamed(c.name).id },
        },
      });
    }
    for (const count of c.counts) run(count.day, countOf(apiary, colonyNamed(c.name).id, count, newId));
    if (c.split) {
      split(c.split.day, c.name, c.split.methodId, c.split.newName);
      for (const count of c.split.countsOfNew) {
        run(count.day, countOf(apiary, colonyNamed(c.split.newName).id, count, newId));
      }
      for (const look of c.split.looks) {
        const colony = colonyNamed(look.colony);
        const due = openFollowUps(apiary).find((f) => isInspection(f) && f.colonyIds.includes(colony.id));
        const frames = framesOfColony(apiary, colony).length;
        run(look.day, {
          type: 'recordLook',
          followUpId: due?.id ?? null,
          day: look.day,
          note: look.note,
          parts: [
            {
              visitId: newId(),
              colonyId: colony.id,
              evidence: { ...noEvidence(frames), framesRead: frames, ...look.seen },
            },
          ],
          newIds: Array.from({ length: 12 }, newId),
        });
      }
    }
  }
  run(STORE_COUNTED_ON, {
    type: 'setKit',
    items: Object.entries(DEMO_KIT).map(([what, count]) => ({ id: newId(), what, count })),
  });
  for (const { day, command } of demoHappenings(apiary, yards, newId)) run(day, command);
  return { apiary, journal };

  function split(day: Day, name: string, methodId: MethodId, newName: string) {
    const planned = makePlan(
      apiary,
      { colonyId: colonyNamed(name).id, methodId, day, newName, options: {} },
      newId,
    );
    if (!planned.ok) throw new Error(`demo: ${planned.problems[0]?.message ?? 'no plan'}`);
    run(day, planned.value.command);
    const { work, steps } = planned.value.command;
    const closing = unitsOfWork(apiary, work).map(({ colonyId }) => ({ colonyId, ...LEFT_IN_ORDER }));
    steps.forEach((step, i) =>
      run(day, {
        type: 'tickStep',
        stepId: step.id,
        done: true,
        day,
        ...(i === steps.length - 1 && { closing }),
      }),
    );
    // The lid was lifted next day: enough bees had stayed.
    for (const f of openFollowUps(apiary).filter((o) => o.topic === 'bees-stay'))
      run(f.window.likely, { type: 'closeFollowUp', followUpId: f.id });
  }
}

function hiveOf(colony: DemoColony, newId: () => string) {
  return {
    hiveId: newId(),
    standId: newId(),
    colonyId: newId(),
    name: colony.name,
    boxes: colony.boxes.map((b) => ({
      id: newId(),
      sizeId: b.sizeId,
      slots: b.slots,
      role: b.role ?? ('brood' as const),
      frames: Array.from({ length: b.frames ?? b.slots }, (_, i) => ({
        id: newId(),
        slot: i + 1,
        blank: 'drawn' as const,
        combYear: 2021 + ((i * 3) % 5),
      })),
    })),
  };
}

/** What was counted on one day, box by box from the bottom. */
export interface DemoCount {
  readonly day: Day;
  readonly boxes: readonly NestTotals[];
  /** Box and slot where the queen was seen, both from 1. */
  readonly queenAt?: readonly [number, number];
  readonly cellsAt?: readonly {
    readonly at: readonly [number, number];
    readonly cells: readonly CellFinding[];
  }[];
  readonly note?: string;
}

function countOf(apiary: Apiary, colonyId: string, count: DemoCount, newId: () => string): Command {
  const colony = apiary.colony[colonyId];
  if (!colony) throw new Error('demo: no such colony');
  const placed = framesOfColony(apiary, colony);
  const boxIds = [...new Set(placed.map((p) => p.box.id))];
  const readings = placed.map((p) => {
    const boxNo = boxIds.indexOf(p.box.id);
    const totals = count.boxes[boxNo];
    const spread = totals ? spreadNest(placed.filter((q) => q.box.id === p.box.id).length, totals) : [];
    const inBox = placed.filter((q) => q.box.id === p.box.id).findIndex((q) => q.frame.id === p.frame.id);
    const base = spread[inBox] ?? bothSides({ drawn: 10 }, 0);
    const isAt = (at: readonly [number, number] | undefined) => at?.[0] === boxNo + 1 && at[1] === p.slot;
    const body: FrameReading = {
      ...base,
      estimated: false,
      queenSeen: isAt(count.queenAt),
      cells: [...(count.cellsAt?.find((c) => isAt(c.at))?.cells ?? [])],
    };
    return { id: newId(), frameId: p.frame.id, body: body as never };
  });
  return {
    type: 'recordCount',
    visitId: newId(),
    colonyId,
    day: count.day,
    note: count.note ?? '',
    readings,
  };
}

/** The demonstration's yards, for tests that want to name them. */
export function demoColonyNames(scenario: Scenario): string[] {
  return Object.keys(scenario.apiary.yard).flatMap((y) =>
    coloniesOfYard(scenario.apiary, y).map((c) => c.name),
  );
}

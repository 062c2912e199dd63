import { NUC_SLOTS } from '../rules/index.ts';
import type { Command } from '../records/index.ts';
import type { FrameSizeId } from '../comb/index.ts';
import type { RowProblem } from './countCsv.ts';

interface Row {
  readonly line: number;
  readonly yard: string;
  readonly box: number;
  readonly slot: number;
  readonly day: string;
  readonly size: FrameSizeId;
}

/** Frames in an ordinary box, for a hive of which only some frames were counted. */
const USUAL_SLOTS = 10;

/**
 * Sets up a hive that a file of counts names for the first time, and its yard if that is new as well.
 *
 * A box gets a frame for each row; the number of slots is that of an ordinary box or a nuc. Returns where
 * each frame hangs, or undefined when the rows do not make a hive, which is then among the problems.
 */
export function colonyStart(
  hive: string,
  rows: readonly Row[],
  yardIds: Map<string, string>,
  newId: () => string,
  commands: Command[],
  problems: RowProblem[],
): { colonyId: string; frameAt: Map<string, string> } | undefined {
  const first = rows[0] as Row;
  const yard =
    rows.find((r) => r.yard !== '')?.yard ?? (yardIds.size === 1 ? [...yardIds.keys()][0] : undefined);
  const refuse = (line: number, column: string, message: string, remedy: string) => {
    problems.push({ line, column, message, remedy });
    return undefined;
  };
  if (yard === undefined) {
    return refuse(
      first.line,
      'yard',
      `${hive} is new, and its row names no yard.`,
      'Fill in the yard for this hive.',
    );
  }
  const boxNumbers = [...new Set(rows.map((r) => r.box))].toSorted((a, b) => a - b);
  const gap = boxNumbers.findIndex((b, i) => b !== i + 1);
  if (gap >= 0) {
    return refuse(
      first.line,
      'box',
      `${hive} is new and has no box ${gap + 1}.`,
      'Count boxes from the bottom without gaps.',
    );
  }
  let yardId = yardIds.get(yard);
  if (!yardId) {
    yardId = newId();
    yardIds.set(yard, yardId);
    commands.push({ type: 'addYard', yard: { id: yardId, name: yard, note: '' } });
  }
  const colonyId = newId();
  const frameAt = new Map<string, string>();
  const boxes = boxNumbers.map((number) => {
    const ofBox = rows.filter((r) => r.box === number);
    const slotsUsed = [...new Set(ofBox.map((r) => r.slot))].toSorted((a, b) => a - b);
    const top = Math.max(...slotsUsed);
    const slots = top > NUC_SLOTS ? Math.max(USUAL_SLOTS, top) : boxNumbers.length === 1 ? top : USUAL_SLOTS;
    return {
      id: newId(),
      sizeId: ofBox[0]?.size ?? 'langstroth-deep',
      slots,
      role: 'brood' as const,
      frames: slotsUsed.map((slot) => {
        const id = newId();
        frameAt.set(`${number}/${slot}`, id);
        return { id, slot, blank: 'drawn' as const, combYear: null };
      }),
    };
  });
  const day = rows.reduce((d, r) => (r.day < d ? r.day : d), first.day);
  commands.push({
    type: 'addHives',
    yardId,
    day,
    hives: [{ hiveId: newId(), standId: newId(), colonyId, name: hive, boxes }],
  });
  return { colonyId, frameAt };
}

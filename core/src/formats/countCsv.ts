import { z } from 'zod';
import { colonyStart } from './newHiveFromCsv.ts';
import {
  type Command,
  applyChanges,
  type Apiary,
  type Colony,
  boxesOfColony,
  framesOfColony,
} from '../records/index.ts';
import { decide } from '../decide/index.ts';
import { daySchema, type Day } from '../basics/index.ts';
import {
  bothSides,
  problemsOfReading,
  sumOfTenths,
  type CellFinding,
  type Contents,
  type FrameReading,
  FRAME_SIZE_IDS,
  frameSizeId,
  type FrameSizeId,
} from '../comb/index.ts';

/** One documented column of a file of counts. */
export interface CountColumn {
  readonly name: string;
  readonly needed: boolean;
  readonly meaning: string;
}

const column = (name: string, needed: boolean, meaning: string): CountColumn => ({ name, needed, meaning });

/** The columns of a file of counts: one row a frame. Amounts are tenths of the whole frame, 0 to 10. */
export const COUNT_COLUMNS: readonly CountColumn[] = [
  column('yard', false, 'Yard of the hive. Needed only for a hive that is new.'),
  column('hive', true, 'Name of the hive.'),
  column('box', true, 'Box, counted from the bottom: 1, 2, 3.'),
  column('slot', true, 'Frame, counted from one named side: 1, 2, 3.'),
  column('day', true, 'Day of the count, as 2026-05-14.'),
  column(
    'size',
    false,
    `Frame size of a new hive: ${FRAME_SIZE_IDS.join(', ')}. Langstroth deep if left out.`,
  ),
  column('bees', true, 'Tenths of the frame covered by bees.'),
  column('eggs', false, 'Tenths with eggs.'),
  column('open', false, 'Tenths with open brood.'),
  column('capped', false, 'Tenths with capped brood.'),
  column('emerging', false, 'Tenths with brood chewing out.'),
  column('drone', false, 'Tenths with drone brood.'),
  column('bee_bread', false, 'Tenths with bee bread.'),
  column('honey', false, 'Tenths with honey.'),
  column('nectar', false, 'Tenths with nectar.'),
  column('foundation', false, 'Tenths of foundation. What is named by no column is empty comb.'),
  column('queen', false, 'yes if she was seen on this frame.'),
  column('cups', false, 'Number of empty cups.'),
  column('charged_cells', false, 'Number of cups with larva and jelly.'),
  column('open_cells', false, 'Number of drawn, open queen cells.'),
  column('capped_cells', false, 'Number of capped queen cells.'),
];

/** A row as a CSV reader gives it, with its line in the file. */
export interface CountRow {
  readonly line: number;
  readonly fields: Readonly<Record<string, string>>;
}

/** Something wrong with one row, or with the file (line 1). */
export interface RowProblem {
  readonly line: number;
  readonly column: string;
  readonly message: string;
  readonly remedy: string;
}

/** What a file would do if it were imported. */
export interface CountImport {
  readonly commands: readonly Command[];
  /** One a hive and day. */
  readonly counts: readonly {
    readonly hive: string;
    readonly day: Day;
    readonly frames: number;
    readonly isNew: boolean;
  }[];
  readonly problems: readonly RowProblem[];
  readonly rowsTaken: number;
}

const CONTENT_COLUMNS = {
  eggs: 'eggs',
  open: 'open',
  capped: 'capped',
  emerging: 'emerging',
  drone: 'drone',
  bee_bread: 'beeBread',
  honey: 'honey',
  nectar: 'nectar',
  foundation: 'foundation',
} as const satisfies Record<string, keyof Contents>;

const CELL_COLUMNS = {
  cups: 'cup',
  charged_cells: 'charged',
  open_cells: 'open',
  capped_cells: 'capped',
} as const;

const tenths = z.coerce.number<string>().min(0).max(10);
const position = z.coerce.number<string>().int().min(1).max(40);
const cellCount = z.coerce.number<string>().int().min(0).max(200);

interface GoodRow {
  readonly line: number;
  readonly yard: string;
  readonly hive: string;
  readonly box: number;
  readonly slot: number;
  readonly day: Day;
  readonly size: FrameSizeId;
  readonly reading: FrameReading;
}

/**
 * Works out what a file of counts would do, without doing it.
 *
 * Rows are judged one by one; a bad row is explained and left out, and does not spoil the others. Hives
 * that do not exist yet are set up in the yard that the row names.
 */
export function planCountImport(
  apiary: Apiary,
  rows: readonly CountRow[],
  today: Day,
  newId: () => string,
): CountImport {
  const problems: RowProblem[] = [];
  const first = rows[0];
  if (!first) {
    return {
      commands: [],
      counts: [],
      rowsTaken: 0,
      problems: [
        {
          line: 1,
          column: '',
          message: 'The file has no rows.',
          remedy: 'Add one row a frame under the line of column names.',
        },
      ],
    };
  }
  const missing = COUNT_COLUMNS.filter((c) => c.needed && !(c.name in first.fields));
  problems.push(
    ...missing.map((c) => ({
      line: 1,
      column: c.name,
      message: `The column ${c.name} is missing.`,
      remedy: c.meaning,
    })),
  );
  for (const name of Object.keys(first.fields)) {
    if (!COUNT_COLUMNS.some((c) => c.name === name)) {
      problems.push({
        line: 1,
        column: name,
        message: `The column ${name} is not known and is left out.`,
        remedy: `Known columns: ${COUNT_COLUMNS.map((c) => c.name).join(', ')}.`,
      });
    }
  }
  if (missing.length > 0) return { commands: [], counts: [], rowsTaken: 0, problems };
  const good = rows.flatMap((row) => readRow(row, today, problems));
  return { ...commandsFor(apiary, good, newId, problems), problems };
}

/** Numbers that no row can do without. */
const NUMBERS_NEEDED: ReadonlySet<string> = new Set(['box', 'slot', 'bees']);

function readRow(row: CountRow, today: Day, problems: RowProblem[]): GoodRow[] {
  const before = problems.length;
  const bad = (name: string, message: string, remedy: string) =>
    problems.push({ line: row.line, column: name, message, remedy });
  const text = (name: string) => (row.fields[name] ?? '').trim();
  const number = (name: string, schema: z.ZodType<number, string>, range: string): number => {
    const raw = text(name).replace(',', '.');
    if (raw === '') return 0;
    const parsed = schema.safeParse(raw);
    if (parsed.success) return parsed.data;
    bad(
      name,
      `“${text(name)}” is not a number ${range}.`,
      `Enter a number ${range}${NUMBERS_NEEDED.has(name) ? '' : ', or leave it empty'}.`,
    );
    return 0;
  };
  const hive = text('hive');
  if (hive === '') bad('hive', 'The hive has no name.', 'Name the hive.');
  for (const name of NUMBERS_NEEDED) {
    if (text(name) === '')
      bad(name, `${name} is empty.`, COUNT_COLUMNS.find((c) => c.name === name)?.meaning ?? '');
  }
  const box = number('box', position, 'from 1 to 40');
  const slot = number('slot', position, 'from 1 to 40');
  const day = text('day');
  if (!daySchema.safeParse(day).success) bad('day', `“${day}” is not a day.`, 'Write it as 2026-05-14.');
  else if (day > today) bad('day', `${day} is in the future.`, 'Correct the day.');
  const sizeText = text('size') || 'langstroth-deep';
  const size = frameSizeId.safeParse(sizeText);
  if (!size.success)
    bad('size', `“${sizeText}” is not a known frame size.`, `One of ${FRAME_SIZE_IDS.join(', ')}.`);
  const contents: Record<string, number> = {};
  for (const [name, content] of Object.entries(CONTENT_COLUMNS)) {
    const value = number(name, tenths, 'from 0 to 10');
    if (value > 0) contents[content] = value;
  }
  const bees = number('bees', tenths, 'from 0 to 10');
  const rest = 10 - sumOfTenths(contents);
  if (rest > 1e-9) contents['drawn'] = rest;
  const cells = Object.entries(CELL_COLUMNS).flatMap(([name, kind]): CellFinding[] => {
    const count = number(name, cellCount, 'from 0 to 200');
    return count > 0 ? [{ kind, count }] : [];
  });
  const queen = text('queen').toLowerCase();
  if (!['', 'yes', 'no', 'y', 'n', '1', '0', 'x'].includes(queen))
    bad('queen', `“${queen}” is neither yes nor no.`, 'Write yes, no or nothing.');
  const reading = bothSides(contents, bees, { cells, queenSeen: ['yes', 'y', '1', 'x'].includes(queen) });
  const impossible = problemsOfReading(reading, [], ['frame', 'frame'])[0];
  if (impossible) bad('', impossible.message, impossible.remedy);
  if (problems.length > before || !size.success) return [];
  return [{ line: row.line, yard: text('yard'), hive, box, slot, day, size: size.data, reading }];
}

function commandsFor(apiary: Apiary, rows: readonly GoodRow[], newId: () => string, problems: RowProblem[]) {
  const commands: Command[] = [];
  const counts: CountImport['counts'][number][] = [];
  let rowsTaken = 0;
  const yardIds = new Map(Object.values(apiary.yard).map((y) => [y.name, y.id]));
  const existing = new Map(
    Object.values(apiary.colony)
      .filter((c) => c.endedOn === null)
      .map((c) => [c.name, c]),
  );
  // New hives are set up here first, so that their counts can be asked about like any other.
  let imagined = apiary;
  for (const [hive, ofHive] of groupBy(rows, (r) => r.hive)) {
    const colony = existing.get(hive);
    const before = commands.length;
    const place = colony
      ? slotsOfColony(apiary, colony)
      : colonyStart(hive, ofHive, yardIds, newId, commands, problems);
    if (!place) continue;
    for (const command of commands.slice(before)) {
      const result = decide(imagined, command);
      if (result.ok) imagined = applyChanges(imagined, result.value);
    }
    for (const [day, ofDay] of groupBy(ofHive, (r) => r.day)) {
      const readings = ofDay.flatMap((r) => {
        const frameId = place.frameAt.get(`${r.box}/${r.slot}`);
        if (frameId) return [{ id: newId(), frameId, line: r.line, body: r.reading as never }];
        problems.push({
          line: r.line,
          column: 'slot',
          message: `No frame hangs in box ${r.box}, slot ${r.slot} of ${hive}.`,
          remedy: 'Correct box and slot, or put a frame there first.',
        });
        return [];
      });
      if (readings.length === 0) continue;
      const count: Command = {
        type: 'recordCount',
        visitId: newId(),
        colonyId: place.colonyId,
        day,
        note: 'From a file of counts.',
        readings: readings.map(({ line: _line, ...r }) => r),
      };
      if (
        !isPossible(
          imagined,
          count,
          hive,
          readings.map((r) => r.line),
          problems,
        )
      )
        continue;
      commands.push(count);
      counts.push({ hive, day, frames: readings.length, isNew: !colony });
      rowsTaken += readings.length;
    }
  }
  return { commands, counts, rowsTaken };
}

/** Asks whether a count would be taken, and says for its rows why not. */
function isPossible(
  apiary: Apiary,
  count: Command,
  hive: string,
  lines: readonly number[],
  problems: RowProblem[],
): boolean {
  const result = decide(apiary, count);
  if (result.ok) return true;
  for (const p of result.problems) {
    const at = p.path[0] === 'readings' && typeof p.path[1] === 'number' ? lines[p.path[1]] : lines[0];
    problems.push({ line: at ?? 1, column: '', message: `${hive}: ${p.message}`, remedy: p.remedy });
  }
  return false;
}

function slotsOfColony(apiary: Apiary, colony: Colony) {
  const boxes = boxesOfColony(apiary, colony).map((b) => b.id);
  return {
    colonyId: colony.id,
    frameAt: new Map(
      framesOfColony(apiary, colony).map((p) => [`${boxes.indexOf(p.box.id) + 1}/${p.slot}`, p.frame.id]),
    ),
  };
}

function groupBy<T>(items: readonly T[], key: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const item of items) {
    const list = groups.get(key(item));
    if (list) list.push(item);
    else groups.set(key(item), [item]);
  }
  return groups;
}

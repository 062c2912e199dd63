import { numberAt } from '../../basics/index.ts';
import { INFINITE, type LinearModel } from '../model/linearModel.ts';
import type { RuleRow } from '../model/pooledModel.ts';
import type { YardProblem } from '../problem/problem.ts';

/** A rule that leaves a hive less room than this tells too little of what opening it is worth. */
const LEAST_ROOM = 0.1;

/** A row for each yard that counts its hives that are opened. */
export function rowsOfYards(
  problem: YardProblem,
  model: LinearModel,
  opened: readonly number[],
): Map<string, number> {
  const rows = new Map<string, number>();
  for (const unit of problem.units) {
    const column = numberAt(opened, unit.index);
    if (column < 0) continue;
    const row = rows.get(unit.yardId) ?? model.row(0, problem.units.length);
    rows.set(unit.yardId, row);
    model.add(row, column, 1);
  }
  return rows;
}

/** Rows of single hives, what they can give and each of their frames: what stands in them for the hive opened. */
export function roomInHives(model: LinearModel, opened: readonly number[]): Map<number, number> {
  const columns = model.entriesByColumn();
  const rows = new Map<number, number>();
  const shared = new Set<number>();
  for (const column of opened) {
    for (const [row, room] of columns[column] ?? []) {
      if (rows.has(row)) shared.add(row);
      rows.set(row, room);
    }
  }
  for (const row of shared) rows.delete(row);
  return rows;
}

/**
 * Rows of one rule for all hives of a yard together: what is asked of them, each by its own room, is no more than
 * the hives that are opened. They follow from the rows of the hives. What they are worth holds for every hive,
 * also for those of which the model knows nothing yet.
 *
 * @returns their numbers
 */
export function addCommonRows(
  model: LinearModel,
  ruleRows: readonly RuleRow[],
  opened: readonly number[],
): number[] {
  const columns = model.entriesByColumn();
  const common = new Map<string, number>();
  // By row of a hive: the common row, and by how much it is divided.
  const partOf = new Map<number, readonly [row: number, room: number]>();
  for (const { row, rule, unit, pool } of ruleRows) {
    if (pool || !rule.hard) continue;
    const room = columns[numberAt(opened, unit.index)]?.find(([r]) => r === row)?.[1] ?? 0;
    if (Math.abs(room) < LEAST_ROOM) continue;
    const key = `${unit.yardId}${rule.id.slice(unit.key.length)}`;
    const sum = common.get(key) ?? model.row(-INFINITE, 0);
    common.set(key, sum);
    partOf.set(row, [sum, room]);
  }
  columns.forEach((entries, column) => {
    for (const [row, value] of entries) {
      const part = partOf.get(row);
      if (part) model.add(part[0], column, -value / part[1]);
    }
  });
  return [...common.values()];
}

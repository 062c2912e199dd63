import type { LinearModel } from './linearModel.ts';
import type { RuleRow } from './pooledModel.ts';
import type { YardProblem } from './problem.ts';

/** A rule that leaves a hive less room than this is not worth the price of opening it. */
const LEAST_ROOM = 0.1;

/** A row for each yard that counts its hives that are opened. */
export function rowsOfYards(
  problem: YardProblem,
  model: LinearModel,
  opened: readonly number[],
): Map<string, number> {
  const rows = new Map<string, number>();
  for (const unit of problem.units) {
    const column = opened[unit.index] as number;
    if (column < 0) continue;
    const row = rows.get(unit.yardId) ?? model.row(0, problem.units.length);
    rows.set(unit.yardId, row);
    model.add(row, column, 1);
  }
  return rows;
}

/** Rules of colonies by kind: the row, and what stands in it for the hive that is opened. */
export type RoomByRule = ReadonlyMap<string, readonly { readonly row: number; readonly room: number }[]>;

/** What each rule leaves a hive to give when it is opened. */
export function roomByRule(
  ruleRows: readonly RuleRow[],
  model: LinearModel,
  opened: readonly number[],
): RoomByRule {
  const columns = model.entriesByColumn();
  const rules = new Map<string, { row: number; room: number }[]>();
  for (const { row, rule, unit, pool } of ruleRows) {
    if (pool || !rule.hard) continue;
    const room = columns[opened[unit.index] as number]?.find(([r]) => r === row)?.[1] ?? 0;
    if (Math.abs(room) < LEAST_ROOM) continue;
    const kind = rule.id.slice(unit.key.length);
    rules.set(kind, [...(rules.get(kind) ?? []), { row, room }]);
  }
  return rules;
}

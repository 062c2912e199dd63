import { floatAt, numberAt } from '../../basics/index.ts';
import { stayShares } from '../../rules/index.ts';
import { broughtBy, effectsOfPlace, effectsOfShake, type Effect } from '../problem/effects.ts';
import { AT, noMeasures, type Measured } from '../rules/measures.ts';
import { PRICES, priceOfMove, priceOfShake } from '../problem/prices.ts';
import { alikeNucs, STORE, type YardFrame, type YardProblem, type YardUnit } from '../problem/problem.ts';
import { INFINITE, LinearModel } from './linearModel.ts';
import type { YardPlanRequest } from '../../records/index.ts';
import type { UnitRule } from '../rules/unitRule.ts';

/** The nucs of one goal in one yard, taken as one pool. */
export interface NucPool {
  readonly goalId: string;
  readonly yardId: string;
  readonly nucs: readonly YardUnit[];
  /** The column that says how many of them are made. */
  readonly made: number;
}

/** A rule of a colony or pool, with its row. */
export interface RuleRow {
  readonly row: number;
  readonly rule: UnitRule;
  readonly unit: YardUnit;
  readonly pool: NucPool | null;
}

/** Something that may be done with a frame, and its column. */
export interface Way {
  readonly column: number;
  /** The frame; for combs of the store, one of those that are alike. */
  readonly frame: YardFrame;
  /** The unit to which it goes, or for which it is shaken; {@link STORE}; of a pool, its first nuc. */
  readonly to: number;
  readonly pool: NucPool | null;
  readonly isShake: boolean;
  /** How often: once, or as many alike combs as the store holds. */
  readonly most: number;
  /** What the unit that it is for gets by it. */
  readonly brings: Measured;
}

/** A goal for nucs, with the row that says how many are made at most. */
export interface GoalRow {
  readonly row: number;
  readonly wanted: number;
  readonly pools: readonly NucPool[];
}

/** The model of a problem that is easier than the problem itself. */
export interface PooledModel {
  readonly model: LinearModel;
  readonly pools: readonly NucPool[];
  readonly ruleRows: readonly RuleRow[];
  readonly ways: readonly Way[];
  readonly goalRows: readonly GoalRow[];
  /** By unit: the column that opens the hive; below zero for a nuc. */
  readonly opened: readonly number[];
  /** The rows that limit what is done in a day, as far as there are limits. */
  readonly limitRows: Readonly<Record<keyof YardPlanRequest['limits'], number | null>>;
  /** Rows that say how many combs of a kind the store holds. */
  readonly storeRows: readonly number[];
}

/** How the model is written down. */
export interface Pooling {
  /** Every nuc for itself: the problem as it is, exact, but slow beyond a dozen colonies. */
  readonly nucsApart?: boolean;
  /** What a nuc that is not made costs, when it is to cost less than it does. */
  readonly nucMissing?: number;
}

/**
 * Writes down a model that every plan of the problem fits into, but not the other way round: the nucs of one
 * recipe in one yard share their frames as one pool. What it costs at least, every plan costs at least.
 *
 * Valid because every rule of a nuc is linear and nucs of one recipe have the same rules: if each of n nucs
 * keeps a rule, their sum keeps n times the rule.
 *
 */
export function pooledModel(
  problem: YardProblem,
  { nucsApart = false, nucMissing = PRICES.nucMissing }: Pooling = {},
): PooledModel {
  const { units, frames } = problem;
  const model = new LinearModel();
  const pools = poolsOf(problem, model, nucsApart, nucMissing);
  const poolOf = new Map<number, NucPool>();
  for (const p of pools) for (const n of p.nucs) poolOf.set(n.index, p);
  const goals = goalRows(problem, model, pools, nucMissing);
  const rows = ruleRows(problem, model, pools);
  const opened = units.map((u) => (u.kind === 'colony' ? model.column(PRICES.hiveOpened, 0, 1, true) : -1));
  const shares = stayShares(problem.rules);
  const given = givenRows(problem, model, opened);

  const ways: Way[] = [];
  const note = (way: Omit<Way, 'pool' | 'brings'>, effects: readonly Effect[]) => {
    const brings = effects.find((e) => e.unit === way.to)?.by ?? noMeasures();
    ways.push({ ...way, pool: poolOf.get(way.to) ?? null, brings });
  };
  const addEffects = (column: number, effects: readonly Effect[], base: readonly Effect[]) => {
    for (const e of effects) rows.add(e.unit, column, e.by, 1);
    for (const e of base) rows.add(e.unit, column, e.by, -1);
  };
  const storeRows = new Map<string, { row: number; frame: YardFrame; n: number }>();
  for (const f of frames) {
    if (f.home === STORE && f.pinnedTo === null) {
      // Combs of the store are alike: one column for all of a kind.
      const key = `${f.size}/${f.blank}/${f.mayGoTo.join()}`;
      const kind = storeRows.get(key);
      if (kind) kind.n++;
      else storeRows.set(key, { row: model.row(-INFINITE, 0), frame: f, n: 1 });
      continue;
    }
    const base = effectsOfPlace(f, f.pinnedTo ?? f.home, units, (g, d) => g.stay[d]);
    rows.addConstant(base);
    if (f.shakenAlready !== null) {
      rows.addConstant(effectsOfShake(f, f.shakenAlready, units, shares));
      model.offset += priceOfShake(f);
      for (const u of [f.home, f.shakenAlready]) {
        const z = opened[u] ?? -1;
        if (z >= 0) model.setBounds(z, 1, 1);
      }
    }
    if (f.pinnedTo !== null && f.pinnedTo !== f.home) {
      model.offset += priceOfMove(problem, f, units[f.pinnedTo] ?? null);
      for (const e of base) {
        const z = opened[e.unit] ?? -1;
        if (z >= 0) model.setBounds(z, 1, 1);
      }
      continue;
    }
    if (f.mayGoTo.length === 0 && f.mayShakeFor.length === 0) continue;
    // At most one thing happens to a frame, and only when its hive is opened.
    const one = model.row(-INFINITE, 0);
    model.add(one, numberAt(opened, f.home), -1);
    for (const to of targets(f.mayGoTo, poolOf)) {
      const unit = units[to];
      const column = model.column(priceOfMove(problem, f, unit ?? null), 0, 1, true);
      model.add(one, column, 1);
      const effects = effectsOfPlace(f, to, units, (g, d) => g.stay[d]);
      addEffects(column, effects, base);
      note({ column, frame: f, to, isShake: false, most: 1 }, effects);
      if (unit?.kind === 'colony') given.add(f, to, column);
    }
    for (const to of targets(f.mayShakeFor, poolOf)) {
      const column = model.column(priceOfShake(f), 0, 1, true);
      model.add(one, column, 1);
      const effects = effectsOfShake(f, to, units, shares);
      addEffects(column, effects, []);
      note({ column, frame: f, to, isShake: true, most: 1 }, effects);
      const z = opened[to] ?? -1;
      if (z >= 0) opensReceiver(model, column, z);
    }
  }
  for (const { row, frame, n } of storeRows.values()) {
    model.shiftRow(row, -n);
    for (const to of targets(frame.mayGoTo, poolOf)) {
      const column = model.column(PRICES.combFromStore, 0, n, true);
      model.add(row, column, 1);
      const effects = effectsOfPlace(frame, to, units, (g, d) => g.stay[d]);
      addEffects(column, effects, []);
      note({ column, frame, to, isShake: false, most: n }, effects);
      const z = opened[to] ?? -1;
      if (z >= 0) opensReceiver(model, column, z, n);
    }
  }
  tieToOpening(model, rows.list, opened);
  const limitRows = addLimits(problem, model, opened, ways);
  return {
    model,
    pools,
    ruleRows: rows.list,
    ways,
    goalRows: goals,
    opened,
    limitRows,
    storeRows: [...storeRows.values()].map(({ row }) => row),
  };
}

/**
 * What a colony can spare, it can spare only when it is opened: the room that a rule leaves is multiplied by
 * the column that opens the hive. Without this a hive that is opened by a tenth could give all that it has.
 */
function tieToOpening(model: LinearModel, rows: readonly RuleRow[], opened: readonly number[]): void {
  for (const { row, rule, unit, pool } of rows) {
    if (pool || !rule.hard) continue;
    const [lower, upper] = model.rowBounds(row);
    const z = numberAt(opened, unit.index);
    const room = rule.sense === 'atLeast' ? lower : upper;
    // A rule that pins have broken leaves no room to multiply.
    if (rule.sense === 'atLeast' ? room > 0 : room < 0) continue;
    model.add(row, z, -room);
    model.shiftRow(row, room);
  }
}

function opensReceiver(model: LinearModel, column: number, z: number, most = 1): void {
  const row = model.row(-INFINITE, 0);
  model.add(row, column, 1);
  model.add(row, z, -most);
}

/** One target of each pool stands for all of its nucs. */
function targets(units: readonly number[], poolOf: ReadonlyMap<number, NucPool>): number[] {
  const seen = new Set<NucPool>();
  return units.filter((u) => {
    const pool = poolOf.get(u);
    if (!pool) return true;
    if (seen.has(pool)) return false;
    seen.add(pool);
    return true;
  });
}

function poolsOf(
  problem: YardProblem,
  model: LinearModel,
  nucsApart: boolean,
  nucMissing: number,
): NucPool[] {
  const alike = alikeNucs(problem);
  const groups = nucsApart ? alike.flatMap((nucs) => nucs.map((u) => [u])) : alike;
  const pinnedTo = new Set(problem.frames.flatMap((f) => [f.pinnedTo, f.shakenAlready]));
  const pools = groups.map((nucs): NucPool => {
    const first = nucs[0] as YardUnit;
    const least = nucs.filter((n) => pinnedTo.has(n.index)).length;
    return {
      goalId: first.goalId ?? '',
      yardId: first.yardId,
      nucs,
      made: model.column(-nucMissing, least, nucs.length, true),
    };
  });
  pools.slice(1).forEach((pool, i) => {
    // Nucs of one recipe are alike: the later one is not made without the earlier.
    const earlier = pools[i] as NucPool;
    if (!nucsApart || earlier.goalId !== pool.goalId || earlier.yardId !== pool.yardId) return;
    if (pinnedTo.size > 1) return;
    const row = model.row(-INFINITE, 0);
    model.add(row, pool.made, 1);
    model.add(row, earlier.made, -1);
  });
  return pools;
}

/** No more nucs are made than each goal asks for. @returns a row for each goal */
function goalRows(
  problem: YardProblem,
  model: LinearModel,
  pools: readonly NucPool[],
  nucMissing: number,
): GoalRow[] {
  return problem.nucGoals.map((goal) => {
    const row = model.row(-INFINITE, goal.wanted);
    const own = pools.filter((p) => p.goalId === goal.id);
    for (const p of own) model.add(row, p.made, 1);
    model.offset += nucMissing * goal.wanted;
    return { row, wanted: goal.wanted, pools: own };
  });
}

/** The rows of all rules, by the unit that they are about. */
function ruleRows(problem: YardProblem, model: LinearModel, pools: readonly NucPool[]) {
  const list: RuleRow[] = [];
  const byUnit = new Map<number, RuleRow[]>();
  const write = (unit: YardUnit, pool: NucPool | null) =>
    unit.rules.map((rule): RuleRow => {
      const own = pool ? 0 : rule.threshold;
      const row = rule.sense === 'atLeast' ? model.row(own, INFINITE) : model.row(-INFINITE, own);
      if (pool) model.add(row, pool.made, -rule.threshold);
      if (!rule.hard) {
        const slack = model.column(rule.price, 0, INFINITE, false);
        model.add(row, slack, rule.sense === 'atLeast' ? 1 : -1);
      }
      const line = { row, rule, unit, pool };
      list.push(line);
      return line;
    });
  for (const u of problem.units) if (u.kind === 'colony') byUnit.set(u.index, write(u, null));
  for (const p of pools) {
    const lines = write(p.nucs[0] as YardUnit, p);
    for (const n of p.nucs) byUnit.set(n.index, lines);
  }
  const valueOf = (rule: UnitRule, by: Measured) =>
    rule.terms.reduce((sum, [m, w]) => sum + w * floatAt(by, AT[m]), 0);
  return {
    list,
    add(unit: number, column: number, by: Measured, sign: 1 | -1) {
      for (const { row, rule } of byUnit.get(unit) ?? []) {
        const value = valueOf(rule, by);
        if (value !== 0) model.add(row, column, sign * value);
      }
    },
    addConstant(effects: readonly Effect[]) {
      for (const e of effects) {
        for (const { row, rule } of byUnit.get(e.unit) ?? []) model.shiftRow(row, valueOf(rule, e.by));
      }
    },
  };
}

/**
 * A colony that takes combs is opened. Brood combs that one colony gives to another are limited to few, so
 * that few of them open the receiver all the way; that makes the bound much tighter than one row for all.
 */
function givenRows(problem: YardProblem, model: LinearModel, opened: readonly number[]) {
  const rows = new Map<string, number>();
  return {
    add(f: YardFrame, to: number, column: number) {
      const z = numberAt(opened, to);
      const isBrood = floatAt(broughtBy(f, true), AT.broodCombs) > 0;
      const home = problem.units[f.home] as YardUnit;
      const most = home.rules.find((r) => r.id.endsWith('/given'))?.threshold ?? 1;
      if (!isBrood || most < 1) {
        opensReceiver(model, column, z);
        return;
      }
      const key = `${f.home}/${to}`;
      let row = rows.get(key);
      if (row === undefined) {
        row = model.row(-INFINITE, 0);
        model.add(row, z, -Math.floor(most));
        rows.set(key, row);
      }
      model.add(row, column, 1);
    },
  };
}

/** No more hives are opened, and no more frames carried from hive to hive, than is wanted for a day. */
function addLimits(
  problem: YardProblem,
  model: LinearModel,
  opened: readonly number[],
  ways: readonly Way[],
): PooledModel['limitRows'] {
  const { hives, frames } = problem.request.limits;
  const limit = (most: number | null, columns: readonly number[]) => {
    if (most === null) return null;
    const row = model.row(-INFINITE, most);
    for (const column of columns) model.add(row, column, 1);
    return row;
  };
  const isPinned = ({ home, pinnedTo }: YardFrame) =>
    home !== STORE && pinnedTo !== null && pinnedTo !== home;
  const pinned = problem.frames.filter(isPinned).length;
  const carried = ways.filter((w) => !w.isShake && w.frame.home !== STORE);
  return {
    hives: limit(
      hives,
      opened.filter((z) => z >= 0),
    ),
    frames: limit(
      frames === null ? null : frames - pinned,
      carried.map((w) => w.column),
    ),
  };
}

import { floatAt, numberAt } from '../../basics/index.ts';
import type { Highs, ModelData } from 'highs';

/** The solver, as its package loads it; browser, server and tests load it in their own way. */
export type Solver = Highs;

/** A mixed-integer linear model being written down, column by column and row by row. Minimises. */
export class LinearModel {
  private readonly cost: number[] = [];
  private readonly lower: number[] = [];
  private readonly upper: number[] = [];
  private readonly isInteger: number[] = [];
  private readonly rowLower: number[] = [];
  private readonly rowUpper: number[] = [];
  private readonly entries: Map<number, number>[] = [];
  offset = 0;

  get columns(): number {
    return this.cost.length;
  }

  get rows(): number {
    return this.entries.length;
  }

  /** @returns the number of the column */
  column(cost: number, lower: number, upper: number, integer: boolean): number {
    this.cost.push(cost);
    this.lower.push(lower);
    this.upper.push(upper);
    this.isInteger.push(integer ? 1 : 0);
    return this.cost.length - 1;
  }

  /** Takes `amount` at least for what stands in the row. @returns the number of the row */
  row(lower: number, upper: number): number {
    this.rowLower.push(lower);
    this.rowUpper.push(upper);
    this.entries.push(new Map());
    return this.entries.length - 1;
  }

  /** Adds to a coefficient. */
  add(row: number, column: number, value: number): void {
    const entries = this.entries[row] as Map<number, number>;
    entries.set(column, (entries.get(column) ?? 0) + value);
  }

  /** Moves the constant part of a row to its bounds. */
  shiftRow(row: number, constant: number): void {
    this.rowLower[row] = numberAt(this.rowLower, row) - constant;
    this.rowUpper[row] = numberAt(this.rowUpper, row) - constant;
  }

  setBounds(column: number, lower: number, upper: number): void {
    this.lower[column] = lower;
    this.upper[column] = upper;
  }

  /** Bounds of a column. */
  bounds(column: number): readonly [lower: number, upper: number] {
    return [numberAt(this.lower, column), numberAt(this.upper, column)];
  }

  setRowBounds(row: number, lower: number, upper: number): void {
    this.rowLower[row] = lower;
    this.rowUpper[row] = upper;
  }

  /** Lets a row hold whatever stands in it. */
  freeRow(row: number): void {
    this.setRowBounds(row, -INFINITE, INFINITE);
  }

  setCost(column: number, cost: number): void {
    this.cost[column] = cost;
  }

  costOf(column: number): number {
    return numberAt(this.cost, column);
  }

  isWhole(column: number): boolean {
    return this.isInteger[column] === 1;
  }

  /** What stands in each column, row by row. */
  entriesByColumn(): [row: number, value: number][][] {
    const columns: [number, number][][] = this.cost.map(() => []);
    this.entries.forEach((entries, row) => {
      for (const [column, value] of entries) if (value !== 0) columns[column]?.push([row, value]);
    });
    return columns;
  }

  /**
   * What every solution costs at least when each row is worth so much (Lagrangian relaxation): the worth of the
   * bounds of the rows, and every column at the bound where it costs least.
   *
   * @param worth - by row; at least zero for rows with a lower bound only, at most zero for the others
   * @param apart - columns that are left out of the sum
   * @returns the sum, and what each column costs beyond what its rows are worth
   */
  boundAt(worth: Float64Array, apart: ReadonlySet<number>): { sum: number; reduced: Float64Array } {
    const reduced = Float64Array.from(this.cost);
    let sum = this.offset;
    this.entries.forEach((entries, row) => {
      const w = floatAt(worth, row);
      if (w === 0) return;
      const at = (w > 0 ? this.rowLower[row] : this.rowUpper[row]) as number;
      sum += Math.abs(at) >= INFINITE ? -Infinity : w * at;
      for (const [column, value] of entries) reduced[column] = floatAt(reduced, column) - w * value;
    });
    reduced.forEach((r, j) => {
      const at = (r > 0 ? this.lower[j] : this.upper[j]) as number;
      const isEndless = Math.abs(at) >= INFINITE;
      // Noise times infinity is not minus infinity.
      if (apart.has(j) || (isEndless && Math.abs(r) < 1e-9)) return;
      sum += isEndless ? -Infinity : r * at;
    });
    return { sum, reduced };
  }

  /** Bounds of a row. */
  rowBounds(row: number): readonly [lower: number, upper: number] {
    return [numberAt(this.rowLower, row), numberAt(this.rowUpper, row)];
  }

  /** Lets every column so far cost nothing. */
  forgetCosts(): void {
    this.cost.fill(0);
    this.offset = 0;
  }

  /**
   * @param relaxed - whole numbers need not be whole
   */
  data(relaxed: boolean): ModelData {
    const starts: number[] = [0];
    const indices: number[] = [];
    const values: number[] = [];
    for (const row of this.entries) {
      for (const [column, value] of row) {
        if (value === 0) continue;
        indices.push(column);
        values.push(value);
      }
      starts.push(indices.length);
    }
    return {
      numCols: this.columns,
      numRows: this.rows,
      offset: this.offset,
      colCost: Float64Array.from(this.cost),
      colLower: Float64Array.from(this.lower),
      colUpper: Float64Array.from(this.upper),
      rowLower: Float64Array.from(this.rowLower),
      rowUpper: Float64Array.from(this.rowUpper),
      matrix: {
        format: 'csr',
        numRows: this.rows,
        numCols: this.columns,
        starts: Int32Array.from(starts),
        indices: Int32Array.from(indices),
        values: Float64Array.from(values),
      },
      ...(relaxed ? {} : { integrality: Int32Array.from(this.isInteger) }),
    };
  }
}

/** What a solve has shown. */
export interface Solved {
  /** No solution costs less than this; null when nothing was shown in time. */
  readonly bound: number | null;
  /** Values of the columns, and what they cost; null when none were found. */
  readonly values: Float64Array | null;
  readonly cost: number | null;
  readonly isOptimal: boolean;
}

/** The model's own infinity. */
export const INFINITE = 1e30;

/**
 * Solves a model. It blocks: call it in a worker.
 *
 * @param effort - `relaxed`: fractions allowed, fast; otherwise the tree is searched through so many nodes
 *   (deterministic), and for so many seconds at most as a brake
 */
export function solveModel(
  solver: Solver,
  model: LinearModel,
  effort: 'relaxed' | { readonly nodes: number; readonly seconds: number; readonly cutoff?: number },
): Solved {
  return solver.withModel(model.data(effort === 'relaxed'), (m): Solved => {
    m.options.set('output_flag', false);
    if (effort !== 'relaxed') {
      m.options.set({
        mip_max_nodes: effort.nodes,
        time_limit: effort.seconds,
        mip_rel_gap: 1e-4,
        random_seed: 1,
      });
      if (effort.cutoff !== undefined) m.options.set('objective_bound', effort.cutoff);
    }
    m.run();
    const status = m.getModelStatus();
    const isOptimal = status === OPTIMAL;
    // Without a solution the values are zeros that mean nothing.
    const hasPoint = Number(m.info.get('primal_solution_status')) === FEASIBLE;
    const cost = hasPoint ? m.getObjectiveValue() : null;
    let bound: number | null = null;
    if (effort === 'relaxed') bound = isOptimal ? cost : null;
    else {
      const dual = Number(m.info.get('mip_dual_bound'));
      bound = Number.isFinite(dual) && Math.abs(dual) < INFINITE / 10 ? dual : null;
    }
    return { bound, values: hasPoint ? m.getSolution().colValue : null, cost, isOptimal };
  });
}

/** Model and solution status codes of the solver. */
const OPTIMAL = 7;
const FEASIBLE = 2;

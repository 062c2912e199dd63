import { floatAt } from '../../basics/index.ts';
import { INFINITE, type Solver } from '../model/linearModel.ts';

/** A model that the solver holds. */
type Master = ReturnType<Solver['createModel']>;

/** Nucs that are left, at most, while a plan is put together. */
const MOST_LEFT = 8;
/** What is fixed changes what the rest is worth: nucs are looked for anew, so often at most. */
const REFILLS = 2;

/** What rounding needs to know of nucs; they are numbered from the first. */
export interface Rounding {
  /** Adds columns for nucs that are of use beside those that are fixed. @returns whether it did */
  readonly refill: (fixed: readonly number[]) => boolean;
  /** Whether a nuc can be made beside those that are fixed. */
  readonly fitting: (fixed: readonly number[]) => (nuc: number) => boolean;
}

/**
 * Whole nucs out of a solution in parts: the one that is taken for the most part is taken wholly, the model solved
 * again, and so on until nothing is in parts. A nuc that makes the rest impossible or too dear is left.
 *
 * @param first - number of the first column that stands for a nuc; the last columns of all do
 * @param below - only a solution cheaper than this is of interest
 * @returns values of all columns, or null
 */
export function roundedNucs(
  master: Master,
  first: number,
  below: number,
  { refill, fitting }: Rounding,
): Float64Array | null {
  const fixed: number[] = [];
  const left: number[] = [];
  let found: Float64Array | null = null;
  while (left.length <= MOST_LEFT) {
    master.run();
    let next: number | 'none' | 'unfit' = 'unfit';
    if (hasPoint(master) && master.getObjectiveValue() < below) {
      for (let n = 0; n < REFILLS && refill(fixed); n++) master.run();
      const values = master.getSolution().colValue;
      next = mostlyTaken(values, first, fitting(fixed));
      if (next === 'none') {
        found = values;
        break;
      }
    }
    if (next === 'unfit') {
      const last = fixed.pop();
      if (last === undefined) break;
      master.changeColBounds(first + last, 0, 0);
      left.push(last);
      continue;
    }
    master.changeColBounds(first + next, 1, INFINITE);
    fixed.push(next);
  }
  for (const n of [...fixed, ...left]) master.changeColBounds(first + n, 0, INFINITE);
  return found;
}

/** Whether a value of the solver's is a whole number. */
export const isWhole = (x: number) => Math.abs(x - Math.round(x)) < 1e-6;

/** The nuc taken for the largest part of one, of those that are in parts and fit. */
function mostlyTaken(
  values: Float64Array,
  first: number,
  fits: (nuc: number) => boolean,
): number | 'none' | 'unfit' {
  const inParts: [nuc: number, part: number][] = [];
  for (let n = 0; first + n < values.length; n++) {
    const x = floatAt(values, first + n);
    if (!isWhole(x)) inParts.push([n, x - Math.floor(x)]);
  }
  if (inParts.length === 0) return 'none';
  inParts.sort((a, b) => b[1] - a[1] || a[0] - b[0]);
  return inParts.find(([n]) => fits(n))?.[0] ?? 'unfit';
}

/** Whether the solver has a solution that keeps all rows. */
export const hasPoint = (master: Master) => Number(master.info.get('primal_solution_status')) === 2;

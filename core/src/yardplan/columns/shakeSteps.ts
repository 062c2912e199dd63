import { numberAt } from '../../basics/index.ts';

/** More steps than this are rounded to a grid. */
const MOST_STEPS = 5000;

/** No frame is shaken. */
const NONE = -1;

/**
 * What so many bees cost at least when frames are shaken one by one: the steps of the cheapest choices.
 *
 * A lower bound in one way only: with very many different choices the bees are rounded up to a grid.
 */
export class ShakeSteps {
  private at: number[] = [0];
  private cost: number[] = [0];
  /** By step: the last frame that is shaken, as a number of the lists below. */
  private last: number[] = [NONE];
  /** Frames that were shaken last, each with the one before it: few objects, for very many are made. */
  private readonly frames: number[] = [];
  private readonly before: number[] = [];

  /**
   * @param shakes - frames of bees and price of each
   * @param most - more bees than this are never asked for
   */
  constructor(shakes: Iterable<readonly [bees: number, price: number]>, most: number) {
    const all = [...shakes].map(([bees, price], frame) => ({ bees, price, frame }));
    all.sort((a, b) => a.price - b.price || b.bees - a.bees);
    const used: typeof all = [];
    for (const one of all) {
      // Where so many others give as many bees for no more, one of them is always free to take its place.
      let better = 0;
      for (const other of used) {
        if (other.bees >= one.bees) better++;
        if (better * one.bees >= most) break;
      }
      if (better * one.bees < most) used.push(one);
    }
    for (const { frame, bees, price } of used) this.take(frame, bees, price, most);
  }

  /** @returns infinity when so many are not to be had */
  priceOf(bees: number): number {
    return bees <= 1e-9 ? 0 : (this.cost[this.stepOf(bees)] ?? Infinity);
  }

  /** Which frames to shake for so many bees, by their place among all; where the grid is coarse too few. */
  framesFor(bees: number): number[] {
    const frames: number[] = [];
    for (let n = this.last[this.stepOf(bees)] ?? NONE; n !== NONE; n = numberAt(this.before, n)) {
      frames.push(numberAt(this.frames, n));
    }
    return frames;
  }

  private stepOf(bees: number): number {
    let low = 0;
    let high = this.at.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (numberAt(this.at, middle) >= bees - 1e-7) high = middle;
      else low = middle + 1;
    }
    return low;
  }

  /** Every choice so far, with this frame shaken as well or not; what another outdoes is dropped. */
  private take(frame: number, bees: number, price: number, most: number): void {
    const { at, cost, last } = this;
    const nextAt: number[] = [];
    const nextCost: number[] = [];
    const nextLast: number[] = [];
    let reached = -1;
    let i = 0;
    let j = 0;
    while (i < at.length || j < at.length) {
      // Read unchecked, as both places were just looked at: with a call for each number this takes twice as long.
      const without = i < at.length ? (at[i] as number) : Infinity;
      const withIt = j < at.length ? Math.min(most, (at[j] as number) + bees) : Infinity;
      const costWithout = i < at.length ? (cost[i] as number) : Infinity;
      const costWith = j < at.length ? (cost[j] as number) + price : Infinity;
      const isWithout = costWithout < costWith || (costWithout === costWith && without >= withIt);
      const a = isWithout ? without : withIt;
      const c = isWithout ? costWithout : costWith;
      const step = isWithout ? i++ : j++;
      if (a <= reached) continue;
      reached = a;
      nextAt.push(a);
      nextCost.push(c);
      const before = last[step] as number;
      nextLast.push(isWithout ? before : this.frames.push(frame) - 1);
      if (!isWithout) this.before.push(before);
    }
    this.at = nextAt;
    this.cost = nextCost;
    this.last = nextLast;
    if (nextAt.length > MOST_STEPS) this.roundUp(most / MOST_STEPS, most);
  }

  private roundUp(step: number, most: number): void {
    const { at, cost, last } = this;
    this.at = [];
    this.cost = [];
    this.last = [];
    at.forEach((a, n) => {
      const up = Math.min(most, Math.ceil(a / step - 1e-9) * step);
      const reached = this.at.at(-1);
      if (reached !== undefined && reached >= up - 1e-12) return;
      this.at.push(up);
      this.cost.push(numberAt(cost, n));
      this.last.push(numberAt(last, n));
    });
  }
}

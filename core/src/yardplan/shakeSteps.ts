/** More steps than this are rounded to a grid. */
const MOST_STEPS = 5000;

/** Frames that are shaken, the last one first. */
interface Shaken {
  readonly frame: number;
  readonly before: Shaken | null;
}

/**
 * What so many bees cost at least when frames are shaken one by one: the steps of the cheapest choices.
 *
 * A lower bound in one way only: with very many different choices the bees are rounded up to a grid.
 */
export class ShakeSteps {
  private at: number[] = [0];
  private cost: number[] = [0];
  private shaken: (Shaken | null)[] = [null];

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
      for (const other of used) if (other.bees >= one.bees) better++;
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
    for (let s = this.shaken[this.stepOf(bees)] ?? null; s; s = s.before) frames.push(s.frame);
    return frames;
  }

  private stepOf(bees: number): number {
    let low = 0;
    let high = this.at.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.at[middle] as number) >= bees - 1e-7) high = middle;
      else low = middle + 1;
    }
    return low;
  }

  /** Every choice so far, with this frame shaken as well or not; what another outdoes is dropped. */
  private take(frame: number, bees: number, price: number, most: number): void {
    const { at, cost, shaken } = this;
    const nextAt: number[] = [];
    const nextCost: number[] = [];
    const nextShaken: (Shaken | null)[] = [];
    let i = 0;
    let j = 0;
    while (i < at.length || j < at.length) {
      const without = i < at.length ? (at[i] as number) : Infinity;
      const withIt = j < at.length ? Math.min(most, (at[j] as number) + bees) : Infinity;
      const costWithout = i < at.length ? (cost[i] as number) : Infinity;
      const costWith = j < at.length ? (cost[j] as number) + price : Infinity;
      const isWithout = costWithout < costWith || (costWithout === costWith && without >= withIt);
      const a = isWithout ? without : withIt;
      const c = isWithout ? costWithout : costWith;
      const step = isWithout ? i++ : j++;
      const last = nextAt.at(-1);
      if (last !== undefined && a <= last) continue;
      const before = shaken[step] ?? null;
      nextAt.push(a);
      nextCost.push(c);
      nextShaken.push(isWithout ? before : { frame, before });
    }
    this.at = nextAt;
    this.cost = nextCost;
    this.shaken = nextShaken;
    if (nextAt.length > MOST_STEPS) this.roundUp(most / MOST_STEPS, most);
  }

  private roundUp(step: number, most: number): void {
    const { at, cost, shaken } = this;
    this.at = [];
    this.cost = [];
    this.shaken = [];
    at.forEach((a, n) => {
      const up = Math.min(most, Math.ceil(a / step - 1e-9) * step);
      const last = this.at.at(-1);
      if (last !== undefined && last >= up - 1e-12) return;
      this.at.push(up);
      this.cost.push(cost[n] as number);
      this.shaken.push(shaken[n] ?? null);
    });
  }
}

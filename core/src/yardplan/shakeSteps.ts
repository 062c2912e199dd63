/** More steps than this are rounded to a grid. */
const MOST_STEPS = 250;

/**
 * What so many bees cost at least when frames are shaken one by one: the steps of the cheapest choices.
 *
 * A lower bound in one way only: with very many different choices the bees are rounded up to a grid.
 */
export class ShakeSteps {
  private at: number[] = [0];
  private cost: number[] = [0];

  /**
   * @param shakes - frames of bees and price of each
   * @param most - more bees than this are never asked for
   */
  constructor(shakes: Iterable<readonly [bees: number, price: number]>, most: number) {
    for (const [bees, price] of shakes) this.take(bees, price, most);
  }

  /** @returns infinity when so many are not to be had */
  priceOf(bees: number): number {
    if (bees <= 1e-9) return 0;
    let low = 0;
    let high = this.at.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.at[middle] as number) >= bees - 1e-7) high = middle;
      else low = middle + 1;
    }
    return this.cost[low] ?? Infinity;
  }

  /** Every choice so far, with this frame shaken as well or not; what another outdoes is dropped. */
  private take(bees: number, price: number, most: number): void {
    const { at, cost } = this;
    const nextAt: number[] = [];
    const nextCost: number[] = [];
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
      if (isWithout) i++;
      else j++;
      const last = nextAt.at(-1);
      if (last !== undefined && a <= last) continue;
      nextAt.push(a);
      nextCost.push(c);
    }
    this.at = nextAt;
    this.cost = nextCost;
    if (nextAt.length > MOST_STEPS) this.roundUp(most / MOST_STEPS, most);
  }

  private roundUp(step: number, most: number): void {
    const { at, cost } = this;
    this.at = [];
    this.cost = [];
    at.forEach((a, n) => {
      const up = Math.min(most, Math.ceil(a / step - 1e-9) * step);
      const last = this.at.at(-1);
      if (last !== undefined && last >= up - 1e-12) return;
      this.at.push(up);
      this.cost.push(cost[n] as number);
    });
  }
}

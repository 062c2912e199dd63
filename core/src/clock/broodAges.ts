/** Tenths of a side by the age of the brood in it: a day passes by moving all of it one place on. */
export class BroodAges {
  /** Made when there is some: most sides never hold drone brood, and many no brood at all. */
  private kept: Float64Array | null = null;
  private readonly days: number;
  /** Tenths of all ages together. */
  total = 0;

  /** @param days - from the egg to the day of emergence */
  constructor(days: number) {
    this.days = days;
  }

  private get cells(): Float64Array {
    return (this.kept ??= new Float64Array(this.days));
  }

  /** Adds brood whose age is not known, spread evenly over ages from `from` to before `to`. */
  spread(from: number, to: number, amount: number): void {
    if (amount === 0) return;
    for (let a = from; a < to; a++) this.add(a, amount / (to - from));
  }

  add(age: number, amount: number): void {
    this.cells[age] = (this.cells[age] ?? 0) + amount;
    this.total += amount;
  }

  /** Lets a day pass. @returns the tenths that emerge */
  turn(): number {
    if (this.total === 0) return 0;
    const { cells } = this;
    const last = cells.length - 1;
    const out = cells[last] ?? 0;
    cells.copyWithin(1, 0, last);
    cells[0] = 0;
    this.settle(-out);
    return out;
  }

  between(from: number, to: number): number {
    if (this.total === 0) return 0;
    const { cells } = this;
    let sum = 0;
    for (let a = from; a < to; a++) sum += cells[a] ?? 0;
    return sum;
  }

  /** Takes a share of the brood of some ages away. @returns the tenths that are gone */
  thin(from: number, to: number, share: number): number {
    if (this.total === 0) return 0;
    const { cells } = this;
    let gone = 0;
    for (let a = from; a < to; a++) {
      const lost = (cells[a] ?? 0) * share;
      cells[a] = (cells[a] ?? 0) - lost;
      gone += lost;
    }
    this.settle(-gone);
    return gone;
  }

  private settle(by: number): void {
    this.total += by;
    // What is left of many small sums is nothing.
    if (this.total < 1e-12) {
      this.total = 0;
      this.cells.fill(0);
    }
  }
}

/** Tenths of a side by the age of the brood in it, as a ring: a day passes by turning it. */
export class BroodAges {
  private readonly cells: Float64Array;
  private start = 0;
  /** Tenths of all ages together. */
  total = 0;

  /** @param days - from the egg to the day of emergence */
  constructor(days: number) {
    this.cells = new Float64Array(days);
  }

  /** Adds brood whose age is not known, spread evenly over ages from `from` to before `to`. */
  spread(from: number, to: number, amount: number): void {
    for (let a = from; a < to; a++) this.add(a, amount / (to - from));
  }

  add(age: number, amount: number): void {
    const at = (this.start + age) % this.cells.length;
    this.cells[at] = (this.cells[at] ?? 0) + amount;
    this.total += amount;
  }

  /** Lets a day pass. @returns the tenths that emerge */
  turn(): number {
    const { cells } = this;
    this.start = (this.start + cells.length - 1) % cells.length;
    const out = cells[this.start] ?? 0;
    cells[this.start] = 0;
    this.settle(-out);
    return out;
  }

  between(from: number, to: number): number {
    let sum = 0;
    for (let a = from; a < to; a++) sum += this.cells[(this.start + a) % this.cells.length] ?? 0;
    return sum;
  }

  /** Takes a share of the brood of some ages away. @returns the tenths that are gone */
  thin(from: number, to: number, share: number): number {
    let gone = 0;
    for (let a = from; a < to; a++) {
      const at = (this.start + a) % this.cells.length;
      const lost = (this.cells[at] ?? 0) * share;
      this.cells[at] = (this.cells[at] ?? 0) - lost;
      gone += lost;
    }
    this.settle(-gone);
    return gone;
  }

  private settle(by: number): void {
    this.total += by;
    // What is left of many small sums is nothing.
    if (this.total < 1e-12) this.total = 0;
  }
}

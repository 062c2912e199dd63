import { byteAt, floatAt, intAt, numberAt } from '../../basics/index.ts';
import { stayShares } from '../../rules/index.ts';
import { effectsOfPlace, effectsOfShake, type Effect } from '../problem/effects.ts';
import { AT, MEASURE_COUNT } from '../rules/measures.ts';
import { PRICES, priceOfMove, priceOfShake } from '../problem/prices.ts';
import { STORE, type Assignment, type YardProblem } from '../problem/problem.ts';
import { NOISE } from '../rules/unitRule.ts';

/** No unit: bees of the frame are not shaken. */
export const NOBODY = -2;

/** A fixed part makes one rule broken worse than the same shortage spread over many. */
const BROKEN_AT_ALL = 0.25;

/** What one way to place a frame adds, kept ready: only the measures that it changes. */
interface Ready {
  readonly units: readonly number[];
  /** For each unit, the places in the sums that change, and by how much. */
  readonly at: readonly Int32Array[];
  readonly by: readonly Float64Array[];
  readonly price: number;
}

function readyOf(effects: readonly Effect[], price: number): Ready {
  const changed = effects.map((e) => [...e.by.keys()].filter((m) => e.by[m] !== 0));
  return {
    units: effects.map((e) => e.unit),
    at: effects.map((e, i) => Int32Array.from(changed[i] ?? [], (m) => e.unit * MEASURE_COUNT + m)),
    by: effects.map((e, i) => Float64Array.from(changed[i] ?? [], (m) => floatAt(e.by, m))),
    price,
  };
}

/**
 * A plan in the making: every change is answered with the new price in a few hundred additions, whatever the
 * size of the yard.
 *
 * A broken rule is priced, so that the search can pass through plans that break one; `broken` tells whether
 * the present one does. Sums are refreshed from nothing now and then, for floats carry noise.
 */
export class YardState {
  readonly problem: YardProblem;
  readonly to: Int32Array;
  readonly shakenFor: Int32Array;
  /** Total price, that of broken rules among it. */
  price = 0;
  /** Number of units that break a rule, and of limits that are passed. */
  broken = 0;
  private strictness = 1;

  private readonly sums: Float64Array;
  private readonly unitPrice: Float64Array;
  private readonly unitBroken: Uint8Array;
  private readonly isNuc: Uint8Array;
  private readonly nucGoal: Int32Array;
  private readonly isMade: Uint8Array;
  private readonly made: Int32Array;
  private readonly opened: Uint8Array;
  private hives = 0;
  private combs = 0;
  /** By frame and unit: what it adds to be there, and to be shaken for it. */
  private readonly places: (Ready | undefined)[][];
  private readonly shakes: (Ready | undefined)[][];
  private readonly isDirty: Uint8Array;
  private readonly rules: ReturnType<typeof flatten>;
  private readonly dirty: number[] = [];
  private limitsBroken = 0;
  private readonly isLimited: boolean;

  constructor(problem: YardProblem, start: Assignment) {
    this.problem = problem;
    const n = problem.units.length;
    this.to = Int32Array.from(start.to);
    this.shakenFor = Int32Array.from(start.shakenFor, (s) => s ?? NOBODY);
    this.sums = new Float64Array(n * MEASURE_COUNT);
    this.unitPrice = new Float64Array(n);
    this.unitBroken = new Uint8Array(n);
    this.isNuc = Uint8Array.from(problem.units, (u) => (u.kind === 'nuc' ? 1 : 0));
    this.nucGoal = Int32Array.from(problem.units, (u) =>
      problem.nucGoals.findIndex((g) => g.id === u.goalId),
    );
    this.isMade = new Uint8Array(n);
    this.made = new Int32Array(problem.nucGoals.length);
    this.opened = new Uint8Array(n);
    this.rules = flatten(problem);
    this.places = problem.frames.map(() => []);
    this.shakes = problem.frames.map(() => []);
    this.isDirty = new Uint8Array(n);
    const { limits } = problem.request;
    this.isLimited = limits.hives !== null || limits.frames !== null;
    this.refresh();
  }

  /** The plan as it stands. */
  assignment(): Assignment {
    return {
      to: Array.from(this.to),
      shakenFor: Array.from(this.shakenFor, (s) => (s === NOBODY ? null : s)),
    };
  }

  /** Takes over another plan of the same problem. */
  load(to: Int32Array, shakenFor: Int32Array): void {
    this.to.set(to);
    this.shakenFor.set(shakenFor);
    this.refresh();
  }

  /**
   * How dear broken rules are, as a share of their full price. A search that begins with little passes through
   * plans that break one, to others that it would not reach.
   */
  setStrictness(share: number): void {
    this.strictness = share;
    for (let u = 0; u < this.problem.units.length; u++) this.priceUnit(u);
  }

  isMadeNuc(unit: number): boolean {
    return this.isMade[unit] === 1;
  }

  breaksRule(unit: number): boolean {
    return this.unitBroken[unit] === 1;
  }

  priceOfUnit(unit: number): number {
    return floatAt(this.unitPrice, unit);
  }

  sum(unit: number, measure: number): number {
    return floatAt(this.sums, unit * MEASURE_COUNT + measure);
  }

  /** Puts a frame somewhere; if its bees were shaken, they no longer are when it leaves. */
  place(frame: number, unit: number): void {
    const now = intAt(this.to, frame);
    if (now === unit) return;
    if (this.shakenFor[frame] !== NOBODY) this.addShake(frame, -1);
    this.addPlace(frame, now, -1);
    this.shakenFor[frame] = NOBODY;
    this.to[frame] = unit;
    this.addPlace(frame, unit, 1);
  }

  /** Has the bees of a frame that stays shaken out for a unit, or for {@link NOBODY}. */
  shake(frame: number, unit: number): void {
    if (this.shakenFor[frame] === unit) return;
    if (this.shakenFor[frame] !== NOBODY) this.addShake(frame, -1);
    this.shakenFor[frame] = unit;
    if (unit !== NOBODY) this.addShake(frame, 1);
  }

  /** Reckons what the changes since the last call have done to the price. */
  settle(): number {
    const { dirty, isDirty } = this;
    for (const u of dirty) {
      isDirty[u] = 0;
      this.priceUnit(u);
    }
    dirty.length = 0;
    if (this.isLimited) this.priceLimits();
    return this.price;
  }

  /** Adds everything up from nothing. */
  refresh(): void {
    this.sums.fill(0);
    this.combs = 0;
    this.made.fill(0);
    this.isMade.fill(0);
    this.opened.fill(0);
    this.hives = 0;
    this.broken = 0;
    this.limitsBroken = 0;
    this.unitPrice.fill(0);
    this.unitBroken.fill(0);
    this.price = this.problem.nucGoals.reduce((sum, g) => sum + PRICES.nucMissing * g.wanted, 0);
    this.dirty.length = 0;
    this.isDirty.fill(0);
    this.problem.frames.forEach((_, i) => {
      this.addPlace(i, intAt(this.to, i), 1);
      if (this.shakenFor[i] !== NOBODY) this.addShake(i, 1);
    });
    this.dirty.length = 0;
    this.isDirty.fill(0);
    for (let u = 0; u < this.problem.units.length; u++) this.dirty.push(u);
    this.settle();
  }

  private addPlace(frame: number, unit: number, sign: 1 | -1): void {
    const ways = this.places[frame] as (Ready | undefined)[];
    const f = this.problem.frames[frame] as YardProblem['frames'][number];
    let ready = ways[unit + 1];
    if (!ready) {
      const { units } = this.problem;
      ready = readyOf(
        effectsOfPlace(f, unit, units, (g, d) => g.stay[d]),
        unit === f.home ? 0 : priceOfMove(this.problem, f, units[unit] ?? null),
      );
      ways[unit + 1] = ready;
    }
    this.add(ready, sign);
    if (unit !== f.home && f.home !== STORE) this.combs += sign;
  }

  private addShake(frame: number, sign: 1 | -1): void {
    const ways = this.shakes[frame] as (Ready | undefined)[];
    const unit = intAt(this.shakenFor, frame);
    let ready = ways[unit];
    if (!ready) {
      const f = this.problem.frames[frame] as YardProblem['frames'][number];
      const shares = stayShares(this.problem.rules);
      ready = readyOf(effectsOfShake(f, unit, this.problem.units, shares), priceOfShake(f));
      ways[unit] = ready;
    }
    this.add(ready, sign);
  }

  // The innermost loops of this and of `priceUnit` read unchecked: a call for each number costs the search an eighth.
  private add(ready: Ready, sign: 1 | -1): void {
    const { sums, dirty, isDirty } = this;
    const { units, at, by } = ready;
    for (let e = 0; e < units.length; e++) {
      const places = at[e] as Int32Array;
      const amounts = by[e] as Float64Array;
      for (let k = 0; k < places.length; k++) {
        const place = places[k] as number;
        sums[place] = (sums[place] as number) + sign * (amounts[k] as number);
      }
      const unit = numberAt(units, e);
      if (isDirty[unit] === 0) {
        isDirty[unit] = 1;
        dirty.push(unit);
      }
    }
    this.price += sign * ready.price;
  }

  private priceUnit(u: number): void {
    const { sums, rules } = this;
    const at = u * MEASURE_COUNT;
    const touched = floatAt(sums, at + AT.touched) > 0.5;
    let price = 0;
    let broken = 0;
    let madeNow = 0;
    if (this.isNuc[u] === 1) madeNow = floatAt(sums, at + AT.frames) > 0.5 ? 1 : 0;
    if (this.isNuc[u] === 1 && madeNow === 0) {
      if (touched) {
        price += 50;
        broken = 1;
      }
    } else {
      const last = intAt(rules.start, u + 1);
      for (let r = intAt(rules.start, u); r < last; r++) {
        let value = 0;
        const end = rules.termStart[r + 1] as number;
        for (let t = rules.termStart[r] as number; t < end; t++) {
          value += (rules.weight[t] as number) * (sums[at + (rules.measure[t] as number)] as number);
        }
        // Both senses are kept as "at least", with signs turned.
        const missing = (rules.threshold[r] as number) - value;
        if (missing <= NOISE) continue;
        if (rules.hard[r] === 1) {
          broken = 1;
          price += this.strictness * floatAt(rules.price, r) * (BROKEN_AT_ALL + missing);
        } else price += floatAt(rules.price, r) * missing;
      }
      if (touched && this.isNuc[u] === 0) price += PRICES.hiveOpened;
    }
    this.price += price - floatAt(this.unitPrice, u);
    this.unitPrice[u] = price;
    this.broken += broken - byteAt(this.unitBroken, u);
    this.unitBroken[u] = broken;
    if (this.isNuc[u] === 1) {
      if (madeNow !== this.isMade[u]) {
        const g = intAt(this.nucGoal, u);
        const wanted = this.problem.nucGoals[g]?.wanted ?? 0;
        const before = intAt(this.made, g);
        const now = before + (madeNow === 1 ? 1 : -1);
        this.price += PRICES.nucMissing * (Math.abs(wanted - now) - Math.abs(wanted - before));
        this.made[g] = now;
        this.isMade[u] = madeNow;
      }
    } else {
      const open = touched ? 1 : 0;
      this.hives += open - byteAt(this.opened, u);
      this.opened[u] = open;
    }
  }

  private priceLimits(): void {
    const { limits } = this.problem.request;
    const over =
      Math.max(0, limits.hives === null ? 0 : this.hives - limits.hives) +
      Math.max(0, limits.frames === null ? 0 : this.combs - limits.frames);
    this.price += 40 * (over - this.limitsBroken);
    this.broken += (over > 0 ? 1 : 0) - (this.limitsBroken > 0 ? 1 : 0);
    this.limitsBroken = over;
  }
}

/** The rules of all units in flat arrays, every one as "at least". */
function flatten(problem: YardProblem) {
  const rules = problem.units.flatMap((u) => u.rules);
  const sign = (r: (typeof rules)[number]) => (r.sense === 'atLeast' ? 1 : -1);
  const starts = (counts: readonly number[]) => {
    const start = new Int32Array(counts.length + 1);
    counts.forEach((n, i) => (start[i + 1] = intAt(start, i) + n));
    return start;
  };
  return {
    start: starts(problem.units.map((u) => u.rules.length)),
    termStart: starts(rules.map((r) => r.terms.length)),
    measure: Int32Array.from(rules.flatMap((r) => r.terms.map(([m]) => AT[m]))),
    weight: Float64Array.from(rules.flatMap((r) => r.terms.map(([, w]) => sign(r) * w))),
    threshold: Float64Array.from(rules, (r) => sign(r) * r.threshold),
    hard: Uint8Array.from(rules, (r) => (r.hard ? 1 : 0)),
    price: Float64Array.from(rules, (r) => r.price),
  };
}

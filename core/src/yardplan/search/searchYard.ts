import { intAt, numberAt, seededRandom } from '../../basics/index.ts';
import { AT } from '../rules/measures.ts';
import { buildNuc, buildSomehow } from './buildNuc.ts';
import { fulfilWishes } from './fulfilWishes.ts';
import { drop, PlanInWork } from './planInWork.ts';
import { STORE, type Assignment, type YardProblem } from '../problem/problem.ts';
import { NOBODY } from './yardState.ts';

/** Tries of one round for each unit that takes part; a round of a yard of twelve takes some 0.3 s. */
const TRIES_PER_UNIT = 10_000;
const LEAST_TRIES = 60_000;
const MOST_TRIES = 250_000;
/** Temperatures, in points, at which rounds begin: hot ones leave a valley, cool ones polish. */
const HEATS = [3, 1.2, 6, 0.6] as const;
const COLD = 0.08;
/** Stages of a round; rules that are broken cost little in the first and all in the last. */
const STAGES = 10;
const LENIENT = 0.15;

/** The same plan with nucs made that are missing, where that is easy, and with what colonies are wished to have. */
export function withWishes(problem: YardProblem, plan: Assignment): Assignment {
  if (!problem.units.some((u) => u.rules.some((r) => !r.hard))) return plan;
  const search = new YardSearch(problem, plan);
  search.first();
  return search.best().plan;
}

/**
 * Looks for the best plan of a yard: a greedy start that breaks no rule, then rounds of annealing over single
 * frames, exchanges, shakes and whole nucs.
 *
 * Anytime: {@link best} never breaks a rule and never gets worse. Deterministic: the same problem and number
 * of rounds give the same plan, whatever the machine.
 */
export class YardSearch {
  private readonly work: PlanInWork;
  private readonly random: () => number;
  private bestTo: Int32Array;
  private bestShaken: Int32Array;
  private bestPrice: number;
  private feasible: boolean;
  readonly problem: YardProblem;
  private rounds = 0;

  constructor(problem: YardProblem, start?: Assignment) {
    this.problem = problem;
    this.work = new PlanInWork(problem, start);
    this.random = seededRandom(problem.frames.length * 7919 + problem.units.length * 31 + 7);
    this.bestTo = Int32Array.from(this.work.state.to);
    this.bestShaken = Int32Array.from(this.work.state.shakenFor);
    this.bestPrice = this.work.state.price;
    this.feasible = this.work.state.broken === 0;
  }

  /** The best plan so far, and whether it breaks no rule: only pins can make it break one. */
  best(): { readonly plan: Assignment; readonly price: number; readonly feasible: boolean } {
    return {
      plan: {
        to: Array.from(this.bestTo),
        shakenFor: Array.from(this.bestShaken, (s) => (s === NOBODY ? null : s)),
      },
      price: this.bestPrice,
      feasible: this.feasible,
    };
  }

  /** A good plan at once: nucs one by one from the colonies that can best spare them, then the wishes. */
  first(): void {
    // A nuc that a pinned frame has begun is finished before others are made.
    for (const nuc of this.work.nucs) if (this.work.state.breaksRule(nuc)) buildSomehow(this.work, nuc);
    const full = new Set<string>();
    for (const nuc of this.work.nucs) {
      const u = this.work.problem.units[nuc] as YardProblem['units'][number];
      const group = `${u.goalId}/${u.yardId}`;
      if (full.has(group) || this.work.state.isMadeNuc(nuc) || this.work.isDone(u.goalId)) continue;
      if (!buildSomehow(this.work, nuc)) full.add(group);
    }
    fulfilWishes(this.work);
    this.keepIfBetter();
  }

  /**
   * One round of annealing from the best plan. Does nothing where nothing can move.
   *
   * @param share - of the usual number of tries: less for a plan that is only counted
   */
  round(share = 1): void {
    const active = this.active();
    if (active.length === 0) return;
    const heat = numberAt(HEATS, this.rounds % HEATS.length);
    this.rounds++;
    const tries = Math.round(
      share * Math.min(MOST_TRIES, Math.max(LEAST_TRIES, TRIES_PER_UNIT * active.length)),
    );
    const cooling = (COLD / heat) ** (1 / tries);
    let temperature = heat;
    const stage = Math.ceil(tries / STAGES);
    for (let k = 0; k < tries; k++) {
      if (k % stage === 0) {
        this.work.state.refresh();
        this.work.state.setStrictness(LENIENT ** (1 - k / stage / (STAGES - 1)));
      }
      this.change(active, temperature);
      temperature *= cooling;
    }
    this.work.state.setStrictness(1);
    this.keepIfBetter();
    this.work.state.load(this.bestTo, this.bestShaken);
    this.work.listGuests();
  }

  /** Units between which frames go now: the nucs that are made, and colonies of which something is wished. */
  private active(): number[] {
    return [...this.work.nucs.filter((n) => this.work.state.isMadeNuc(n)), ...this.work.wishing];
  }

  private pick<T>(list: readonly T[] | undefined): T | undefined {
    return list && list.length > 0 ? list[Math.floor(this.random() * list.length)] : undefined;
  }

  private keepIfBetter(): void {
    const better =
      this.work.state.broken === 0
        ? !this.feasible || this.work.state.price < this.bestPrice - 1e-9
        : !this.feasible && this.work.state.price < this.bestPrice - 1e-9;
    if (!better) return;
    this.bestTo.set(this.work.state.to);
    this.bestShaken.set(this.work.state.shakenFor);
    this.bestPrice = this.work.state.price;
    this.feasible = this.work.state.broken === 0;
  }

  /** Tries one random change and keeps it when it pays, or by chance when it is hot. */
  private change(active: number[], temperature: number): void {
    const before = this.work.state.price;
    const undo = this.propose(active);
    if (undo === null) return;
    const after = this.work.state.settle();
    if (after <= before || this.random() < Math.exp((before - after) / temperature)) {
      if (this.work.state.broken === 0 && after < this.bestPrice - 1e-9) this.keepIfBetter();
      return;
    }
    undo();
    this.work.state.settle();
  }

  /** @returns how to take the change back, or null when nothing was changed */
  private propose(active: number[]): (() => void) | null {
    const kind = this.random();
    const u = this.pick(active) as number;
    const home = (i: number) => this.work.problem.frames[i]?.home as number;
    if (kind < 0.34) {
      // Exchange a guest for another frame.
      const a = this.pick(this.work.guests[u]);
      const b = this.pick(this.work.wouldSuit[u]);
      if (a === undefined || b === undefined || !this.work.isHome(b)) return null;
      const shaken = intAt(this.work.state.shakenFor, b);
      this.work.put(a, home(a));
      this.work.put(b, u);
      return () => {
        this.work.put(b, home(b));
        this.work.shake(b, shaken);
        this.work.put(a, u);
      };
    }
    if (kind < 0.44) {
      const b = this.pick(this.work.wouldSuit[u]);
      if (b === undefined || !this.work.isHome(b)) return null;
      const shaken = intAt(this.work.state.shakenFor, b);
      this.work.put(b, u);
      return () => {
        this.work.put(b, home(b));
        this.work.shake(b, shaken);
      };
    }
    if (kind < 0.52) {
      const a = this.pick(this.work.guests[u]);
      if (a === undefined) return null;
      this.work.put(a, home(a));
      return () => this.work.put(a, u);
    }
    if (kind < 0.64) {
      // Two units exchange a guest, or one hands it on.
      const v = this.pick(active) as number;
      const a = this.pick(this.work.guests[u]);
      if (a === undefined || v === u || !this.work.problem.frames[a]?.mayGoTo.includes(v)) return null;
      const b = this.random() < 0.7 ? this.pick(this.work.guests[v]) : undefined;
      if (b !== undefined && !this.work.problem.frames[b]?.mayGoTo.includes(u)) return null;
      this.work.put(a, v);
      if (b !== undefined) this.work.put(b, u);
      return () => {
        this.work.put(a, u);
        if (b !== undefined) this.work.put(b, v);
      };
    }
    if (kind < 0.9) return this.proposeShake(u);
    if (kind < 0.998) return this.proposeStore(u);
    return kind < 0.9993 ? this.proposeNuc(active) : this.proposeClosing(active);
  }

  private proposeShake(u: number): (() => void) | null {
    const out = this.random() < 0.6 ? this.pick(this.work.shakenAt[u]) : undefined;
    const wanted = this.random() < 0.7 ? this.pick(this.work.wouldBeShaken[u]) : undefined;
    const into =
      wanted !== undefined && this.work.isHome(wanted) && this.work.state.shakenFor[wanted] === NOBODY
        ? wanted
        : undefined;
    if (out === undefined && into === undefined) return null;
    if (out !== undefined) this.work.shake(out, NOBODY);
    if (into !== undefined) this.work.shake(into, u);
    return () => {
      if (into !== undefined) this.work.shake(into, NOBODY);
      if (out !== undefined) this.work.shake(out, u);
    };
  }

  /** A comb of a colony goes into the store, with or without another coming, or comes back. */
  private proposeStore(u: number): (() => void) | null {
    const i = this.pick(this.work.toStore[u]);
    if (i === undefined) return null;
    const from = intAt(this.work.state.to, i);
    const home = this.work.problem.frames[i]?.home as number;
    const shaken = intAt(this.work.state.shakenFor, i);
    if (from !== home && from !== STORE) return null;
    this.work.put(i, from === home ? STORE : home);
    const b = from === home && this.random() < 0.7 ? this.pick(this.work.wouldSuit[u]) : undefined;
    const comes = b !== undefined && this.work.isHome(b) ? b : undefined;
    const comesShaken = comes === undefined ? NOBODY : intAt(this.work.state.shakenFor, comes);
    if (comes !== undefined) this.work.put(comes, u);
    return () => {
      if (comes !== undefined) {
        this.work.put(comes, this.work.problem.frames[comes]?.home as number);
        this.work.shake(comes, comesShaken);
      }
      this.work.put(i, from);
      if (from === home) this.work.shake(i, shaken);
    };
  }

  /** Makes a nuc that is missing, or makes one anew from other colonies. */
  private proposeNuc(active: number[]): (() => void) | null {
    const nuc = this.pick(this.work.nucs);
    if (nuc === undefined) return null;
    const made = this.work.state.isMadeNuc(nuc);
    const guests = [...(this.work.guests[nuc] ?? [])];
    const shaken = [...(this.work.shakenAt[nuc] ?? [])];
    if (made && guests.length === 0) return null;
    if (!made && this.work.isDone(this.work.problem.units[nuc]?.goalId ?? null)) return null;
    this.work.tearDown(nuc);
    this.work.state.settle();
    buildNuc(this.work, nuc, this.someDonors(nuc));
    this.work.state.settle();
    const now = this.work.state.isMadeNuc(nuc);
    const at = active.indexOf(nuc);
    if (now && at < 0) active.push(nuc);
    return () => {
      this.work.tearDown(nuc);
      for (const i of guests) this.work.put(i, nuc);
      for (const i of shaken) this.work.shake(i, nuc);
      if (at < 0 && now) drop(active, nuc);
    };
  }

  /**
   * Leaves one open hive shut: every nuc that draws on it is made anew from others that are open already.
   * Single frames never get there, for the hive has to be opened until the last of them is back.
   */
  private proposeClosing(active: number[]): (() => void) | null {
    const giver = this.pick(this.work.problem.frames)?.home ?? STORE;
    if (giver === STORE || this.work.state.sum(giver, AT.touched) < 0.5) return null;
    const draws = (i: number) => this.work.problem.frames[i]?.home === giver;
    const nucs = this.work.nucs.filter(
      (n) => this.work.guests[n]?.some(draws) === true || this.work.shakenAt[n]?.some(draws) === true,
    );
    if (nucs.length === 0 || nucs.length > 6) return null;
    const before = nucs.map((n) => ({
      nuc: n,
      guests: [...(this.work.guests[n] ?? [])],
      shaken: [...(this.work.shakenAt[n] ?? [])],
    }));
    for (const n of nucs) this.work.tearDown(n);
    this.work.state.settle();
    for (const n of nucs) {
      const open = this.work
        .donorsOf(n)
        .filter((d) => d !== giver && this.work.state.sum(d, AT.touched) > 0.5);
      const all = this.work.donorsOf(n).filter((d) => d !== giver);
      const some = Array.from({ length: 4 }, () => this.pick(open.length > 0 ? open : all) ?? giver);
      if (!buildNuc(this.work, n, some))
        buildNuc(this.work, n, [...some, ...open.slice(0, 6), this.pick(all) ?? giver]);
    }
    this.work.state.settle();
    const left = nucs.filter((n) => !this.work.state.isMadeNuc(n) && active.includes(n));
    for (const n of left) drop(active, n);
    return () => {
      for (const n of nucs) this.work.tearDown(n);
      for (const { nuc, guests, shaken } of before) {
        for (const i of guests) this.work.put(i, nuc);
        for (const i of shaken) this.work.shake(i, nuc);
      }
      active.push(...left);
    };
  }

  /** One to three colonies to make a nuc from, mostly such as are open already. */
  private someDonors(nuc: number): number[] {
    const all = this.work.donorsOf(nuc);
    const open = all.filter((d) => this.work.state.sum(d, AT.touched) > 0.5);
    const n = 1 + Math.floor(this.random() * 3);
    return Array.from({ length: n }, () => {
      const from = open.length > 0 && this.random() < 0.7 ? open : all;
      return this.pick(from) as number;
    });
  }
}

import { seededRandom } from '../plan/search.ts';
import { AT } from './measures.ts';
import { nothingMoved, STORE, type Assignment, type YardProblem } from './problem.ts';
import { missingOf } from './unitRule.ts';
import { NOBODY, YardState } from './yardState.ts';

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

/**
 * Looks for the best plan of a yard: a greedy start that breaks no rule, then rounds of annealing over single
 * frames, exchanges, shakes and whole nucs.
 *
 * Anytime: {@link best} never breaks a rule and never gets worse. Deterministic: the same problem and number
 * of rounds give the same plan, whatever the machine.
 */
export class YardSearch {
  readonly problem: YardProblem;
  private readonly state: YardState;
  private readonly random: () => number;
  private bestTo: Int32Array;
  private bestShaken: Int32Array;
  private bestPrice: number;
  private feasible: boolean;
  private rounds = 0;
  /** Frames that may go to each unit; nucs of one recipe and yard share a list. */
  private readonly wouldSuit: readonly (readonly number[])[];
  private readonly wouldBeShaken: readonly (readonly number[])[];
  /** Frames of each colony that may go to the store. */
  private readonly toStore: readonly (readonly number[])[];
  /** Frames that are at each unit without being at home there. */
  private readonly guests: number[][];
  /** Frames whose bees are shaken for each unit. */
  private readonly shakenAt: number[][];
  private readonly wishing: readonly number[];
  private readonly nucs: readonly number[];
  private readonly homeFrames: readonly (readonly number[])[];

  constructor(problem: YardProblem, start: Assignment = nothingMoved(problem)) {
    this.problem = problem;
    const { units, frames } = problem;
    this.random = seededRandom(frames.length * 7919 + units.length * 31 + 7);
    this.state = new YardState(problem, start);
    const shared = new Map<string, number[]>();
    const listsBy = (pick: (i: number) => readonly number[]) => {
      const lists = units.map((): number[] => []);
      frames.forEach((_, i) => {
        for (const u of pick(i)) if (u !== STORE) lists[u]?.push(i);
      });
      // Pins and bans may part the nucs of one recipe; lists that are equal are kept once.
      return lists.map((l) => {
        const key = l.join();
        const kept = shared.get(key);
        if (kept) return kept;
        shared.set(key, l);
        return l;
      });
    };
    this.wouldSuit = listsBy((i) => frames[i]?.mayGoTo ?? []);
    this.wouldBeShaken = listsBy((i) => frames[i]?.mayShakeFor ?? []);
    this.homeFrames = listsBy((i) => [frames[i]?.home ?? STORE]);
    this.toStore = units.map((u) =>
      (this.homeFrames[u.index] ?? []).filter((i) => frames[i]?.mayGoTo.includes(STORE)),
    );
    this.guests = units.map(() => []);
    this.shakenAt = units.map(() => []);
    this.nucs = units.filter((u) => u.kind === 'nuc').map((u) => u.index);
    this.wishing = units
      .filter((u) => u.kind === 'colony' && u.rules.some((r) => !r.hard && missingOf(r, u.before) > 0))
      .map((u) => u.index);
    this.listGuests();
    this.bestTo = Int32Array.from(this.state.to);
    this.bestShaken = Int32Array.from(this.state.shakenFor);
    this.bestPrice = this.state.price;
    this.feasible = this.state.broken === 0;
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
    for (const nuc of this.nucs) if (this.state.breaksRule(nuc)) this.buildSomehow(nuc);
    const full = new Set<string>();
    for (const nuc of this.nucs) {
      const u = this.problem.units[nuc] as YardProblem['units'][number];
      const group = `${u.goalId}/${u.yardId}`;
      if (full.has(group) || this.state.isMadeNuc(nuc) || this.isDone(u.goalId)) continue;
      if (!this.buildSomehow(nuc)) full.add(group);
    }
    this.fulfilWishes();
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
    const heat = HEATS[this.rounds % HEATS.length] as number;
    this.rounds++;
    const tries = Math.round(
      share * Math.min(MOST_TRIES, Math.max(LEAST_TRIES, TRIES_PER_UNIT * active.length)),
    );
    const cooling = (COLD / heat) ** (1 / tries);
    let temperature = heat;
    const stage = Math.ceil(tries / STAGES);
    for (let k = 0; k < tries; k++) {
      if (k % stage === 0) {
        this.state.refresh();
        this.state.setStrictness(LENIENT ** (1 - k / stage / (STAGES - 1)));
      }
      this.change(active, temperature);
      temperature *= cooling;
    }
    this.state.setStrictness(1);
    this.keepIfBetter();
    this.state.load(this.bestTo, this.bestShaken);
    this.listGuests();
  }

  private isDone(goalId: string | null): boolean {
    const goal = this.problem.nucGoals.find((g) => g.id === goalId);
    const made = this.nucs.filter(
      (n) => this.problem.units[n]?.goalId === goalId && this.state.isMadeNuc(n),
    ).length;
    return goal !== undefined && made >= goal.wanted;
  }

  /** Units between which frames go now: the nucs that are made, and colonies of which something is wished. */
  private active(): number[] {
    return [...this.nucs.filter((n) => this.state.isMadeNuc(n)), ...this.wishing];
  }

  private listGuests(): void {
    for (const g of this.guests) g.length = 0;
    for (const s of this.shakenAt) s.length = 0;
    this.problem.frames.forEach((f, i) => {
      const to = this.state.to[i] as number;
      if (to !== f.home && to !== STORE && f.pinnedTo === null) this.guests[to]?.push(i);
      const shaken = this.state.shakenFor[i] as number;
      if (shaken !== NOBODY) this.shakenAt[shaken]?.push(i);
    });
  }

  private put(frame: number, to: number): void {
    const f = this.problem.frames[frame] as YardProblem['frames'][number];
    const from = this.state.to[frame] as number;
    if (from === to) return;
    const shaken = this.state.shakenFor[frame] as number;
    if (shaken !== NOBODY) drop(this.shakenAt[shaken], frame);
    if (from !== f.home && from !== STORE) drop(this.guests[from], frame);
    if (to !== f.home && to !== STORE) this.guests[to]?.push(frame);
    this.state.place(frame, to);
  }

  private shake(frame: number, target: number): void {
    const from = this.state.shakenFor[frame] as number;
    if (from === target) return;
    if (from !== NOBODY) drop(this.shakenAt[from], frame);
    if (target !== NOBODY) this.shakenAt[target]?.push(frame);
    this.state.shake(frame, target);
  }

  private pick<T>(list: readonly T[] | undefined): T | undefined {
    return list && list.length > 0 ? list[Math.floor(this.random() * list.length)] : undefined;
  }

  private isHome(frame: number): boolean {
    return this.state.to[frame] === this.problem.frames[frame]?.home;
  }

  private keepIfBetter(): void {
    const better =
      this.state.broken === 0
        ? !this.feasible || this.state.price < this.bestPrice - 1e-9
        : !this.feasible && this.state.price < this.bestPrice - 1e-9;
    if (!better) return;
    this.bestTo.set(this.state.to);
    this.bestShaken.set(this.state.shakenFor);
    this.bestPrice = this.state.price;
    this.feasible = this.state.broken === 0;
  }

  /** Tries one random change and keeps it when it pays, or by chance when it is hot. */
  private change(active: number[], temperature: number): void {
    const before = this.state.price;
    const undo = this.propose(active);
    if (undo === null) return;
    const after = this.state.settle();
    if (after <= before || this.random() < Math.exp((before - after) / temperature)) {
      if (this.state.broken === 0 && after < this.bestPrice - 1e-9) this.keepIfBetter();
      return;
    }
    undo();
    this.state.settle();
  }

  /** @returns how to take the change back, or null when nothing was changed */
  private propose(active: number[]): (() => void) | null {
    const kind = this.random();
    const u = this.pick(active) as number;
    const home = (i: number) => this.problem.frames[i]?.home as number;
    if (kind < 0.34) {
      // Exchange a guest for another frame.
      const a = this.pick(this.guests[u]);
      const b = this.pick(this.wouldSuit[u]);
      if (a === undefined || b === undefined || !this.isHome(b)) return null;
      const shaken = this.state.shakenFor[b] as number;
      this.put(a, home(a));
      this.put(b, u);
      return () => {
        this.put(b, home(b));
        this.shake(b, shaken);
        this.put(a, u);
      };
    }
    if (kind < 0.44) {
      const b = this.pick(this.wouldSuit[u]);
      if (b === undefined || !this.isHome(b)) return null;
      const shaken = this.state.shakenFor[b] as number;
      this.put(b, u);
      return () => {
        this.put(b, home(b));
        this.shake(b, shaken);
      };
    }
    if (kind < 0.52) {
      const a = this.pick(this.guests[u]);
      if (a === undefined) return null;
      this.put(a, home(a));
      return () => this.put(a, u);
    }
    if (kind < 0.64) {
      // Two units exchange a guest, or one hands it on.
      const v = this.pick(active) as number;
      const a = this.pick(this.guests[u]);
      if (a === undefined || v === u || !this.problem.frames[a]?.mayGoTo.includes(v)) return null;
      const b = this.random() < 0.7 ? this.pick(this.guests[v]) : undefined;
      if (b !== undefined && !this.problem.frames[b]?.mayGoTo.includes(u)) return null;
      this.put(a, v);
      if (b !== undefined) this.put(b, u);
      return () => {
        this.put(a, u);
        if (b !== undefined) this.put(b, v);
      };
    }
    if (kind < 0.9) return this.proposeShake(u);
    if (kind < 0.998) return this.proposeStore(u);
    return kind < 0.9993 ? this.proposeNuc(active) : this.proposeClosing(active);
  }

  private proposeShake(u: number): (() => void) | null {
    const out = this.random() < 0.6 ? this.pick(this.shakenAt[u]) : undefined;
    const wanted = this.random() < 0.7 ? this.pick(this.wouldBeShaken[u]) : undefined;
    const into =
      wanted !== undefined && this.isHome(wanted) && this.state.shakenFor[wanted] === NOBODY
        ? wanted
        : undefined;
    if (out === undefined && into === undefined) return null;
    if (out !== undefined) this.shake(out, NOBODY);
    if (into !== undefined) this.shake(into, u);
    return () => {
      if (into !== undefined) this.shake(into, NOBODY);
      if (out !== undefined) this.shake(out, u);
    };
  }

  /** A comb of a colony goes into the store, with or without another coming, or comes back. */
  private proposeStore(u: number): (() => void) | null {
    const i = this.pick(this.toStore[u]);
    if (i === undefined) return null;
    const from = this.state.to[i] as number;
    const home = this.problem.frames[i]?.home as number;
    const shaken = this.state.shakenFor[i] as number;
    if (from !== home && from !== STORE) return null;
    this.put(i, from === home ? STORE : home);
    const b = from === home && this.random() < 0.7 ? this.pick(this.wouldSuit[u]) : undefined;
    const comes = b !== undefined && this.isHome(b) ? b : undefined;
    const comesShaken = comes === undefined ? NOBODY : (this.state.shakenFor[comes] as number);
    if (comes !== undefined) this.put(comes, u);
    return () => {
      if (comes !== undefined) {
        this.put(comes, this.problem.frames[comes]?.home as number);
        this.shake(comes, comesShaken);
      }
      this.put(i, from);
      if (from === home) this.shake(i, shaken);
    };
  }

  /** Makes a nuc that is missing, or makes one anew from other colonies. */
  private proposeNuc(active: number[]): (() => void) | null {
    const nuc = this.pick(this.nucs);
    if (nuc === undefined) return null;
    const made = this.state.isMadeNuc(nuc);
    const guests = [...(this.guests[nuc] ?? [])];
    const shaken = [...(this.shakenAt[nuc] ?? [])];
    if (made && guests.length === 0) return null;
    if (!made && this.isDone(this.problem.units[nuc]?.goalId ?? null)) return null;
    this.tearDown(nuc);
    this.state.settle();
    this.buildNuc(nuc, this.someDonors(nuc));
    this.state.settle();
    const now = this.state.isMadeNuc(nuc);
    const at = active.indexOf(nuc);
    if (now && at < 0) active.push(nuc);
    return () => {
      this.tearDown(nuc);
      for (const i of guests) this.put(i, nuc);
      for (const i of shaken) this.shake(i, nuc);
      if (at < 0 && now) drop(active, nuc);
    };
  }

  /**
   * Leaves one open hive shut: every nuc that draws on it is made anew from others that are open already.
   * Single frames never get there, for the hive has to be opened until the last of them is back.
   */
  private proposeClosing(active: number[]): (() => void) | null {
    const giver = this.pick(this.problem.frames)?.home ?? STORE;
    if (giver === STORE || this.state.sum(giver, AT.touched) < 0.5) return null;
    const draws = (i: number) => this.problem.frames[i]?.home === giver;
    const nucs = this.nucs.filter(
      (n) => this.guests[n]?.some(draws) === true || this.shakenAt[n]?.some(draws) === true,
    );
    if (nucs.length === 0 || nucs.length > 6) return null;
    const before = nucs.map((n) => ({
      nuc: n,
      guests: [...(this.guests[n] ?? [])],
      shaken: [...(this.shakenAt[n] ?? [])],
    }));
    for (const n of nucs) this.tearDown(n);
    this.state.settle();
    for (const n of nucs) {
      const open = this.donorsOf(n).filter((d) => d !== giver && this.state.sum(d, AT.touched) > 0.5);
      const all = this.donorsOf(n).filter((d) => d !== giver);
      const some = Array.from({ length: 4 }, () => this.pick(open.length > 0 ? open : all) ?? giver);
      if (!this.buildNuc(n, some)) this.buildNuc(n, [...some, ...open.slice(0, 6), this.pick(all) ?? giver]);
    }
    this.state.settle();
    const left = nucs.filter((n) => !this.state.isMadeNuc(n) && active.includes(n));
    for (const n of left) drop(active, n);
    return () => {
      for (const n of nucs) this.tearDown(n);
      for (const { nuc, guests, shaken } of before) {
        for (const i of guests) this.put(i, nuc);
        for (const i of shaken) this.shake(i, nuc);
      }
      active.push(...left);
    };
  }

  /** Sends everything of a nuc home that is not pinned to it. */
  private tearDown(nuc: number): void {
    for (const i of [...(this.guests[nuc] ?? [])]) this.put(i, this.problem.frames[i]?.home as number);
    for (const i of [...(this.shakenAt[nuc] ?? [])]) this.shake(i, NOBODY);
  }

  private donorsOf(nuc: number): number[] {
    const yardId = this.problem.units[nuc]?.yardId;
    return this.problem.units.filter((u) => u.kind === 'colony' && u.yardId === yardId).map((u) => u.index);
  }

  /** One to three colonies to make a nuc from, mostly such as are open already. */
  private someDonors(nuc: number): number[] {
    const all = this.donorsOf(nuc);
    const open = all.filter((d) => this.state.sum(d, AT.touched) > 0.5);
    const n = 1 + Math.floor(this.random() * 3);
    return Array.from({ length: n }, () => {
      const from = open.length > 0 && this.random() < 0.7 ? open : all;
      return this.pick(from) as number;
    });
  }

  /** Makes a nuc from the fewest and strongest colonies that can. */
  private buildSomehow(nuc: number): boolean {
    const spare = (d: number) =>
      Math.min(
        this.state.sum(d, AT.brood) - this.problem.rules.donorFloorBrood,
        this.state.sum(d, AT.bees) - this.problem.rules.weakBees,
      );
    const donors = this.donorsOf(nuc).toSorted((a, b) => spare(b) - spare(a) || a - b);
    const [a, b, c] = donors;
    const sets = [
      ...donors.slice(0, 3).map((d) => [d]),
      ...(b === undefined ? [] : [[a as number, b]]),
      ...(c === undefined
        ? []
        : [
            [a as number, c],
            [a as number, b as number, c],
          ]),
      donors.slice(0, 6),
    ];
    return sets.some((set) => this.buildNuc(nuc, set));
  }

  /**
   * Fills a nuc step by step with the frame, or the shake, that lowers the price most.
   *
   * @returns whether it now stands and no rule is broken that was not before; otherwise nothing is changed
   */
  private buildNuc(nuc: number, donors: readonly number[]): boolean {
    const brokenBefore = this.state.broken;
    const from = new Set(donors);
    const movers = (this.wouldSuit[nuc] ?? []).filter(
      (i) => this.isHome(i) && from.has(this.problem.frames[i]?.home as number),
    );
    const spareCombs = (this.wouldSuit[nuc] ?? []).filter(
      (i) => this.isHome(i) && this.problem.frames[i]?.home === STORE,
    );
    const shakers = (this.wouldBeShaken[nuc] ?? []).filter((i) =>
      from.has(this.problem.frames[i]?.home as number),
    );
    const undo: (() => void)[] = [];
    const most = (this.problem.units[nuc]?.slots ?? 5) + 8;
    for (let step = 0; step < most; step++) {
      const combs = [...movers, ...spareCombs.filter((i) => this.isHome(i)).slice(0, 1)].filter(
        (i) => this.isHome(i) && this.state.shakenFor[i] === NOBODY,
      );
      const bees =
        step === 0 ? [] : shakers.filter((i) => this.isHome(i) && this.state.shakenFor[i] === NOBODY);
      const back = this.bestStep(nuc, combs, bees) ?? (step > 0 ? this.bestExchange(nuc, combs) : null);
      if (back === null) break;
      undo.push(back);
    }
    if (this.state.isMadeNuc(nuc) && this.state.broken <= brokenBefore && !this.state.breaksRule(nuc)) {
      return true;
    }
    for (const back of undo.toReversed()) back();
    this.state.settle();
    return false;
  }

  /** Takes the one frame, or shakes the one frame, that lowers the price most. @returns the way back */
  private bestStep(nuc: number, combs: readonly number[], bees: readonly number[]): (() => void) | null {
    let best = this.state.settle() - 1e-6;
    let found = -1;
    let isShake = false;
    const look = (i: number, shake: boolean) => {
      const price = this.state.settle();
      if (price >= best) return;
      best = price;
      found = i;
      isShake = shake;
    };
    for (const i of combs) {
      const home = this.state.to[i] as number;
      this.state.place(i, nuc);
      look(i, false);
      this.state.place(i, home);
    }
    for (const i of bees) {
      this.state.shake(i, nuc);
      look(i, true);
      this.state.shake(i, NOBODY);
    }
    this.state.settle();
    if (found < 0) return null;
    const i = found;
    if (isShake) {
      this.shake(i, nuc);
      return () => this.shake(i, NOBODY);
    }
    const home = this.state.to[i] as number;
    this.put(i, nuc);
    return () => this.put(i, home);
  }

  /** Exchanges one frame of a nuc that breaks a rule for the one that lowers the price most. */
  private bestExchange(nuc: number, combs: readonly number[]): (() => void) | null {
    if (!this.state.breaksRule(nuc)) return null;
    let best = this.state.settle() - 1e-6;
    let pair: readonly [number, number] | null = null;
    for (const out of this.guests[nuc] ?? []) {
      const home = this.problem.frames[out]?.home as number;
      this.state.place(out, home);
      for (const i of combs) {
        const from = this.state.to[i] as number;
        this.state.place(i, nuc);
        const price = this.state.settle();
        if (price < best) {
          best = price;
          pair = [out, i];
        }
        this.state.place(i, from);
      }
      this.state.place(out, nuc);
    }
    this.state.settle();
    if (pair === null) return null;
    const [out, into] = pair;
    const homes = [out, into].map((i) => this.problem.frames[i]?.home as number);
    this.put(out, homes[0] as number);
    this.put(into, nuc);
    return () => {
      this.put(into, homes[1] as number);
      this.put(out, nuc);
    };
  }

  /** Steepest descent over what the wishes of colonies can gain by one frame, shake or exchange. */
  private fulfilWishes(): void {
    for (let pass = 0; pass < 4; pass++) {
      let changed = false;
      for (const u of this.wishing) {
        while (this.improveUnit(u)) changed = true;
      }
      if (!changed) return;
    }
  }

  private improveUnit(u: number): boolean {
    let best = this.state.settle() - 1e-6;
    const { broken } = this.state;
    let doIt: (() => void) | null = null;
    const consider = (apply: () => void, revert: () => void) => {
      apply();
      const p = this.state.settle();
      // A step may not break a rule that held.
      if (p < best && this.state.broken <= broken) {
        best = p;
        doIt = apply;
      }
      revert();
      this.state.settle();
    };
    // The emptiest comb goes first.
    const outs = (this.toStore[u] ?? [])
      .filter((i) => this.isHome(i))
      .toSorted((a, b) => heldBy(this.problem, a) - heldBy(this.problem, b) || a - b);
    for (const i of outs) {
      const shaken = this.state.shakenFor[i] as number;
      consider(
        () => this.put(i, STORE),
        () => {
          this.put(i, u);
          this.shake(i, shaken);
        },
      );
    }
    // One comb of a kind is enough to try from the store.
    const seen = new Set<string>();
    for (const i of this.wouldSuit[u] ?? []) {
      const f = this.problem.frames[i] as YardProblem['frames'][number];
      if (!this.isHome(i) || this.state.shakenFor[i] !== NOBODY) continue;
      if (f.home === STORE) {
        if (seen.has(f.blank)) continue;
        seen.add(f.blank);
      }
      consider(
        () => this.put(i, u),
        () => this.put(i, f.home),
      );
      for (const out of outs.slice(0, 1)) {
        const shaken = this.state.shakenFor[out] as number;
        consider(
          () => {
            this.put(out, STORE);
            this.put(i, u);
          },
          () => {
            this.put(i, f.home);
            this.put(out, u);
            this.shake(out, shaken);
          },
        );
      }
    }
    for (const i of this.wouldBeShaken[u] ?? []) {
      if (!this.isHome(i) || this.state.shakenFor[i] !== NOBODY) continue;
      consider(
        () => this.shake(i, u),
        () => this.shake(i, NOBODY),
      );
    }
    if (doIt === null) return false;
    (doIt as () => void)();
    this.state.settle();
    return true;
  }
}

const heldBy = (problem: YardProblem, i: number) => {
  const f = problem.frames[i];
  return f ? f.stores + f.beeBread + f.bees / 4 : 0;
};

function drop(list: number[] | undefined, value: number): void {
  const at = list?.indexOf(value) ?? -1;
  if (list && at >= 0) {
    list[at] = list[list.length - 1] as number;
    list.pop();
  }
}

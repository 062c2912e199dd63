import { intAt, numberAt } from '../../basics/index.ts';
import { nothingMoved, STORE, type Assignment, type YardProblem } from '../problem/problem.ts';
import { missingOf } from '../rules/unitRule.ts';
import { NOBODY, YardState } from './yardState.ts';

/**
 * A plan being changed by the search: the state with its price, and who is where, so that a random guest of a
 * unit is found without looking at every frame.
 */
export class PlanInWork {
  readonly problem: YardProblem;
  readonly state: YardState;
  /** Frames that may go to each unit; nucs of one recipe and yard share a list. */
  readonly wouldSuit: readonly (readonly number[])[];
  readonly wouldBeShaken: readonly (readonly number[])[];
  /** Frames of each colony that may go to the store. */
  readonly toStore: readonly (readonly number[])[];
  /** Frames that are at each unit without being at home there, save those pinned to it. */
  readonly guests: number[][];
  /** Frames whose bees are shaken for each unit. */
  readonly shakenAt: number[][];
  /** Colonies of which something is wished that is not there yet. */
  readonly wishing: readonly number[];
  readonly nucs: readonly number[];

  constructor(problem: YardProblem, start: Assignment = nothingMoved(problem)) {
    this.problem = problem;
    const { units, frames } = problem;
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
    const homeFrames = listsBy((i) => [frames[i]?.home ?? STORE]);
    this.toStore = units.map((u) =>
      (homeFrames[u.index] ?? []).filter((i) => frames[i]?.mayGoTo.includes(STORE)),
    );
    this.guests = units.map(() => []);
    this.shakenAt = units.map(() => []);
    this.nucs = units.filter((u) => u.kind === 'nuc').map((u) => u.index);
    this.wishing = units
      .filter((u) => u.kind === 'colony' && u.rules.some((r) => !r.hard && missingOf(r, u.before) > 0))
      .map((u) => u.index);
    this.listGuests();
  }

  /** All nucs of the goal are made. */
  isDone(goalId: string | null): boolean {
    const goal = this.problem.nucGoals.find((g) => g.id === goalId);
    const made = this.nucs.filter(
      (n) => this.problem.units[n]?.goalId === goalId && this.state.isMadeNuc(n),
    ).length;
    return goal !== undefined && made >= goal.wanted;
  }

  /** Finds out anew who is where. */
  listGuests(): void {
    for (const g of this.guests) g.length = 0;
    for (const s of this.shakenAt) s.length = 0;
    this.problem.frames.forEach((f, i) => {
      const to = intAt(this.state.to, i);
      if (to !== f.home && to !== STORE && f.pinnedTo === null) this.guests[to]?.push(i);
      const shaken = intAt(this.state.shakenFor, i);
      if (shaken !== NOBODY && f.shakenAlready === null) this.shakenAt[shaken]?.push(i);
    });
  }

  /** Puts a frame somewhere. */
  put(frame: number, to: number): void {
    const f = this.problem.frames[frame] as YardProblem['frames'][number];
    const from = intAt(this.state.to, frame);
    if (from === to) return;
    const shaken = intAt(this.state.shakenFor, frame);
    if (shaken !== NOBODY) drop(this.shakenAt[shaken], frame);
    if (from !== f.home && from !== STORE) drop(this.guests[from], frame);
    if (to !== f.home && to !== STORE) this.guests[to]?.push(frame);
    this.state.place(frame, to);
  }

  /** Has the bees of a frame shaken out for a unit, or for nobody. */
  shake(frame: number, target: number): void {
    const from = intAt(this.state.shakenFor, frame);
    if (from === target) return;
    if (from !== NOBODY) drop(this.shakenAt[from], frame);
    if (target !== NOBODY) this.shakenAt[target]?.push(frame);
    this.state.shake(frame, target);
  }

  isHome(frame: number): boolean {
    return this.state.to[frame] === this.problem.frames[frame]?.home;
  }

  /** Sends everything of a nuc home that is not pinned to it. */
  tearDown(nuc: number): void {
    for (const i of [...(this.guests[nuc] ?? [])]) this.put(i, this.problem.frames[i]?.home as number);
    for (const i of [...(this.shakenAt[nuc] ?? [])]) this.shake(i, NOBODY);
  }

  /** Colonies of the nuc's yard. */
  donorsOf(nuc: number): number[] {
    const yardId = this.problem.units[nuc]?.yardId;
    return this.problem.units.filter((u) => u.kind === 'colony' && u.yardId === yardId).map((u) => u.index);
  }
}

/** Takes a value out of a list whose order does not matter. */
export function drop(list: number[] | undefined, value: number): void {
  const at = list?.indexOf(value) ?? -1;
  if (list && at >= 0) {
    list[at] = numberAt(list, list.length - 1);
    list.pop();
  }
}

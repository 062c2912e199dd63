import { SeasonRun } from '../course/seasonRun.ts';
import { MAKES, type Round, type Schedule, type SeasonProblem } from '../course/problem.ts';
import type { NucQueen, RoundKind } from '../../records/index.ts';
import { inOrder, scoreOf, signature, type Scored } from './score.ts';

/** How far a search has got. */
export interface SearchStep {
  readonly tried: number;
  /** Of the whole search, so much is done. */
  readonly done: number;
  readonly best: Scored;
}

/** Seasons by which schedules are sifted, compared, and told at last. */
const SIFT = 16;
const COMPARE = 60;
const TELL = 240;
/** So many go on from one stage to the next. */
const WIDE = 12;
const NARROW = 5;
const PASSES = 3;
/** At most so many rounds make colonies. */
const MOST_ROUNDS = 3;
/** Rounds of one kind in a yard lie so far apart: donors recover. */
const APART = 3;
/** A search looks at every second week first, then at the ones beside. */
const STRIDE = 2;

/**
 * Searches the schedules of a season: one round in every week and way that the calendar lets, the best of them with a second
 * one, then a week earlier or later, a colony more or fewer, another way. Every schedule meets the same seasons, so that the
 * better one is better and not luckier. Broken off after any step it has an answer; the same problem gives the same search.
 */
export class ScheduleSearch {
  readonly problem: SeasonProblem;
  /** Everything that was tried, by its signature. */
  readonly tried: Map<string, Scored>;
  private readonly run: SeasonRun;
  /** What the day planner makes at most of rounds of a kind in a week. */
  private readonly caps: ReadonlyMap<string, number>;

  constructor(
    problem: SeasonProblem,
    caps: ReadonlyMap<string, number> = new Map(),
    known: ReadonlyMap<string, Scored> = new Map(),
  ) {
    this.problem = problem;
    this.run = new SeasonRun(problem);
    this.caps = caps;
    // What breaks a cap is no plan any more; the rest need not be run again.
    this.tried = new Map(
      [...known].filter(([, s]) => s.schedule.every((r) => r.parts <= (caps.get(capKey(r)) ?? Infinity))),
    );
  }

  private score(schedule: Schedule, seasons: number): Scored {
    const capped = inOrder(schedule).map((r) => {
      const cap = this.caps.get(capKey(r));
      return cap !== undefined && r.parts > cap ? { ...r, parts: cap } : r;
    });
    const whole = capped.filter((r) => !MAKES.has(r.what) || r.parts > 0);
    const key = signature(whole);
    const known = this.tried.get(key);
    if (known && known.seasons >= seasons) return known;
    const scored = scoreOf(this.problem, whole, seasons, this.run);
    this.tried.set(key, scored);
    return scored;
  }

  /** Searches step by step. */
  *steps(): Generator<SearchStep, void> {
    const endings = this.endings();
    const firsts = this.rounds();
    let best = this.score([], SIFT);
    const sum = firsts.length * endings.length;
    let n = 0;
    const tell = (done: number): SearchStep => ({ tried: this.tried.size, done, best });
    const better = (s: Scored) => {
      if (s.score > best.score) best = s;
    };
    // One round of making, with each way to end the year.
    for (const ending of endings) {
      better(this.score(ending, SIFT));
      for (const r of firsts) {
        better(this.score([r, ...ending], SIFT));
        if (++n % 8 === 0) yield tell(0.3 * (n / sum));
      }
    }
    for (let rounds = 2; rounds <= MOST_ROUNDS; rounds++) {
      const from = this.best(rounds === 2 ? WIDE : NARROW, rounds - 1);
      let at = 0;
      for (const s of from) {
        for (const r of firsts) {
          if (r.week < lastMade(s.schedule) + APART) continue;
          better(this.score([...s.schedule, r], SIFT));
          if (++at % 8 === 0) yield tell(0.3 + (rounds - 2) * 0.2 + (0.2 * at) / (WIDE * firsts.length));
        }
      }
    }
    best = this.score(best.schedule, COMPARE);
    for (let pass = 0; pass < PASSES; pass++) {
      for (const s of this.best(NARROW, null, COMPARE)) {
        for (const near of this.neighbours(s.schedule)) {
          better(this.score(near, COMPARE));
          if (this.tried.size % 6 === 0) yield tell(0.7 + (0.25 * (pass + 0.5)) / PASSES);
        }
      }
    }
    for (const s of this.best(2 * WIDE, null, COMPARE)) {
      this.score(s.schedule, TELL);
      yield tell(0.97);
    }
    best = this.best(WIDE, null, TELL)[0] ?? best;
    yield tell(1);
  }

  /** The best so many, told over so many seasons at least; of a number of making rounds, when that is said. */
  best(many: number, making: number | null, seasons = SIFT): Scored[] {
    const sorted = [...this.tried.values()]
      .filter((s) => making === null || s.schedule.filter((r) => MAKES.has(r.what)).length === making)
      .toSorted((a, b) => b.score - a.score);
    // A few seasons flatter some: what leads is told over more before it is believed.
    const told = sorted.slice(0, 3 * many).map((s) => this.score(s.schedule, seasons));
    return told.toSorted((a, b) => b.score - a.score).slice(0, many);
  }

  /** Weeks that the calendar lets, by a queen's way. */
  private weeksFor(queen: NucQueen, stride = STRIDE): number[] {
    const weeks: number[] = [];
    const length = this.problem.weeks[0]?.length ?? 0;
    for (let w = 0; w < length - 1; w += stride)
      if (this.problem.weeks.some((y) => (queen === 'mated' ? y[w]?.mated : y[w]?.raises))) weeks.push(w);
    return weeks;
  }

  /** All single rounds that a search begins from. */
  private rounds(): Round[] {
    const { aim, starts } = this.problem;
    const wanted = aim.colonies - starts.length;
    const many = [
      ...new Set([0.5, 1, 1.3, 1.7, 2.2].map((k) => Math.max(1, Math.round(k * Math.max(1, wanted))))),
    ];
    const ways: readonly (readonly [RoundKind, NucQueen])[] = [
      ...aim.queens.map((q) => ['nucs', q] as const),
      ...(aim.queens.includes('raises')
        ? ([
            ['halves', 'raises'],
            ['queen-out', 'old-queen'],
          ] as const)
        : []),
    ];
    // Who comes down makes none: another colony would only be united again.
    const counts = aim.atMost && wanted <= 0 ? [] : many;
    return ways.flatMap(([what, queen]) =>
      this.weeksFor(queen).flatMap((week) =>
        counts.map((parts): Round => ({ week, yard: -1, what, queen, parts })),
      ),
    );
  }

  /** Ways to end the year: nothing, uniting the weak before winter, coming down, levelling before the flow. */
  private endings(): Schedule[] {
    const { aim, weeks } = this.problem;
    const year = weeks[0] ?? [];
    const lastRaise = year.findLastIndex((w) => w.raises);
    const lastOpen = year.findLastIndex((w) => w.mated);
    const flow = year.findIndex((w) => w.phase === 'main-flow');
    const flowEnds = year.findIndex((w) => w.harvest === 'main');
    const round = (week: number, what: RoundKind, parts = 0): Round => ({
      week,
      yard: -1,
      what,
      queen: 'raises',
      parts,
    });
    const endings: Schedule[] = [[]];
    const late = lastOpen >= 0 ? lastOpen : lastRaise;
    if (late > 0) endings.push([round(late, 'unite')]);
    if (flow > 3) endings.push([round(flow - 3, 'level'), ...(late > 0 ? [round(late, 'unite')] : [])]);
    if (aim.atMost) {
      const open = year.flatMap((w, i) => (w.open ? [i] : []));
      const days = [flowEnds, flowEnds + 3, late, open[0] ?? -1, open.at(-1) ?? -1].filter(
        (w) => w >= 0 && w < year.length - 1 && year[w]?.open,
      );
      for (const w of new Set(days)) endings.push([round(w, 'come-down', aim.colonies)]);
      // A few more than wanted, for those that fail by themselves.
      for (const w of new Set(days)) endings.push([round(w, 'come-down', aim.colonies + 1)]);
    }
    return endings;
  }

  /**
   * A round in other yards: of all yards in each alone, or in each by itself, so that one can wait for a later spring; of one yard in
   * all.
   */
  private byYard(round: Round): Schedule[] {
    const at = this.problem.starts.map((s) => s.yard);
    const yards = [...new Set(at)];
    if (yards.length < 2) return [];
    if (round.yard >= 0) return [[{ ...round, yard: -1 }]];
    const each = yards.map((yard): Round => {
      const share = at.filter((y) => y === yard).length / at.length;
      return { ...round, yard, parts: Math.max(1, Math.round(round.parts * share)) };
    });
    return [each, ...yards.map((yard) => [{ ...round, yard }])];
  }

  /** What lies beside a schedule. */
  private neighbours(schedule: Schedule): Schedule[] {
    const { aim } = this.problem;
    const length = this.problem.weeks[0]?.length ?? 0;
    const changed = (i: number, change: Partial<Round>) =>
      schedule.map((r, j) => (j === i ? { ...r, ...change } : r));
    return schedule.flatMap((r, i) => {
      const near: Schedule[] = [schedule.filter((_r, j) => j !== i)];
      for (const by of [-1, 1]) {
        const week = r.week + by;
        if (week >= 0 && week < length - 1) near.push(changed(i, { week }));
      }
      if (!MAKES.has(r.what)) return near;
      const others = schedule.filter((_r, j) => j !== i);
      for (const rounds of this.byYard(r)) near.push([...others, ...rounds]);
      for (const by of [-2, -1, 1, 2]) if (r.parts + by > 0) near.push(changed(i, { parts: r.parts + by }));
      if (r.what === 'nucs')
        for (const queen of aim.queens) if (queen !== r.queen) near.push(changed(i, { queen }));
      return near;
    });
  }
}

/** Under which a cap by the day planner is kept. */
export const capKey = (r: Pick<Round, 'what' | 'queen' | 'week' | 'yard'>): string =>
  `${r.what}/${r.queen}/${r.week}/${r.yard}`;

const lastMade = (schedule: Schedule) =>
  schedule.reduce((week, r) => (MAKES.has(r.what) ? Math.max(week, r.week) : week), -99);

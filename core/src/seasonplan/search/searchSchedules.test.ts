import { describe, expect, it } from 'vitest';
import { addDays } from '../../basics/index.ts';
import type { SeasonAim } from '../../records/index.ts';
import { plainProblem } from '../../testing/seasonWorld/plainSeason.ts';
import { MAKES, type SeasonProblem } from '../course/problem.ts';
import { whyNot } from '../report/whyNot.ts';
import { frontierOf, planChoices } from './choices.ts';
import { scoreOf } from './score.ts';
import { ScheduleSearch } from './searchSchedules.ts';
import { whatHelps } from './whatHelps.ts';

const six = Array.from({ length: 6 }, (_, i) => ({ frames: 8 + i, brood: 3.5 + 0.4 * i, kg: 9 }));
const spring = (aim: Partial<SeasonAim>) =>
  plainProblem({ climate: 'temperate', from: '2026-04-20', weeks: 25, colonies: six, aim });

/** Searches for so many steps. */
function found(problem: SeasonProblem, steps = Infinity) {
  const search = new ScheduleSearch(problem);
  let n = 0;
  let best = scoreOf(problem, [], 16);
  for (const step of search.steps()) {
    best = step.best;
    if (++n >= steps) break;
  }
  return { search, best };
}

describe('the search of a season', () => {
  it('finds a way from six to ten with honey, better than dividing everything in May or one of each', () => {
    const problem = spring({ colonies: 10, honeyKg: 60, strongFrames: 5, queens: ['raises'] });
    const { best, search } = found(problem);
    const may = [3, 4].map((week) =>
      scoreOf(problem, [{ week, yard: -1, what: 'halves', queen: 'raises', parts: 6 }], 240),
    );
    const each = scoreOf(problem, [{ week: 5, yard: -1, what: 'nucs', queen: 'raises', parts: 6 }], 240);
    expect(best.seasons).toBeGreaterThanOrEqual(240);
    expect(best.odds).toBeGreaterThan(0.6);
    for (const other of [...may, each]) expect(best.score).toBeGreaterThanOrEqual(other.score - 1e-9);
    const made = best.schedule.filter((r) => MAKES.has(r.what));
    expect(made.length).toBeGreaterThan(0);
    for (const r of made) {
      const week = problem.weeks[0]?.[r.week];
      expect(r.queen === 'mated' ? week?.mated : week?.raises).toBe(true);
    }
    const choices = planChoices(search.tried.values(), 240);
    expect(choices[0]?.merit).toBe('best');
    expect(new Set(choices.map((c) => JSON.stringify(c.scored.schedule))).size).toBe(choices.length);
    // More colonies for less honey, point by point.
    const front = frontierOf(search.tried.values(), 60);
    front.slice(1).forEach((p, i) => {
      expect(p.scored.colonies).toBeGreaterThan(front[i]!.scored.colonies);
      expect(p.scored.honey).toBeLessThanOrEqual(front[i]!.scored.honey);
    });
    for (const c of whatHelps(problem, best.schedule, 120)) expect(c.gain).toBeGreaterThan(0);
  }, 120_000);

  it('searches the same for the same problem, and has an answer when it is broken off', () => {
    const problem = spring({ colonies: 8 });
    const a = found(problem, 12);
    const b = found(problem, 12);
    expect(a.best).toEqual(b.best);
    expect(a.best.odds).toBeGreaterThan(0);
  });

  it('comes down to a number by uniting, and makes none', () => {
    const twenty = Array.from({ length: 20 }, (_, i) => ({
      frames: 5 + (i % 8),
      brood: 2 + (i % 5),
      kg: 12,
    }));
    const problem = plainProblem({
      climate: 'temperate',
      from: '2026-07-05',
      weeks: 14,
      colonies: twenty,
      aim: { colonies: 12, atMost: true, strongFrames: 6, queens: ['raises'] },
    });
    const { best, search } = found(problem);
    expect(best.odds).toBeGreaterThan(0.5);
    // Rain on the day leaves one too many now and then.
    expect(best.colonies).toBeLessThan(12.5);
    expect(best.schedule.some((r) => r.what === 'come-down')).toBe(true);
    // A colony that is made to be united again is no plan that anybody would carry out.
    expect([...search.tried.values()].flatMap((s) => s.schedule).filter((r) => MAKES.has(r.what))).toEqual(
      [],
    );
  }, 120_000);

  it('says what is nearest and why, where an aim cannot be reached', () => {
    const many = found(spring({ colonies: 40 }), 60);
    const reach = whyNot(spring({ colonies: 40 }), many.best);
    expect(reach?.colonies).toBeGreaterThan(6);
    expect(reach?.colonies).toBeLessThan(40);
    expect(reach?.obstacle).toBe('donors');
    const narrow = { ...spring({ colonies: 10 }), yards: [{ id: 'yard', name: 'Yard', most: 7 }] };
    expect(whyNot(narrow, found(narrow, 60).best)?.obstacle).toBe('yards');
    const late = plainProblem({
      climate: 'temperate',
      from: '2026-09-20',
      weeks: 4,
      colonies: six,
      aim: { colonies: 9, by: addDays('2026-09-20', 28) },
    });
    expect(whyNot(late, found(late, 60).best)?.obstacle).toBe('calendar');
    const sweet = spring({ colonies: 6, honeyKg: 900 });
    expect(whyNot(sweet, found(sweet, 40).best)?.obstacle).toBe('honey');
  }, 120_000);

  it('makes a round in one yard alone where that is better, and by itself in each', () => {
    const eight = Array.from({ length: 8 }, (_, i) => ({
      frames: 8 + (i % 4),
      brood: 3.5 + 0.3 * (i % 4),
      kg: 9,
    }));
    const aim = { colonies: 14, honeyKg: 40, strongFrames: 5, queens: ['raises' as const] };
    const from = '2026-04-13';
    const near = plainProblem({ climate: 'temperate', from, weeks: 26, colonies: eight, aim });
    // On the hill everything comes five weeks later.
    const late = plainProblem({ climate: 'temperate', from: addDays(from, -35), weeks: 26, colonies: eight });
    const problem: SeasonProblem = {
      ...near,
      yards: [...near.yards, { id: 'hill', name: 'Hill', most: Infinity }],
      weeks: [...near.weeks, ...late.weeks],
      winterKg: [20, 20],
      starts: near.starts.map((c, i) => ({ ...c, yard: i % 2 })),
    };
    const { best, search } = found(problem);
    const atAll = best.schedule.map((r) => ({ ...r, yard: -1 }));
    expect(best.schedule.some((r) => r.yard >= 0)).toBe(true);
    expect(best.score).toBeGreaterThan(scoreOf(problem, atAll, best.seasons).score);
    const made = [...search.tried.values()].map((t) => new Set(t.schedule.map((r) => r.yard)));
    expect(made.some((yards) => yards.has(0) && yards.has(1))).toBe(true);
    // Where there is one yard nothing is tried twice.
    const one = found(near, 40);
    expect([...one.search.tried.values()].every((t) => t.schedule.every((r) => r.yard === -1))).toBe(true);
  }, 120_000);

  it('does not ask for more than money and hours allow', () => {
    const problem = spring({ colonies: 12, moneyMost: 150 });
    const poor = found({ ...problem, storeNucBoxes: 0, storeHives: 0 }, 80);
    const rich = found({ ...spring({ colonies: 12 }), storeNucBoxes: 0, storeHives: 0 }, 80);
    expect(poor.best.money).toBeLessThan(rich.best.money);
  }, 120_000);
});

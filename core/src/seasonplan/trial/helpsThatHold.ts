import type { Apiary } from '../../records/index.ts';
import { MAKES, type Schedule, type SeasonProblem } from '../course/problem.ts';
import { whatHelps, type Change } from '../search/whatHelps.ts';
import { triedPlan } from './triedPlan.ts';

/** So many are told, and so many looked at for them. */
const MOST = 5;
const LOOKED_AT = 9;

const made = (schedule: Schedule): number =>
  schedule.reduce((n, r) => (MAKES.has(r.what) ? n + r.parts : n), 0);

/**
 * What would raise the odds of a plan and can be done: each change is tried in the planner of its days like the plan itself, and one
 * that makes fewer colonies there than it promises is not told. A trial takes a while: after each one it is told what holds so far.
 *
 * @param seasons - over which plan and changes are compared
 */
export function* helpsThatHold(
  apiary: Apiary,
  problem: SeasonProblem,
  schedule: Schedule,
  seasons: number,
  newId: () => string,
): Generator<readonly Change[], void> {
  const held: Change[] = [];
  for (const change of whatHelps(problem, schedule, seasons, LOOKED_AT)) {
    if (held.length === MOST) return;
    const tried = triedPlan(apiary, problem, change.schedule, seasons, newId, null);
    if (made(tried.schedule) >= made(change.schedule)) held.push(change);
    yield [...held];
  }
}

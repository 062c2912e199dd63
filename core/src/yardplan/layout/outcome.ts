import type { Problem } from '../../basics/index.ts';
import { evaluate } from '../search/evaluate.ts';
import type { Assignment, YardProblem } from '../problem/problem.ts';

/**
 * What stands in the way of a plan: empty for one that may be carried out.
 *
 * A plan that was searched breaks a rule only when what the beekeeper decided or asked for leaves no other way; each rule
 * is named, with what would mend it.
 */
export function faultsOfPlan(problem: YardProblem, plan: Assignment): Problem[] {
  const { pins, shaken, limits } = problem.request;
  const placed = pins.length + shaken.length > 0;
  const limited = limits.hives !== null || limits.frames !== null;
  return evaluate(problem, plan).broken.map((line) => ({
    code: 'pins-break-rule',
    path: ['pins'],
    message: `${placed ? 'With the frames that you placed a' : 'A'} rule is broken: ${line.label} would be ${line.value}, and must be ${line.sense === 'atLeast' ? 'at least' : 'at most'} ${line.threshold}.`,
    remedy: `${placed ? 'Let go of one of them, or change the house rule.' : limited ? 'Ask for less, or for more work in a day.' : 'Ask for another number, or another recipe.'} ${line.mend}`,
  }));
}

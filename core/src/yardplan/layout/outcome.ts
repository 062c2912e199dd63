import type { Problem } from '../../basics/index.ts';
import { evaluate } from '../search/evaluate.ts';
import type { Assignment, YardProblem } from '../problem/problem.ts';

/**
 * What stands in the way of a plan: empty for one that may be carried out.
 *
 * A plan that was searched breaks a rule only when what the beekeeper decided leaves no other way; each rule
 * is named, with what would mend it.
 */
export function faultsOfPlan(problem: YardProblem, plan: Assignment): Problem[] {
  return evaluate(problem, plan).broken.map((line) => ({
    code: 'pins-break-rule',
    path: ['pins'],
    message: `With the frames that you placed a rule is broken: ${line.label} would be ${line.value}, and must be ${line.sense === 'atLeast' ? 'at least' : 'at most'} ${line.threshold}.`,
    remedy: `Let go of one of them, or change the house rule. ${line.mend}`,
  }));
}

import { operationOf, type CommandOf } from '../../records/index.ts';
import type { Draft } from './draft.ts';

type Path = readonly (string | number)[];

/** Takes over a plan of the season, in the place of any other. */
export function decideKeepSeasonPlan(draft: Draft, { plan }: CommandOf<'keepSeasonPlan'>, path: Path): void {
  const operation = operationOf(draft.apiary);
  plan?.rounds.forEach((round, i) => {
    if (round.yardId !== null) draft.need('yard', round.yardId, [...path, 'plan', 'rounds', i, 'yardId']);
    if (round.day > plan.aim.by)
      draft.problem(
        'window-reversed',
        [...path, 'plan', 'rounds', i, 'day'],
        'A round lies behind the day by which the colonies are wanted.',
        'Move the round, or the day of the aim.',
      );
  });
  draft.put('operation', { ...operation, seasonPlan: plan });
}

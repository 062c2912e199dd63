import type { Command } from '../../records/index.ts';
import { moveV1, planV1, stepV1, yardPlanV1, yardStepV1 } from './schemas.ts';
import { renamePlanId } from './upgrade.ts';
import { workOfPlan, workOfYardPlan, workStepOf } from './upgradeWork.ts';
import { z } from 'zod';

/** A command of version 1: its type, and what else it holds. */
type CommandV1 = { readonly type: string } & Readonly<Record<string, unknown>>;

const splitV1 = z.object({ plan: planV1, moves: z.array(moveV1), steps: z.array(stepV1) });
const yardV1 = z.object({ yardPlan: yardPlanV1, steps: z.array(yardStepV1) });

/**
 * A command that was made before work was of one kind, and has waited on a device since, as one of today: what was
 * entered in a field without signal is not lost with the new version.
 *
 * @throws ZodError where it has not the shape of version 1
 */
export function upgradeCommand(command: CommandV1): Command {
  return upgraded(command) as unknown as Command;
}

function upgraded(command: CommandV1): CommandV1 {
  switch (command.type) {
    case 'savePlan':
    case 'amendPlan': {
      const { plan, moves, steps } = splitV1.parse(command);
      const work = workOfPlan(plan, moves);
      return {
        type: command.type === 'savePlan' ? 'saveWork' : 'amendWork',
        work,
        steps: steps.map(({ planId, ...s }) => workStepOf(s, work, planId)),
      };
    }
    case 'saveYardPlan':
    case 'amendYardPlan': {
      const { yardPlan, steps } = yardV1.parse(command);
      const work = workOfYardPlan(yardPlan);
      return {
        type: command.type === 'saveYardPlan' ? 'saveWork' : 'amendWork',
        work,
        steps: steps.map(({ yardPlanId, ...s }) => workStepOf(s, work, yardPlanId)),
      };
    }
    case 'dropPlan':
      return { type: 'dropWork', workId: command['planId'] };
    case 'dropYardPlan':
      return { type: 'dropWork', workId: command['yardPlanId'] };
    case 'tickYardStep':
      return { ...command, type: 'tickStep' };
    case 'addUnit':
    case 'finishCallOut': {
      const renamed = renamePlanId(command) as CommandV1;
      const looks = renamed['looks'];
      return { ...renamed, ...(Array.isArray(looks) && { looks: looks.map(renamePlanId) }) };
    }
    case 'fileFollowUp':
      return { ...command, followUp: renamePlanId(command['followUp']) };
    case 'batch':
      return { ...command, commands: (command['commands'] as CommandV1[]).map(upgraded) };
    default:
      return command;
  }
}

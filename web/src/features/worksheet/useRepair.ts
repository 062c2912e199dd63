import type { Command, CommandOf, WorkReport } from '@incremen/core/records';
import type { Problem } from '@incremen/core/basics';
import { useEffect, useState } from 'react';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { plannerWorker } from '../../workers/planner.ts';

/** A plan made to fit a report, before it is taken over. */
export interface Repair {
  readonly command: Command | null;
  readonly problems: readonly Problem[];
  readonly busy: boolean;
}

interface Answer {
  readonly key: string;
  readonly command: Command | null;
  readonly problems: readonly Problem[];
}

/** Works out what a report does to the plan whenever it changes. @param report - null while it is not complete */
export function useRepair(workId: string, report: WorkReport | null): Repair {
  const apiary = useApiary();
  const today = useToday();
  const [answer, setAnswer] = useState<Answer | null>(null);
  const key = report && JSON.stringify(report);
  useEffect(() => {
    if (key === null) return;
    let current = true;
    plannerWorker()
      .repair(apiary, workId, JSON.parse(key) as WorkReport, today)
      .then((r) => {
        if (current) setAnswer({ key, command: r.ok ? r.value : null, problems: r.ok ? [] : r.problems });
      })
      .catch((error: unknown) => {
        const failed = { code: 'planner-failed' as const, path: [], message: 'The planner has failed.' };
        if (current) setAnswer({ key, command: null, problems: [{ ...failed, remedy: String(error) }] });
      });
    return () => {
      current = false;
    };
  }, [apiary, workId, today, key]);
  const isFresh = answer !== null && answer.key === key;
  return {
    command: isFresh ? answer.command : null,
    problems: isFresh ? answer.problems : [],
    busy: key !== null && !isFresh,
  };
}

/** The amended work in a command that may hold more. */
export function amendedIn(command: Command): CommandOf<'amendWork'> | undefined {
  const all = command.type === 'batch' ? command.commands : [command];
  return all.find((c) => c.type === 'amendWork');
}

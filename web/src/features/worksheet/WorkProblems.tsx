import { goneUnits } from '@incremen/core/work';
import type { Problem } from '@incremen/core/basics';
import { useMemo } from 'react';
import { useApiary } from '../../mirror/hooks.ts';
import { ProblemList } from '../../ui/ProblemList.tsx';

/** What keeps a piece of work from being taken in: seen before a hive is opened for it, not only at its close. */
export function WorkProblems({
  work,
  problems,
}: {
  readonly work: Parameters<typeof goneUnits>[1];
  /** What the last entry was refused for. */
  readonly problems: readonly Problem[];
}) {
  const apiary = useApiary();
  const gone = useMemo(() => goneUnits(apiary, work), [apiary, work]);
  return <ProblemList problems={problems.length > 0 ? problems : gone} />;
}

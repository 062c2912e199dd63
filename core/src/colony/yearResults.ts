import { yearOf, type Day } from '../basics/index.ts';
import { raisingOdds, raisingOutcome, type RaisingOdds } from '../cells/index.ts';
import { METHOD_NAMES, queenOf, type Apiary, type Colony } from '../records/index.ts';

/** Parts of a year that were to raise their queens, told apart by something, and how they fared. */
export interface ResultLine extends RaisingOdds {
  readonly name: string;
  /** Whose answer is not known yet. */
  readonly open: number;
}

/** By what results are told apart. */
export type ResultsBy = 'method' | 'line' | 'yard';

/** How the parts of a year raised their queens, by method, by line of the queen or by yard; the most first. */
export function yearResults(apiary: Apiary, year: number, by: ResultsBy, today: Day): ResultLine[] {
  const groups = new Map<string, { raised: number; failed: number; open: number }>();
  for (const colony of Object.values(apiary.colony)) {
    const { separation } = colony;
    if (separation?.queen !== 'elsewhere' || yearOf(separation.day) !== year || colony.end?.how === 'error')
      continue;
    const name = NAMES[by](apiary, colony);
    const group = groups.get(name) ?? { raised: 0, failed: 0, open: 0 };
    group[raisingOutcome(apiary, colony, today) ?? 'open']++;
    groups.set(name, group);
  }
  return [...groups]
    .map(([name, { open, ...results }]) => ({ name, open, ...raisingOdds(results) }))
    .toSorted(
      (a, b) => b.raised + b.failed + b.open - (a.raised + a.failed + a.open) || a.name.localeCompare(b.name),
    );
}

const NAMES: Readonly<Record<ResultsBy, (apiary: Apiary, colony: Colony) => string>> = {
  method: (apiary, { separation }) => {
    const asked = apiary.work[separation?.workId ?? '']?.body.asked;
    if (!asked) return 'By hand, or a swarm';
    if (asked.source === 'split') return METHOD_NAMES[asked.methodId];
    return asked.source === 'call-out'
      ? 'Called break-up'
      : asked.source === 'yard'
        ? 'Nucs of a yard'
        : 'Other work';
  },
  line: (apiary, colony) => {
    const queen = queenOf(apiary, colony.id);
    const from = 'fromColonyId' in colony.origin ? colony.origin.fromColonyId : null;
    const mother = from === null ? undefined : queenOf(apiary, from);
    return (
      queen?.line ??
      queen?.breeder ??
      mother?.line ??
      mother?.breeder ??
      (from !== null && apiary.colony[from] ? `From ${apiary.colony[from].name}` : 'Not known')
    );
  },
  yard: (apiary, colony) => {
    const hive = apiary.hive[colony.hiveId ?? ''];
    const stand = apiary.stand[hive?.standId ?? ''];
    return apiary.yard[stand?.yardId ?? '']?.name ?? 'No yard any more';
  },
};

import { dayInWords, type Day, type Problem } from '../../basics/index.ts';
import type { Draft } from './draft.ts';

/** Two who work at one plan may both tick a step: the second learns that it stands already. */
export function noteDoneAlready(draft: Draft, doneOn: Day, path: Problem['path']): void {
  draft.problem(
    'step-done',
    path,
    `This step is ticked already, on ${dayInWords(doneOn)}.`,
    'It stands in the records: an entry that waits for it can be thrown away.',
  );
}

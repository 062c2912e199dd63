import type { RecordKind } from './records.ts';

/** A kind of record as a beekeeper calls it: `step of the work` for `workStep`. */
export const kindInWords = (kind: RecordKind): string => WORDS[kind] ?? kind;

const WORDS: Partial<Record<RecordKind, string>> = {
  workStep: 'step of the work',
  followUp: 'follow-up',
  kit: 'line of the store',
  callOut: 'break-up on the pad',
  reading: 'count of a frame',
  cell: 'queen cell',
  given: 'line of what was given',
  event: 'event of a colony',
  expense: 'line of what was spent',
};

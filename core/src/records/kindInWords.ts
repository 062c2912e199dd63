import type { RecordKind } from './records.ts';

/** A kind of record as a beekeeper calls it: `plan for a yard` for `yardPlan`. */
export const kindInWords = (kind: RecordKind): string => WORDS[kind] ?? kind;

const WORDS: Partial<Record<RecordKind, string>> = {
  yardPlan: 'plan for a yard',
  yardStep: 'step of the work',
  step: 'step of the work',
  followUp: 'follow-up',
  kit: 'line of the store',
  callOut: 'break-up on the pad',
  reading: 'count of a frame',
};

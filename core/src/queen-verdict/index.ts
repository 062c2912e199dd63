export { type JointVerdict, judgeParts, type LookedPart } from './judgeParts.ts';
export { queenDoubts } from './queenDoubts.ts';
export type { NextAction, PartHistory, Verdict } from './verdict.ts';

export { completeShorthand, type Completion } from './completeShorthand.ts';
export type { ShorthandPlace, ShorthandProblem } from './frameScanner.ts';
export { CELL_LETTERS, CONTENT_LETTERS } from './letters.ts';
export { parseShorthand } from './parseShorthand.ts';
export { printShorthand } from './printShorthand.ts';
export { spokenShorthand, withSpoken } from './spokenShorthand.ts';

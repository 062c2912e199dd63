import type { Step } from './records.ts';

/** What steps of either kind of plan have in common. */
export type AnyStep = Pick<Step, 'id' | 'order' | 'kind' | 'text' | 'detail' | 'doneOn' | 'frameIds'>;

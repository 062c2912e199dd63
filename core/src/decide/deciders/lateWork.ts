import { shiftWindow, type Window } from '../../basics/index.ts';

/** Dates of work that was done so many days late: what hangs on its day moves with it, what hangs on cells does not. */
export const shifted = (window: Window, anchor: 'work' | 'cells', late: number): Window =>
  anchor === 'work' ? shiftWindow(window, late) : window;

import type { CommandOf } from '../../../records/index.ts';
import type { Draft } from '../draft.ts';

type Path = readonly (string | number)[];

/** Money was spent: it counts for the year. */
export function decideNoteExpense(draft: Draft, command: CommandOf<'noteExpense'>, path: Path): void {
  const { expenseId, day, what, amount } = command;
  draft.add('expense', { id: expenseId, day, what, amount }, [...path, 'expenseId']);
}

/** It was entered by mistake. */
export function decideDropExpense(draft: Draft, { expenseId }: CommandOf<'dropExpense'>, path: Path): void {
  if (draft.need('expense', expenseId, [...path, 'expenseId'])) draft.remove('expense', expenseId);
}

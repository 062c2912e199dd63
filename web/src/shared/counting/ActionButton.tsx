import { memo, type Dispatch, type ReactNode } from 'react';
import { Key } from '../../ui/Key.tsx';
import type { CountAction } from './countDraft.ts';

/**
 * A key of the recorder that does one thing. It is drawn anew only when something about it changes: at every
 * tap some thirty others stay as they are.
 */
export const ActionButton = memo(function ActionButton({
  action,
  act,
  ...look
}: {
  /** A constant, or it is drawn anew each time. */
  readonly action: CountAction;
  readonly act: Dispatch<CountAction>;
  readonly label?: string;
  readonly on?: boolean;
  readonly lit?: boolean;
  readonly disabled?: boolean;
  readonly size: 'answer' | 'wide' | 'mark';
  readonly children: ReactNode;
}) {
  return <Key {...look} onClick={() => act(action)} />;
});

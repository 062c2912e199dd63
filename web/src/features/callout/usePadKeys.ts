import type { CallPlace } from '@incremen/core/records';
import type { PadAdvice } from '@incremen/core/callout';
import { useEffect } from 'react';
import { useUndoKeys } from '../../ui/useUndoKeys.ts';

/** Where typed keys mean letters, or do what they always do. */
const TYPED_INTO = 'input, textarea, select, [contenteditable]';

/**
 * Keys at a table: 1 puts the frame where the pad says, 2 and on to the places beside it, Backspace or Ctrl and Z take the last call back.
 */
export function usePadKeys(
  advice: readonly PadAdvice[],
  onPlace: (to: CallPlace) => void,
  onTakeBack: () => void,
): void {
  useUndoKeys(onTakeBack, null);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || e.repeat) return;
      if (e.target instanceof Element && e.target.closest(TYPED_INTO)) return;
      if (e.key === 'Backspace') {
        e.preventDefault();
        onTakeBack();
        return;
      }
      const choice = /^[1-9]$/.test(e.key) ? advice[Number(e.key) - 1] : undefined;
      if (choice) {
        e.preventDefault();
        onPlace(choice.to);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [advice, onPlace, onTakeBack]);
}

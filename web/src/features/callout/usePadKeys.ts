import type { CallPlace } from '@incremen/core/records';
import type { PadAdvice } from '@incremen/core/callout';
import { useEffect } from 'react';
import { useUndoKeys } from '../../ui/useUndoKeys.ts';

/** Where typed keys mean letters, or do what they always do. */
const TYPED_INTO = 'input, textarea, select, [contenteditable]';

/**
 * Keys at a table, beside those that say what is on the frame: Enter puts it where the pad says, Shift with a figure to one of
 * the places beside it, Backspace or Ctrl and Z take the last call back.
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
      // A button that has the focus is pressed by Enter.
      const onButton = e.target instanceof Element && e.target.closest('button, a') !== null;
      const figure = e.shiftKey ? /^Digit([1-9])$/.exec(e.code)?.[1] : undefined;
      const choice =
        e.key === 'Enter' && !onButton
          ? advice[0]
          : figure === undefined
            ? undefined
            : advice[Number(figure) - 1];
      if (!choice && e.key !== 'Backspace') return;
      e.preventDefault();
      // It says nothing of what is on the frame.
      e.stopImmediatePropagation();
      if (choice) onPlace(choice.to);
      else onTakeBack();
    };
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  }, [advice, onPlace, onTakeBack]);
}

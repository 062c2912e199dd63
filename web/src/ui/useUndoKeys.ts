import { useEffect } from 'react';
import { useLatest } from './useLatest.ts';

/** Where keys change a text, the browser's own undo is meant. */
const TEXT = 'input:not([type=radio], [type=checkbox]), textarea, [role=dialog]';

/**
 * Takes back with Ctrl and Z, does again with Shift as well or with Ctrl and Y; the command key counts as Ctrl.
 *
 * @param undo - null while there is nothing to take back
 * @param redo - null while there is nothing to do again
 */
export function useUndoKeys(undo: (() => void) | null, redo: (() => void) | null): void {
  const onKey = useLatest((e: KeyboardEvent) => {
    if (!(e.ctrlKey || e.metaKey) || e.altKey) return;
    if (e.target instanceof HTMLElement && e.target.closest(TEXT)) return;
    const key = e.key.toLowerCase();
    const isRedo = key === 'y' || (key === 'z' && e.shiftKey);
    const act = isRedo ? redo : key === 'z' ? undo : null;
    if (!act) return;
    e.preventDefault();
    act();
  });
  useEffect(() => {
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [onKey]);
}

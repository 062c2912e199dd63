import { useLayoutEffect, type Dispatch } from 'react';
import type { CountAction, CountDraft } from './countDraft.ts';
import { actionOfKey } from './countKeys.ts';

/** Three keys a frame, as the buttons show them. @param draft - null while no frame is in hand */
export function useCountKeys(draft: CountDraft | null, act: Dispatch<CountAction>): void {
  // In the same breath as the picture: a key that follows at once must not be lost.
  useLayoutEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const typing =
        e.target instanceof HTMLElement &&
        e.target.closest('input:not([type=radio]), textarea, select, [role=dialog]');
      if (typing || e.ctrlKey || e.metaKey || e.altKey) return;
      const onControl = e.target instanceof HTMLElement && e.target.closest('button, a');
      if (onControl && (e.key === 'Enter' || (e.key.startsWith('Arrow') && onControl.role === 'tab'))) return;
      const action = draft && actionOfKey(draft, e.key);
      if (!action) return;
      e.preventDefault();
      act(action);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [draft, act]);
}

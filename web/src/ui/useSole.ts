import { useCallback, useEffect, useState } from 'react';

/** Whether this page alone may do something that another tab of this browser could do too. */
export interface Sole {
  /** Null until that is known. */
  readonly mine: boolean | null;
  /** Takes it over from the other tab. */
  readonly take: () => void;
}

/**
 * Holds a name as long as the view is there (Web Locks). Another tab that has it keeps it, until it is taken over here. A
 * browser without locks lets each do it.
 */
export function useSole(name: string): Sole {
  const { locks } = navigator as { locks?: LockManager | null };
  const [mine, setMine] = useState<boolean | null>(locks ? null : true);
  const [turn, setTurn] = useState<'asks' | 'takes'>('asks');
  useEffect(() => {
    if (!locks) return;
    const left = new AbortController();
    const hold = (lock: Lock | null) => {
      if (left.signal.aborted) return undefined;
      setMine(lock !== null);
      if (lock === null) return undefined;
      return new Promise<void>((resolve) => left.signal.addEventListener('abort', () => resolve()));
    };
    locks
      .request(`incremen.sole.${name}`, turn === 'takes' ? { steal: true } : { ifAvailable: true }, hold)
      .catch(() => {
        // It was taken over by another tab.
        if (!left.signal.aborted) setMine(false);
      });
    return () => left.abort();
  }, [locks, name, turn]);
  const take = useCallback(() => {
    setTurn('asks');
    // A second taking is as good as the first.
    setTimeout(() => setTurn('takes'));
  }, []);
  return { mine, take };
}

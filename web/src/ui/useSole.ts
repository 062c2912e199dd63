import { useCallback, useEffect, useState } from 'react';

/** Whether this page alone may do something that another tab of this browser could do too. */
export interface Sole {
  /** Null until that is known. */
  readonly mine: boolean | null;
  /** Takes it over from the other tab. */
  readonly take: () => void;
}

/** A page that was just left holds on for a moment; another tab holds on for longer. */
const PATIENCE_MS = 800;

/**
 * Holds a name as long as the view is there (Web Locks). Another tab that has it keeps it, until it lets go or it is taken over
 * here. A browser without locks lets each do it.
 */
export function useSole(name: string): Sole {
  const { locks } = navigator as { locks?: LockManager | null };
  const [mine, setMine] = useState<boolean | null>(locks ? null : true);
  const [takes, setTakes] = useState(0);
  useEffect(() => {
    if (!locks) return;
    const left = new AbortController();
    const timer = setTimeout(() => setMine(false), PATIENCE_MS);
    const hold = () => {
      clearTimeout(timer);
      if (left.signal.aborted) return Promise.resolve();
      setMine(true);
      return new Promise<void>((resolve) => left.signal.addEventListener('abort', () => resolve()));
    };
    const wait = (steal: boolean): void => {
      locks.request(`incremen.sole.${name}`, steal ? { steal } : { signal: left.signal }, hold).catch(() => {
        // Left, or taken over by another tab: then it is waited for again.
        if (left.signal.aborted) return;
        setMine(false);
        wait(false);
      });
    };
    wait(takes > 0);
    return () => {
      clearTimeout(timer);
      left.abort();
    };
  }, [locks, name, takes]);
  const take = useCallback(() => setTakes((n) => n + 1), []);
  return { mine, take };
}

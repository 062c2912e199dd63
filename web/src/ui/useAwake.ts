import { useEffect } from 'react';

/**
 * Keeps the screen from going dark while a view is open that is read with gloves on. A browser lets go of it when another page
 * comes to the front, so that it is asked for again afterwards; where it cannot, nothing is lost.
 */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const ask = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        lock = await navigator.wakeLock.request('screen');
        if (gone) await lock.release();
      } catch {
        // Low battery, or not allowed here.
      }
    };
    const back = () => void ask();
    void ask();
    document.addEventListener('visibilitychange', back);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', back);
      void lock?.release().catch(() => undefined);
    };
  }, []);
}

import { useEffect, useState } from 'react';

/** What waits for a quiet moment, in the order in which it came. */
const waiting = new Set<() => void>();
let asked = false;

const whenIdle: (work: (deadline: { timeRemaining: () => number }) => void) => void =
  typeof requestIdleCallback === 'function'
    ? requestIdleCallback
    : (work) => setTimeout(() => work({ timeRemaining: () => 5 }), 50);

/** A turn that leaves so little time has no room for one more. */
const ROOM_MS = 4;

function work(deadline: { timeRemaining: () => number }): void {
  for (const next of waiting) {
    if (deadline.timeRemaining() < ROOM_MS) break;
    waiting.delete(next);
    next();
  }
  asked = waiting.size > 0;
  if (asked) whenIdle(work);
}

/** False until the browser has nothing better to do: what is not in sight can be drawn then, one by one. */
export function useIdleTurn(): boolean {
  const [turn, setTurn] = useState(false);
  useEffect(() => {
    if (turn) return undefined;
    const mine = () => setTurn(true);
    waiting.add(mine);
    if (!asked) {
      asked = true;
      whenIdle(work);
    }
    return () => {
      waiting.delete(mine);
    };
  }, [turn]);
  return turn;
}

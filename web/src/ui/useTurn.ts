import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';

type Turn = () => void;

/** What is about to come into sight, first come first served, and what can wait for a quiet moment. */
const soon = new Set<Turn>();
const later = new Set<Turn>();
let soonAsked = false;
let laterAsked = false;

/** Work in one frame stops when so much of it is gone, so that the frame is not missed. */
const FRAME_WORK_MS = 5;
/** A quiet moment with less left has no room for one more. */
const ROOM_MS = 4;

function takeFrom(queue: Set<Turn>, mayGoOn: () => boolean): void {
  for (const next of queue) {
    queue.delete(next);
    // Drawn now and not in a heap with the others, so that the time it takes is known.
    flushSync(next);
    if (!mayGoOn()) return;
  }
}

function inFrame(): void {
  const started = performance.now();
  takeFrom(soon, () => performance.now() - started < FRAME_WORK_MS);
  soonAsked = soon.size > 0;
  if (soonAsked) requestAnimationFrame(inFrame);
}

const whenIdle: (work: (deadline: { timeRemaining: () => number }) => void) => void =
  typeof requestIdleCallback === 'function'
    ? requestIdleCallback
    : (work) => setTimeout(() => work({ timeRemaining: () => ROOM_MS + 1 }), 50);

function inQuiet(deadline: { timeRemaining: () => number }): void {
  if (deadline.timeRemaining() >= ROOM_MS) takeFrom(later, () => deadline.timeRemaining() >= ROOM_MS);
  laterAsked = later.size > 0;
  if (laterAsked) whenIdle(inQuiet);
}

/**
 * False until it is this one's turn to be drawn: a few in each frame while they come near the screen, the
 * rest when the browser has nothing better to do. Once true it stays so.
 */
export function useTurn(near: boolean): boolean {
  const [turn, setTurn] = useState(false);
  useEffect(() => {
    if (turn) return undefined;
    const mine = () => setTurn(true);
    const queue = near ? soon : later;
    queue.add(mine);
    if (near && !soonAsked) {
      soonAsked = true;
      requestAnimationFrame(inFrame);
    }
    if (!near && !laterAsked) {
      laterAsked = true;
      whenIdle(inQuiet);
    }
    return () => {
      queue.delete(mine);
    };
  }, [turn, near]);
  return turn;
}

import type { TouchEvent } from 'react';

/** A finger that moves further than this many px from where it came down does not mean to tap. */
const STILL_PX = 12;

let down: { readonly x: number; readonly y: number } | null = null;

/**
 * Handlers for something that is tapped or clicked. A finger that lifts is answered at once: the browser needs
 * some ten milliseconds more, on a slow phone, to make a click of it, and that click is then not made. Mouse,
 * keyboard and screen readers click as ever.
 *
 * @param work what a tap does, or nothing for what cannot be tapped now
 */
export function onTap(work: (() => void) | undefined): {
  onClick?: () => void;
  onTouchStart?: (e: TouchEvent<HTMLElement>) => void;
  onTouchEnd?: (e: TouchEvent<HTMLElement>) => void;
} {
  return work ? { onClick: work, ...fingers(work) } : {};
}

/** The part of {@link onTap} for fingers alone, where the browser's own answer to a click is wanted as well. */
export function fingers(work: (at: HTMLElement) => void): {
  onTouchStart: (e: TouchEvent<HTMLElement>) => void;
  onTouchEnd: (e: TouchEvent<HTMLElement>) => void;
} {
  return {
    onTouchStart: (e) => {
      const finger = e.touches.length === 1 ? e.touches[0] : undefined;
      down = finger ? { x: finger.clientX, y: finger.clientY } : null;
    },
    onTouchEnd: (e) => {
      const finger = e.changedTouches[0];
      const from = down;
      down = null;
      // What cannot be cancelled is the end of a scroll.
      if (!finger || !from || !e.cancelable) return;
      if (Math.hypot(finger.clientX - from.x, finger.clientY - from.y) > STILL_PX) return;
      e.preventDefault();
      // As a click would: a field that was typed in is left.
      const left = document.activeElement;
      if (left instanceof HTMLElement && left !== e.currentTarget) left.blur();
      work(e.currentTarget);
    },
  };
}

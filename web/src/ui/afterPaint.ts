/**
 * Does work once what has just changed is painted: a tap must not wait for it. It is done at once when the
 * page is hidden or closed before.
 *
 * @returns gives it up, as when newer work takes its place
 */
export function afterPaint(work: () => void): () => void {
  let done = false;
  const once = () => {
    if (done) return;
    stop();
    work();
  };
  // What a frame calls runs before that frame is painted, and a timer set in it after.
  const frame = requestAnimationFrame(() => {
    painted = setTimeout(once);
  });
  let painted: ReturnType<typeof setTimeout> | undefined;
  const late = setTimeout(once, LATE_MS);
  const stop = () => {
    done = true;
    cancelAnimationFrame(frame);
    clearTimeout(painted);
    clearTimeout(late);
    document.removeEventListener('visibilitychange', once);
    window.removeEventListener('pagehide', once);
  };
  document.addEventListener('visibilitychange', once);
  window.addEventListener('pagehide', once);
  return stop;
}

/** A page that is not drawn has no frames: long enough for a slow phone, short enough to lose nothing. */
const LATE_MS = 300;

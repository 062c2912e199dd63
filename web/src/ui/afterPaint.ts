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
  const timer = setTimeout(once, WAIT_MS);
  const stop = () => {
    done = true;
    clearTimeout(timer);
    document.removeEventListener('visibilitychange', once);
    window.removeEventListener('pagehide', once);
  };
  document.addEventListener('visibilitychange', once);
  window.addEventListener('pagehide', once);
  return stop;
}

/** About two frames: long enough to be painted, short enough to lose nothing to an empty battery. */
const WAIT_MS = 40;

import { registerSW } from 'virtual:pwa-register';

type Listener = () => void;
let waiting = false;
let takeOver: ((reload?: boolean) => Promise<void>) | undefined;
const listeners = new Set<Listener>();

/**
 * Lets the application open without a network, and be put on the home screen. Not while developing.
 *
 * Called when the first view is on its way, and done when nothing else is: all files are fetched then, and would take the cores
 * from it.
 */
export function installForOffline(): void {
  if (!import.meta.env.PROD) return;
  const install = () => {
    takeOver = registerSW({
      onNeedRefresh: () => {
        waiting = true;
        for (const tell of listeners) tell();
      },
    });
  };
  if ('requestIdleCallback' in globalThis) requestIdleCallback(install, { timeout: LATEST_MS });
  else setTimeout(install, LATEST_MS);
}

const LATEST_MS = 3000;

/** Whether a newer version of the application waits to take over; for useSyncExternalStore. */
export const newVersion = {
  subscribe: (tell: Listener) => {
    listeners.add(tell);
    return () => listeners.delete(tell);
  },
  waits: () => waiting,
  /** Opens the newer version. What is kept on the device stays. */
  open: () => void takeOver?.(true),
};

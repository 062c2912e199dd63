import { registerSW } from 'virtual:pwa-register';

type Listener = () => void;
let waiting = false;
let takeOver: ((reload?: boolean) => Promise<void>) | undefined;
const listeners = new Set<Listener>();

/** Lets the application open without a network, and be put on the home screen. Not while developing. */
export function installForOffline(): void {
  if (!import.meta.env.PROD) return;
  takeOver = registerSW({
    onNeedRefresh: () => {
      waiting = true;
      for (const tell of listeners) tell();
    },
  });
}

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

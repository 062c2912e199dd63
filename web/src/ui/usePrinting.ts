import { useSyncExternalStore } from 'react';

let printing = false;

/** True while the page is being printed: what is drawn only in sight is then drawn everywhere. */
export function usePrinting(): boolean {
  return useSyncExternalStore(subscribe, () => printing);
}

function subscribe(tell: () => void): () => void {
  const set = (to: boolean) => () => {
    printing = to;
    tell();
  };
  const before = set(true);
  const after = set(false);
  window.addEventListener('beforeprint', before);
  window.addEventListener('afterprint', after);
  return () => {
    window.removeEventListener('beforeprint', before);
    window.removeEventListener('afterprint', after);
  };
}

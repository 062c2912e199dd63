import { HANDS } from '../../offline/handsNow.ts';

/** Names of those who share this device, and who of them is at the hive; kept on it. */
interface Kept {
  readonly names: readonly string[];
  readonly now: string | null;
}

const NOBODY: Kept = { names: [], now: null };
const listeners = new Set<() => void>();

function read(): Kept {
  try {
    const kept = JSON.parse(localStorage.getItem(HANDS) ?? 'null') as Kept | null;
    return Array.isArray(kept?.names) ? kept : NOBODY;
  } catch {
    return NOBODY;
  }
}
let kept: Kept | null = null;

function keep(next: Kept): void {
  kept = next;
  try {
    localStorage.setItem(HANDS, JSON.stringify(next));
  } catch {
    // It holds until the page is left.
  }
  for (const tell of listeners) tell();
}
const current = (): Kept => (kept ??= read());

/** Who is at the hive, of several who share this device; for useSyncExternalStore. */
export const atTheHive = {
  subscribe: (tell: () => void) => {
    listeners.add(tell);
    return () => listeners.delete(tell);
  },
  kept: current,
  /** Somebody new joins, and is at the hive. */
  join: (name: string): void => {
    const known = current().names.filter((n) => n !== name);
    keep({ names: [...known, name].slice(-8), now: name });
  },
  /** One of them is there now, or whoever is signed in. */
  choose: (name: string | null): void => keep({ ...current(), now: name }),
  /** One of them leaves. */
  leave: (name: string): void => {
    const { names, now } = current();
    keep({ names: names.filter((n) => n !== name), now: now === name ? null : now });
  },
};

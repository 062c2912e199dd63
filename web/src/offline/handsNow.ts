/** Where the names of those who share this device are kept. */
export const HANDS = 'incremen.hands';

/** Who is at the hive, of several who share this device; null for whoever is signed in. */
export function handsNow(): string | null {
  try {
    return (JSON.parse(localStorage.getItem(HANDS) ?? 'null') as { now?: string } | null)?.now ?? null;
  } catch {
    return null;
  }
}

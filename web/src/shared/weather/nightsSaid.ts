import { daysBetween, type Day } from '@incremen/core/basics';

/** How cold the nights will be, as the keeper has said where no station says it. */
export interface NightsSaid {
  /** The day on which it was said. */
  readonly day: Day;
  /** The coldest, in °C. */
  readonly minC: number;
}

const KEPT = 'incremen.nights';

/** What is said of the nights holds as long as a forecast does (judgement). */
export const HOLDS_DAYS = 5;

/** What was said on this device and still holds on a day; null for nothing. */
export function nightsSaid(today: Day): NightsSaid | null {
  try {
    const kept = JSON.parse(localStorage.getItem(KEPT) ?? 'null') as NightsSaid | null;
    if (typeof kept?.minC !== 'number' || typeof kept.day !== 'string') return null;
    const age = daysBetween(kept.day, today);
    return age >= 0 && age < HOLDS_DAYS ? kept : null;
  } catch {
    return null;
  }
}

/** Keeps what was said, or forgets it. */
export function sayNights(said: NightsSaid | null): void {
  try {
    if (said === null) localStorage.removeItem(KEPT);
    else localStorage.setItem(KEPT, JSON.stringify(said));
  } catch {
    // It holds until the page is left.
  }
}

import type { BackupKind } from '@incremen/contract';

/** A backup as far as the rule looks at it. */
interface Dated {
  readonly at: string;
  readonly kind: BackupKind;
}

/** Of those made by themselves: the newest of each of so many days, weeks and months. */
const DAYS = 14;
const WEEKS = 8;
const MONTHS = 24;
/** Of the others so many, the newest. */
const OTHERS = 10;

/**
 * Which backups stay: the newest of each of the last 14 days, 8 weeks and 24 months on which there is one, and the last ten
 * that were asked for or made before an import. What stays grows slower than time passes.
 */
export function keepByRule<T extends Dated>(backups: readonly T[]): T[] {
  const newestFirst = backups.toSorted((a, b) => b.at.localeCompare(a.at));
  const daily = newestFirst.filter((b) => b.kind === 'daily');
  const stays = new Set<T>();
  for (const [keyOf, most] of [
    [(at: string) => at.slice(0, 10), DAYS],
    [weekOf, WEEKS],
    [(at: string) => at.slice(0, 7), MONTHS],
  ] as const) {
    const seen = new Set<string>();
    for (const b of daily) {
      const key = keyOf(b.at);
      if (seen.has(key)) continue;
      if (seen.size >= most) break;
      seen.add(key);
      stays.add(b);
    }
  }
  for (const kind of ['asked', 'before-import'] as const)
    for (const b of newestFirst.filter((o) => o.kind === kind).slice(0, OTHERS)) stays.add(b);
  return newestFirst.filter((b) => stays.has(b));
}

/** The Monday of a day, as the name of its week. */
function weekOf(at: string): string {
  const day = new Date(`${at.slice(0, 10)}T00:00:00Z`);
  day.setUTCDate(day.getUTCDate() - ((day.getUTCDay() + 6) % 7));
  return day.toISOString().slice(0, 10);
}

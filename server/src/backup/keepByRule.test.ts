import { describe, expect, it } from 'vitest';
import { keepByRule } from './keepByRule.ts';

const DAY_MS = 86_400_000;
/** One a day for so many days up to the end of 2026, newest last. */
const days = (n: number) =>
  Array.from({ length: n }, (_, i) => ({
    at: new Date(Date.UTC(2026, 11, 31, 6) - (n - 1 - i) * DAY_MS).toISOString(),
    kind: 'daily' as const,
  }));

describe('which backups stay', () => {
  it('of three years of days: two weeks whole, then weeks, then months, and no more', () => {
    const stays = keepByRule(days(1000));
    const ages = stays.map((b) => Math.round((Date.UTC(2026, 11, 31, 6) - Date.parse(b.at)) / DAY_MS));
    expect(ages.slice(0, 14)).toEqual([...Array(14).keys()]);
    expect(stays.length).toBeLessThanOrEqual(14 + 8 + 24);
    // The newest of a month is that of its last day; two years back there is one.
    expect(stays.map((b) => b.at.slice(0, 10))).toEqual(expect.arrayContaining(['2026-06-30', '2025-02-28']));
    expect(Math.max(...ages)).toBeGreaterThan(650);
  });

  it('grows day by day without ever losing the last of a month that is still wanted', () => {
    let kept: ReturnType<typeof days> = [];
    for (const b of days(400)) kept = keepByRule([...kept, b]);
    const months = new Set(kept.map((b) => b.at.slice(0, 7)));
    expect(months.size).toBeGreaterThanOrEqual(13);
    expect(kept.length).toBeLessThanOrEqual(46);
  });

  it('of those that were asked for the last ten, however old', () => {
    const asked = days(15).map((b) => ({ ...b, kind: 'asked' as const }));
    expect(keepByRule(asked).map((b) => b.at)).toEqual(
      asked
        .slice(5)
        .map((b) => b.at)
        .toReversed(),
    );
    expect(keepByRule([])).toEqual([]);
  });
});

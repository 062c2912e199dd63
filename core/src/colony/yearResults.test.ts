import { describe, expect, it } from 'vitest';
import { demoScenario } from '../demo/index.ts';
import { yearResults } from './yearResults.ts';

describe('how the parts of a year fared', () => {
  const { apiary } = demoScenario();
  it('tells them apart by method, line and yard, and counts each once', () => {
    const sums = (['method', 'line', 'yard'] as const).map((by) =>
      yearResults(apiary, 2026, by, '2026-05-15').reduce((n, l) => n + l.raised + l.failed + l.open, 0),
    );
    const parts = Object.values(apiary.colony).filter((c) => c.separation?.queen === 'elsewhere');
    expect(parts.length).toBeGreaterThan(0);
    expect(sums).toEqual([parts.length, parts.length, parts.length]);
  });
  it('keeps few results wide: one part says little', () => {
    const later = yearResults(apiary, 2026, 'method', '2026-09-15');
    expect(later.every((l) => l.open === 0)).toBe(true);
    for (const l of later) expect(l.high - l.low).toBeGreaterThan(0.15);
    expect(yearResults(apiary, 2024, 'method', '2026-09-15')).toEqual([]);
  });
});

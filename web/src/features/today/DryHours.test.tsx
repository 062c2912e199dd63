import type { HiveToday } from '@incremen/core/assessment';
import { orderOfDay } from '@incremen/core/assessment';
import { describe, expect, it } from 'vitest';
import { inWords } from './DryHours.tsx';

const hive = (name: string, minutes: number, by: string | null): HiveToday => ({
  colony: { id: name, name } as HiveToday['colony'],
  why: '',
  to: null,
  minutes,
  by,
});
const must = [hive('Willow', 45, '2026-05-15'), hive('Alder', 45, '2026-05-18'), hive('Rowan', 15, null)];
const said = (minutes: number, next: string | null) => inWords(orderOfDay(must, minutes, next), next);

describe('too few dry hours', () => {
  it('say who comes first, and until when the others can wait', () => {
    expect(said(75, '2026-05-17')).toBe(
      'About 75 minutes are fit for it today: Willow and Rowan first. Alder can wait until Mon 18 May; the next day for it is Sun 17 May.',
    );
  });

  it('say who cannot wait for the next', () => {
    expect(said(75, '2026-05-20')).toMatch(
      /^About 75 .* Alder cannot wait so long \(Mon 18 May\), and the next day for it is Wed 20 May: shorten the work, or get help\.$/,
    );
    expect(said(0, null)).toMatch(
      /^Hives cannot be opened any more today\. Willow and Alder cannot wait so long .*no better day is in sight.*Rowan can wait; no better day is in sight\.$/,
    );
    expect(said(10, '2026-05-16')).toMatch(/too few for any of them/);
  });
});

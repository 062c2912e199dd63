import { describe, expect, it } from 'vitest';
import type { Command } from '../records/commands.ts';
import { daysToCome } from './daysToCome.ts';

const moved = (day: string): Command =>
  ({
    type: 'moveHive',
    hiveId: 'h',
    day,
    hour: 'dusk',
    to: { standId: 's', fresh: null },
    entrance: 'open',
    obstacleUntil: '2026-06-01',
    newIds: ['x'],
  }) satisfies Command;

describe('what is told of a day that has not come', () => {
  it('is refused where it says so, within a batch too; a day that is planned is not', () => {
    expect(daysToCome(moved('2026-05-15'), '2026-05-15')).toEqual([]);
    expect(daysToCome(moved('2026-05-16'), '2026-05-15')).toMatchObject([
      { code: 'day-to-come', path: ['day'], message: 'Sat 16 May 2026 has not come yet.' },
    ]);
    const batch: Command = {
      type: 'batch',
      commands: [moved('2026-05-15'), moved('2027-01-01')] as never,
    };
    expect(daysToCome(batch, '2026-05-15').map((p) => p.path)).toEqual([['commands', 1, 'day']]);
  });
});

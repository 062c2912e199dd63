import { BARE_YARD, command, emptyApiary, newOperation, type Apiary } from '@incremen/core/records';
import { decide } from '@incremen/core/decide';
import { seededIds } from '@incremen/core/demo';
import { describe, expect, it } from 'vitest';
import { colonyNames, hivesCommand, USUAL_HIVE } from './hivesCommand.ts';

describe('many hives of one kind', () => {
  const newId = seededIds(5);
  const op = newId();
  const yardId = newId();
  const apiary: Apiary = {
    ...emptyApiary(),
    operation: { [op]: newOperation(op, 'x') },
    yard: { [yardId]: { ...BARE_YARD, id: yardId, name: 'Home', note: '' } },
  };

  it('twelve ten-frame deeps, E1 to E12, are one command that is accepted', () => {
    const names = Array.from({ length: 12 }, (_, i) => `E${i + 1}`);
    const made = hivesCommand(yardId, '2026-05-15', names, USUAL_HIVE, newId);
    expect(command.safeParse(made).success).toBe(true);
    const decided = decide(apiary, made);
    expect(decided.ok && decided.value.filter((c) => c.kind === 'frame')).toHaveLength(120);
  });

  it('parts two colonies, names them, and puts the supers over one excluder', () => {
    const kind = { ...USUAL_HIVE, slots: 9, supers: 2, colonies: 2 };
    const decided = decide(apiary, hivesCommand(yardId, '2026-05-15', ['N1'], kind, newId));
    if (!decided.ok) throw new Error('refused');
    const after = decided.value.flatMap((c) => (c.kind === 'box' && c.after ? [c.after] : []));
    expect(after.map((b) => [b.role, b.excluderBelow, b.chambers.map((c) => c.toSlot)])).toEqual([
      ['brood', false, [5, 9]],
      ['super', true, [9]],
      ['super', false, [9]],
    ]);
    expect(colonyNames('N1', 2)).toEqual(['N1 A', 'N1 B']);
  });
});

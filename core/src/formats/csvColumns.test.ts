import { describe, expect, it } from 'vitest';
import { dayOrders, matchColumns, readDay, renamedRows } from './csvColumns.ts';

describe('headings of a spreadsheet', () => {
  it('are forgiven capitals, signs, units and other words', () => {
    expect(
      matchColumns([
        'Hive Name',
        'Box',
        'Frame #',
        'Date',
        'Bees (tenths)',
        'Sealed brood',
        'Pollen',
        'Mood',
      ]),
    ).toEqual({
      'Hive Name': 'hive',
      Box: 'box',
      'Frame #': 'slot',
      Date: 'day',
      'Bees (tenths)': 'bees',
      'Sealed brood': 'capped',
      Pollen: 'bee_bread',
      Mood: null,
    });
  });

  it('take a column once', () => {
    expect(matchColumns(['hive', 'colony'])).toEqual({ hive: 'hive', colony: null });
  });
});

describe('dates of a spreadsheet', () => {
  it('are read in each order, and refused where there is no such day', () => {
    expect(readDay('14.5.2026', 'dmy')).toBe('2026-05-14');
    expect(readDay('5/14/26', 'mdy')).toBe('2026-05-14');
    expect(readDay('2026-05-14', 'ymd')).toBe('2026-05-14');
    expect(readDay('31/02/2026', 'dmy')).toBeNull();
  });

  it('are clear with a day above twelve, to be asked without one, and mixed when no order fits', () => {
    expect(dayOrders(['3/4/2026', '14/4/2026'])).toEqual(['dmy']);
    expect(dayOrders(['3/4/2026', '5/6/2026'])).toEqual(['dmy', 'mdy']);
    expect(dayOrders(['2026-05-14', '14.05.2026'])).toEqual([]);
    expect(dayOrders(['2026-05-14', 'soon'])).toEqual(['ymd']);
  });

  it('that are mixed are named, with both lines', () => {
    const rows = [
      { line: 2, fields: { Date: '2026-05-14' } },
      { line: 3, fields: { Date: '14.05.2026' } },
    ];
    expect(renamedRows(rows, { Date: 'day' }, null).problems).toMatchObject([
      {
        line: 3,
        column: 'Date',
        message: expect.stringContaining('line 2 has "2026-05-14", line 3') as string,
      },
    ]);
    expect(renamedRows(rows.slice(1), { Date: 'day' }, null)).toEqual({
      rows: [{ line: 3, fields: { day: '2026-05-14' } }],
      problems: [],
    });
  });
});

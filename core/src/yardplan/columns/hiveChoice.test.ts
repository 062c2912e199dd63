import { describe, expect, it } from 'vitest';
import { mostlyOpened } from './hiveChoice.ts';

describe('hives that are opened for the most part', () => {
  const opening = new Map([
    [7, 0.4],
    [1, 1],
    [4, 0.7],
    [9, 0],
    [2, 0.4],
  ]);

  it('are as many as are opened in all, the most first', () => {
    const { hives, next } = mostlyOpened(opening);
    expect([...hives]).toEqual([1, 4, 2]);
    expect(next).toBe(7);
  });

  it('are more or fewer where asked for, but none that is shut', () => {
    expect([...mostlyOpened(opening, 1).hives]).toEqual([1, 4, 2, 7]);
    expect(mostlyOpened(opening, 1).next).toBeNull();
    expect([...mostlyOpened(opening, 5).hives]).toEqual([1, 4, 2, 7]);
    expect([...mostlyOpened(opening, -2).hives]).toEqual([1]);
    expect(mostlyOpened(opening, -9).hives.size).toBe(0);
  });

  it('are none where all are as good as shut', () => {
    expect(mostlyOpened(new Map([[3, 0.01]]))).toEqual({ hives: new Set(), next: 3 });
    expect(mostlyOpened(new Map())).toEqual({ hives: new Set(), next: null });
  });
});

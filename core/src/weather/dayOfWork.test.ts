import { describe, expect, it } from 'vitest';
import { dayOfWork, minutesLeft } from './dayOfWork.ts';
import type { WeatherHour } from './weatherHour.ts';

/** Hours of a day, warm and dry but where it rains. */
const hoursOf = (day: string, rain: readonly number[] = [], temperatureC = 18): WeatherHour[] =>
  Array.from({ length: 24 }, (_, h) => ({
    time: `${day}T${String(h).padStart(2, '0')}:00`,
    temperatureC: h < 10 ? 9 : temperatureC,
    rainMm: rain.includes(h) ? 2 : 0,
    windMs: 2,
  })) as WeatherHour[];

const ALL_DAY = Array.from({ length: 24 }, (_, h) => h);

describe('a day of work held against the forecast', () => {
  const hours = [...hoursOf('2026-05-15', ALL_DAY), ...hoursOf('2026-05-16'), ...hoursOf('2026-05-17')];

  it('has its hours, or says on which day they are', () => {
    expect(dayOfWork(hours, '2026-05-16')).toEqual({
      windows: [{ day: '2026-05-16', fromHour: 10, toHour: 19 }],
      next: null,
    });
    expect(dayOfWork(hours, '2026-05-15')).toMatchObject({ windows: [], next: { day: '2026-05-16' } });
    expect(dayOfWork([...hoursOf('2026-05-15', ALL_DAY)], '2026-05-15')).toEqual({ windows: [], next: null });
  });

  it('is not judged where it is not foretold', () => {
    expect(dayOfWork(hours, '2026-05-18')).toBeNull();
    expect(dayOfWork(hoursOf('2026-05-15', ALL_DAY).slice(0, 12), '2026-05-15')).toBeNull();
  });

  it('a cold day has none, however dry', () => {
    expect(dayOfWork(hoursOf('2026-05-15', [], 12), '2026-05-15')?.windows).toEqual([]);
  });
});

describe('minutes that are left', () => {
  it('end where rain begins, and begin now', () => {
    const windows =
      dayOfWork(hoursOf('2026-05-15', [13, 14, 15, 16, 17, 18, 19]), '2026-05-15')?.windows ?? [];
    expect(minutesLeft(windows, '2026-05-15', '2026-05-15T08:00')).toBe(180);
    expect(minutesLeft(windows, '2026-05-15', '2026-05-15T12:00')).toBe(60);
    expect(minutesLeft(windows, '2026-05-16', '2026-05-15T12:00')).toBe(0);
  });
});

import { describe, expect, it } from 'vitest';
import { addDays } from '../basics/day.ts';
import { matingDays, nextRain, nights, scaleDays, scaleVerdict, workingWindows } from './beeWeather.ts';
import { scaleRows, weatherRows, type WeatherHour } from './weatherHour.ts';

const hour = (time: string, temperatureC: number, rest: Partial<WeatherHour> = {}): WeatherHour => ({
  time,
  temperatureC,
  rainMm: 0,
  windMs: 2,
  cloudPct: 30,
  ...rest,
});
const at = (h: number, day = '2026-05-15') => `${day}T${String(h).padStart(2, '0')}:00`;
const before = (day: string) => addDays(day, -1);

describe('weather for bees', () => {
  it('finds the spans in which hives can be opened, and ends them with rain or cold', () => {
    const day = Array.from({ length: 24 }, (_, h) =>
      hour(at(h), h >= 10 && h <= 17 ? 16 : 9, h === 14 ? { rainMm: 0.6 } : {}),
    );
    expect(workingWindows(day)).toEqual([
      { day: '2026-05-15', fromHour: 10, toHour: 13 },
      { day: '2026-05-15', fromHour: 15, toHour: 17 },
    ]);
    expect(workingWindows(day.map((h) => ({ ...h, windMs: 9 })))).toEqual([]);
    expect(nextRain(day, at(8))).toBe(at(14));
    expect(nextRain(day, at(15))).toBeNull();
  });

  it('takes the lowest temperature of a night over midnight', () => {
    const evening = [18, 19, 20, 21, 22, 23].map((h) => hour(at(h), 12));
    const morning = [0, 1, 2, 3, 4, 5, 6].map((h) => hour(at(h, '2026-05-16'), h === 4 ? 3 : 8));
    expect(nights([...evening, ...morning], before)).toEqual([{ day: '2026-05-15', minC: 3 }]);
    // Of two hours nobody says how cold a night was.
    expect(nights(evening.slice(0, 2), before)).toEqual([]);
  });

  it('knows afternoons on which a queen can fly (18 to 20 °C and more, Winston 1987)', () => {
    const afternoon = (day: string, t: number, rest: Partial<WeatherHour> = {}) =>
      [13, 14, 15, 16].map((h) => hour(at(h, day), t, rest));
    expect(
      matingDays([
        ...afternoon('2026-05-15', 21),
        ...afternoon('2026-05-16', 15),
        ...afternoon('2026-05-17', 22, { windMs: 8 }),
        ...afternoon('2026-05-18', 22, { rainMm: 1 }),
        ...afternoon('2026-05-19', 19),
      ]),
    ).toEqual(['2026-05-15', '2026-05-19']);
  });
});

describe('a hive on a scale', () => {
  const weights = (gains: readonly number[], handled = 0) => {
    let kg = 30;
    return gains.flatMap((gain, d) =>
      [0, 12].map((h) => {
        const row = { time: at(h, addDays('2026-05-01', d)), hive: 'Tansy', weightKg: kg };
        kg += gain / 2 + (d === 3 && h === 0 ? handled : 0);
        return row;
      }),
    );
  };

  it('gains in a flow, and a box that is added is no flow', () => {
    const days = scaleDays(weights([0.5, 0.5, 0.5, 0.5, 0.5, 0.5, 0.5, 0.5], 12));
    expect(days[0]?.gainKg).toBeCloseTo(0.5);
    expect(scaleVerdict(days).says).toBe('flow');
    expect(scaleVerdict(days).weekKg).toBeLessThan(4);
  });

  it('calls for a food check when it loses more than a kilogram a week', () => {
    expect(scaleVerdict(scaleDays(weights([-0.2, -0.2, -0.2, -0.2, -0.2, -0.2, -0.2, -0.2]))).says).toBe(
      'loses',
    );
    expect(scaleVerdict(scaleDays(weights([-0.05, 0.05, 0, 0, 0, 0, 0, 0]))).says).toBe('holds');
    expect(scaleVerdict([]).says).toBe('too-little-known');
  });
});

describe('a station that sends nonsense', () => {
  const header = ['time', 'temperature_c', 'rain_mm', 'wind_ms', 'cloud_pct'];

  it('is refused whole, and each fault is named by its row and column', () => {
    const read = weatherRows([
      header,
      [at(1), '12.5', '0', '3', '40'],
      [at(2), '999', '0', '3', '40'],
      ['yesterday', '12', '0', '3', '40'],
      [at(3), '', '0', '3', '40'],
    ]);
    expect(read.ok).toBe(false);
    const problems = read.ok ? [] : read.problems.map((p) => p.path.join(' '));
    expect(read.ok ? [] : read.problems.map((p) => p.message)).toContain('Row 5: temperature_c is empty.');
    expect(problems).toEqual(['row 3 temperature_c', 'row 4 time', 'row 5 temperature_c']);
  });

  it('must name its columns', () => {
    expect(weatherRows([['when', 'temp']])).toMatchObject({ ok: false, problems: [{ code: 'columns' }] });
    expect(weatherRows([])).toMatchObject({ ok: false });
  });

  it('is read when it makes sense, an empty last line and all', () => {
    expect(weatherRows([header, [at(1), '12.5', '0.2', '3', '40'], ['']])).toEqual({
      ok: true,
      value: [hour(at(1), 12.5, { rainMm: 0.2, windMs: 3, cloudPct: 40 })],
    });
    expect(
      scaleRows([
        ['time', 'hive', 'weight_kg'],
        [at(1), 'Tansy', '31.4'],
      ]),
    ).toMatchObject({ ok: true });
    expect(
      scaleRows([
        ['time', 'hive', 'weight_kg'],
        [at(1), 'Tansy', '-4'],
      ]),
    ).toMatchObject({ ok: false });
  });
});

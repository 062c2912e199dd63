import { z } from 'zod';
import { daySchema, type Day, failure, success, type Problem, type Result } from '../basics/index.ts';

/** An hour of local time, as 2026-05-15T14:00. */
const hourSchema = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}T([01]\d|2[0-3]):00$/, 'An hour looks like 2026-05-15T14:00.')
  .refine((s) => daySchema.safeParse(s.slice(0, 10)).success, 'There is no such day.');
export type Hour = string;

/** Weather of one hour: measured, or foretold. */
export const weatherHour = z.strictObject({
  time: hourSchema,
  temperatureC: z.number().min(-60).max(60),
  rainMm: z.number().min(0).max(200),
  windMs: z.number().min(0).max(90),
  cloudPct: z.number().min(0).max(100),
});
export type WeatherHour = z.infer<typeof weatherHour>;

/** What a hive on a scale weighs at an hour. */
export const scaleHour = z.strictObject({
  time: hourSchema,
  hive: z.string().trim().min(1).max(80),
  weightKg: z.number().min(1).max(500),
});
export type ScaleHour = z.infer<typeof scaleHour>;

/** Columns of the open formats, as a header of comma-separated values (RFC 4180). */
const WEATHER_COLUMNS = ['time', 'temperature_c', 'rain_mm', 'wind_ms', 'cloud_pct'] as const;
const SCALE_COLUMNS = ['time', 'hive', 'weight_kg'] as const;

/** Rows of a file, already parted at its commas, as hours of weather. All or nothing: every fault is named by its row. */
export function weatherRows(rows: readonly (readonly string[])[]): Result<WeatherHour[]> {
  return readRows(
    rows,
    WEATHER_COLUMNS,
    Object.keys(weatherHour.shape),
    ([time, temperatureC, rainMm, windMs, cloudPct]) =>
      weatherHour.safeParse({
        time,
        temperatureC: number(temperatureC),
        rainMm: number(rainMm),
        windMs: number(windMs),
        cloudPct: number(cloudPct),
      }),
  );
}

/** The same for the weights of hives. */
export function scaleRows(rows: readonly (readonly string[])[]): Result<ScaleHour[]> {
  return readRows(rows, SCALE_COLUMNS, Object.keys(scaleHour.shape), ([time, hive, weightKg]) =>
    scaleHour.safeParse({ time, hive, weightKg: number(weightKg) }),
  );
}

/** An empty field is no number: zero would be a measurement. */
const number = (text: string | undefined) => (text?.trim() ? Number(text) : Number.NaN);

/** More faults than these are not listed: the file is something else. */
const MOST_PROBLEMS = 20;

function readRows<T>(
  [header, ...rows]: readonly (readonly string[])[],
  columns: readonly string[],
  keys: readonly string[],
  read: (row: readonly string[]) => { success: true; data: T } | { success: false; error: z.ZodError },
): Result<T[]> {
  if (header?.map((h) => h.trim()).join() !== columns.join()) {
    return failure({
      code: 'columns',
      path: ['row 1'],
      message: `The first row is to read ${columns.join(',')}.`,
      remedy: 'Put the names of the columns there, in this order.',
    });
  }
  const problems: Problem[] = [];
  const values: T[] = [];
  rows.forEach((row, i) => {
    if (row.length === 1 && row[0]?.trim() === '') return;
    const parsed = read(row);
    if (parsed.success) values.push(parsed.data);
    else if (problems.length < MOST_PROBLEMS) {
      // Keys of an hour stand in the order of its columns.
      const at = keys.indexOf(String(parsed.error.issues[0]?.path[0]));
      const column = columns[at] ?? columns[0] ?? '';
      const value = row[at]?.trim() ?? '';
      problems.push({
        code: 'value',
        path: [`row ${i + 2}`, column],
        message: `Row ${i + 2}: ${column} ${value === '' ? 'is empty' : `cannot be “${value.slice(0, 30)}”`}.`,
        remedy: 'Correct the value, or leave the row out.',
      });
    }
  });
  return problems.length > 0 ? failure(...problems) : success(values);
}

/** The day of an hour. */
export const dayOfHour = (hour: Hour): Day => hour.slice(0, 10);
/** The hour of the day, 0 to 23. */
export const hourOfDay = (hour: Hour): number => Number(hour.slice(11, 13));

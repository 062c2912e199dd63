import { Text } from '@chakra-ui/react';
import { orderOfDay, type DayOrder, type HiveToday } from '@incremen/core/assessment';
import { dayInWords, listInWords, type Day } from '@incremen/core/basics';
import { minutesLeft } from '@incremen/core/weather';
import { useToday } from '../../mirror/hooks.ts';
import { useWeather } from '../../shared/weather/useWeather.ts';
import { senseOf } from '../../shared/weather/weatherWords.ts';

/** Which hives come first where the dry hours of the day do not suffice for all. Nothing while the weather is not known. */
export function DryHours({ must }: { readonly must: readonly HiveToday[] }) {
  const { report, now } = useWeather();
  const today = useToday();
  if (!report || !now || report.forecast.length === 0 || must.length === 0) return null;
  const { windows } = senseOf(report, now);
  const next = windows.find((w) => w.day > today)?.day ?? null;
  const order = orderOfDay(must, minutesLeft(windows, today, now), next);
  if (order.later.length === 0) return null;
  return (
    <Text role="status" mb={4} maxW="46rem">
      {inWords(order, next)}
    </Text>
  );
}

/** "About 75 minutes are fit for it today: Sorrel first. Yarrow can wait until Sun 17 May." */
export function inWords({ now, later, tooLate, minutes }: DayOrder, next: Day | null): string {
  const names = (hives: readonly HiveToday[]) => listInWords(hives.map((h) => h.colony.name));
  const first =
    minutes === 0
      ? 'Hives cannot be opened any more today.'
      : now.length > 0
        ? `About ${minutes} minutes are fit for it today: ${names(now)} first.`
        : `About ${minutes} minutes are fit for it today, too few for any of them.`;
  const when = next === null ? 'no better day is in sight' : `the next day for it is ${dayInWords(next)}`;
  const waits = later
    .filter((h) => !tooLate.includes(h))
    .map((h) => `${h.colony.name} can wait${h.by === null ? '' : ` until ${dayInWords(h.by)}`}`);
  return [
    first,
    ...(tooLate.length > 0
      ? [
          `${names(tooLate)} cannot wait so long (${tooLate.map((h) => h.by && dayInWords(h.by)).join(', ')}), and ${when}: shorten the work, or get help.`,
        ]
      : []),
    ...(waits.length > 0 ? [`${waits.join('; ')}; ${when}.`] : []),
  ].join(' ');
}

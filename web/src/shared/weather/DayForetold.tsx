import { Text } from '@chakra-ui/react';
import { dayInWords, type Day } from '@incremen/core/basics';
import { dayOfWork } from '@incremen/core/weather';
import common from '../../ui/common.module.css';
import { useWeather } from './useWeather.ts';
import { windowInWords } from './weatherWords.ts';

/** Whether hives can be opened on the day that is planned for; nothing where that is not foretold. */
export function DayForetold({
  day,
  onChange,
}: {
  readonly day: Day;
  readonly onChange?: (day: Day) => void;
}) {
  const { report, now } = useWeather();
  const foretold =
    report && now
      ? dayOfWork(
          report.forecast.filter((h) => h.time >= now),
          day,
        )
      : null;
  if (!foretold) return null;
  const { windows, next } = foretold;
  if (windows.length > 0)
    return (
      <Text fontSize="sm" color="inkSoft">
        {dayInWords(day)}: hives can be opened {windows.map(windowInWords).join(' and ')}.
      </Text>
    );
  return (
    <Text fontSize="sm" color="near" role="status">
      Too cold, wet or windy to open hives on {dayInWords(day)}.{' '}
      {next === null
        ? 'No better day is in sight.'
        : `The next hours are on ${dayInWords(next.day)}, ${windowInWords(next)}.`}{' '}
      {next !== null && onChange && (
        <button type="button" className={common.quietButton} onClick={() => onChange(next.day)}>
          Plan it for {dayInWords(next.day)}
        </button>
      )}
    </Text>
  );
}

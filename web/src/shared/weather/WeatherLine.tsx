import { Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { Link } from 'react-router';
import { useToday } from '../../mirror/hooks.ts';
import { useWeather } from './useWeather.ts';
import { senseOf, workInWords } from './weatherWords.ts';

/** When hives can be opened, in one line; nothing while the weather is not known. */
export function WeatherLine() {
  const { report, now } = useWeather();
  const today = useToday();
  if (!report || !now || report.forecast.length === 0) return null;
  const sense = senseOf(report, now);
  return (
    <Text mb={4} fontSize="lg">
      <Link to="/weather">{workInWords(sense, today)}</Link>
      {sense.rain && ` Rain from ${sense.rain.slice(11)} on ${dayInWords(sense.rain.slice(0, 10))}.`}
    </Text>
  );
}

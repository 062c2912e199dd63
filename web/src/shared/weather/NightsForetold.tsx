import { Text } from '@chakra-ui/react';
import { WEATHER_LIMITS } from '@incremen/core/weather';
import { useOperation } from '../../mirror/hooks.ts';
import { degrees, degreeSign } from '../../ui/format.ts';
import { useWeather } from './useWeather.ts';
import { senseOf } from './weatherWords.ts';
import common from '../../ui/common.module.css';

/** How cold the nights are foretold to be, beside a choice that should agree with it. */
export function NightsForetold({
  nights,
  onChange,
}: {
  readonly nights: 'mild' | 'cold';
  readonly onChange: (nights: 'mild' | 'cold') => void;
}) {
  const { report, now } = useWeather();
  const { units } = useOperation();
  const coldest = report && now ? senseOf(report, now).coldest : null;
  if (!coldest) return null;
  const foretold = coldest.minC < WEATHER_LIMITS.coldNightC ? 'cold' : 'mild';
  return (
    <Text color="inkSoft">
      Foretold: {degrees(coldest.minC, units)} {degreeSign(units)} at the coldest.{' '}
      {foretold !== nights && (
        <button type="button" className={common.quietButton} onClick={() => onChange(foretold)}>
          Reckon with {foretold} nights
        </button>
      )}
    </Text>
  );
}

import { Text } from '@chakra-ui/react';
import { WEATHER_LIMITS } from '@incremen/core/weather';
import { useOperation } from '../../mirror/hooks.ts';
import { degrees, degreeSign } from '../../ui/format.ts';
import { useColdestNight } from './useColdestNight.ts';
import common from '../../ui/common.module.css';

/** How cold the nights are foretold to be, beside a choice that should agree with it. */
export function NightsForetold({
  nights,
  onChange,
}: {
  readonly nights: 'mild' | 'cold';
  readonly onChange: (nights: 'mild' | 'cold') => void;
}) {
  const { units } = useOperation();
  const coldest = useColdestNight();
  if (!coldest) return null;
  const forecast = coldest.minC < WEATHER_LIMITS.coldNightC ? 'cold' : 'mild';
  return (
    <Text color="inkSoft">
      {coldest.by === 'forecast' ? 'Forecast' : 'As you said'}: {degrees(coldest.minC, units)}{' '}
      {degreeSign(units)} at the coldest.{' '}
      {forecast !== nights && (
        <button type="button" className={common.quietButton} onClick={() => onChange(forecast)}>
          Plan for {forecast} nights
        </button>
      )}
    </Text>
  );
}

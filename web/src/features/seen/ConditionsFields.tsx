import { Box, Flex, Input, Text } from '@chakra-ui/react';
import type { Conditions, Operation } from '@incremen/core';
import { memo } from 'react';
import { Choice } from '../../ui/Choice.tsx';
import { degrees, degreeSign } from '../../ui/format.ts';

/** Conditions of which nothing was noted. */
export const NO_CONDITIONS: Conditions = {
  v: 1,
  temperatureC: null,
  sky: null,
  wind: null,
  minutesOpen: null,
};

const toShown = (celsius: number | null, units: Operation['units']) =>
  celsius === null ? '' : String(degrees(celsius, units));
const toCelsius = (shown: string, units: Operation['units']) => {
  const n = Number(shown);
  if (shown.trim() === '' || !Number.isFinite(n)) return null;
  return Math.min(55, Math.max(-30, units === 'imperial' ? Math.round(((n - 32) / 1.8) * 10) / 10 : n));
};

/** Weather, and how long the hive was open. */
export const ConditionsFields = memo(function ConditionsFields({
  conditions,
  onChange,
  units,
}: {
  readonly conditions: Conditions;
  readonly onChange: (conditions: Conditions) => void;
  readonly units: Operation['units'];
}) {
  return (
    <Box display="grid" gap={3}>
      <Choice
        label="Sky"
        value={conditions.sky}
        onChange={(sky) => onChange({ ...conditions, sky })}
        options={[
          { id: 'sun', label: 'Sun' },
          { id: 'cloud', label: 'Cloud' },
          { id: 'rain', label: 'Rain' },
        ]}
      />
      <Choice
        label="Wind"
        value={conditions.wind}
        onChange={(wind) => onChange({ ...conditions, wind })}
        options={[
          { id: 'calm', label: 'Calm' },
          { id: 'breeze', label: 'Breeze' },
          { id: 'wind', label: 'Wind' },
        ]}
      />
      <Flex gap={4}>
        <Box as="label">
          <Text as="span" fontWeight="600">
            Temperature, {degreeSign(units)}
          </Text>
          <Input
            type="number"
            inputMode="numeric"
            bg="sheet"
            minH="44px"
            maxW="8rem"
            defaultValue={toShown(conditions.temperatureC, units)}
            onChange={(e) => onChange({ ...conditions, temperatureC: toCelsius(e.target.value, units) })}
          />
        </Box>
        <Box as="label">
          <Text as="span" fontWeight="600">
            Open for, minutes
          </Text>
          <Input
            type="number"
            inputMode="numeric"
            bg="sheet"
            minH="44px"
            maxW="8rem"
            min={0}
            max={600}
            placeholder="by the clock"
            value={conditions.minutesOpen ?? ''}
            onChange={(e) =>
              onChange({
                ...conditions,
                minutesOpen:
                  e.target.value === ''
                    ? null
                    : Math.min(600, Math.max(0, Math.round(Number(e.target.value)))),
              })
            }
          />
        </Box>
      </Flex>
    </Box>
  );
});

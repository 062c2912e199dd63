import { Box, Flex, Input, Text } from '@chakra-ui/react';
import type { Conditions, Operation } from '@incremen/core/records';
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
        <NumberField
          label={`Temperature, ${degreeSign(units)}`}
          defaultValue={toShown(conditions.temperatureC, units)}
          onText={(text) => onChange({ ...conditions, temperatureC: toCelsius(text, units) })}
        />
        <NumberField
          label="Open for, minutes"
          placeholder="by the clock"
          value={conditions.minutesOpen ?? ''}
          onText={(text) => onChange({ ...conditions, minutesOpen: toMinutes(text) })}
        />
      </Flex>
    </Box>
  );
});

const toMinutes = (text: string) =>
  text === '' ? null : Math.min(600, Math.max(0, Math.round(Number(text))));

function NumberField({
  label,
  onText,
  ...field
}: {
  readonly label: string;
  readonly onText: (text: string) => void;
  readonly value?: string | number;
  readonly defaultValue?: string;
  readonly placeholder?: string;
}) {
  return (
    <Box as="label">
      <Text as="span" fontWeight="600">
        {label}
      </Text>
      <Input
        type="number"
        inputMode="numeric"
        bg="sheet"
        maxW="8rem"
        onChange={(e) => onText(e.target.value)}
        {...field}
      />
    </Box>
  );
}

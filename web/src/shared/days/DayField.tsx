import { Field } from '@chakra-ui/react';
import { DayInput } from './DayInput.tsx';

/** A day with its label. */
export function DayField({
  label,
  value,
  max,
  onChange,
}: {
  readonly label: string;
  /** As `2026-05-15`; empty for none. */
  readonly value: string;
  /** The last day that the calendar offers. */
  readonly max?: string;
  readonly onChange: (day: string) => void;
}) {
  return (
    <Field.Root maxW="15rem">
      <Field.Label>{label}</Field.Label>
      <DayInput value={value} max={max} onChange={onChange} />
    </Field.Root>
  );
}

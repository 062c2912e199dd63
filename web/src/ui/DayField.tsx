import { Field, Input } from '@chakra-ui/react';

/** A day, chosen in the browser's own calendar. */
export function DayField({
  label,
  value,
  max,
  onChange,
}: {
  readonly label: string;
  /** As `2026-05-15`; empty for none. */
  readonly value: string;
  /** The last day that can be chosen. */
  readonly max?: string;
  readonly onChange: (day: string) => void;
}) {
  return (
    <Field.Root maxW="12rem">
      <Field.Label>{label}</Field.Label>
      <Input type="date" bg="sheet" value={value} max={max} onChange={(e) => onChange(e.target.value)} />
    </Field.Root>
  );
}

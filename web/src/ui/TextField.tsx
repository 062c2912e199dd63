import { Field, Input } from '@chakra-ui/react';

/** A line of text. */
export function TextField({
  label,
  value,
  onChange,
  placeholder,
  hint,
  maxLength = 80,
  numeric = false,
}: {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly placeholder?: string;
  readonly hint?: string;
  readonly maxLength?: number;
  readonly numeric?: boolean;
}) {
  return (
    <Field.Root maxW="22rem">
      <Field.Label>{label}</Field.Label>
      <Input
        bg="sheet"
        value={value}
        maxLength={maxLength}
        placeholder={placeholder}
        inputMode={numeric ? 'decimal' : undefined}
        onChange={(e) => onChange(e.target.value)}
      />
      {hint && <Field.HelperText color="inkSoft">{hint}</Field.HelperText>}
    </Field.Root>
  );
}

/** A number as people type it, with a comma or a point; null for anything else. */
export function numberTyped(text: string): number | null {
  const n = Number(text.trim().replace(',', '.'));
  return text.trim() === '' || !Number.isFinite(n) ? null : n;
}

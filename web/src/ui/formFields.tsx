import { Field, Input } from '@chakra-ui/react';
import type { ComponentProps } from 'react';
import { z } from 'zod';

/**
 * A line of text in a form that a schema watches over: its fault is said under it, and told to those who do not see it.
 *
 * @param fault - what is wrong, once the field has been left or the form was sent
 */
export function FormLine({
  label,
  fault,
  hint,
  numeric = false,
  ...rest
}: {
  readonly label: string;
  readonly fault: string | undefined;
  readonly hint?: string | undefined;
  readonly numeric?: boolean;
} & Omit<ComponentProps<typeof Input>, 'children'>) {
  return (
    <Field.Root invalid={fault !== undefined} maxW="22rem">
      <Field.Label>{label}</Field.Label>
      <Input
        bg="sheet"
        minH="44px"
        autoComplete="off"
        inputMode={numeric ? 'decimal' : undefined}
        {...rest}
      />
      {hint !== undefined && fault === undefined && (
        <Field.HelperText color="inkSoft">{hint}</Field.HelperText>
      )}
      <Field.ErrorText color="alarm">{fault}</Field.ErrorText>
    </Field.Root>
  );
}

/** A number as people type it, with a comma or a point, between two limits. @throws never: what is wrong is a fault */
export const typedNumber = (what: string, least: number, most: number) =>
  z
    .string()
    .trim()
    .transform((text) => (text === '' ? Number.NaN : Number(text.replace(',', '.'))))
    .refine((n) => Number.isFinite(n), `Write ${what} as a number, such as 2 or 1.5.`)
    .refine((n) => !Number.isFinite(n) || (n >= least && n <= most), `Between ${least} and ${most}, please.`);

/** A year that may be left empty. */
export const yearOrNull = z
  .string()
  .trim()
  .regex(/^(\d{4})?$/, 'Write the year with four digits, or leave it empty.')
  .transform((text) => (text === '' ? null : Number(text)));

/** A line of text that may be left empty. */
export const textOrNull = z
  .string()
  .trim()
  .max(80)
  .transform((text) => (text === '' ? null : text));

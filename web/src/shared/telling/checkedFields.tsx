import { Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { useController, useFormContext } from 'react-hook-form';
import { useToday } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { FormLine } from '../../ui/formFields.tsx';
import { Select } from '../../ui/Select.tsx';
import { Stepper } from '../../ui/Stepper.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { DayField } from '../days/DayField.tsx';

interface Named {
  /** The field of the form's schema. */
  readonly name: string;
  readonly label: string;
}

/** What is wrong with a field, in words. */
function useFault(name: string): string | undefined {
  const { getFieldState, formState } = useFormContext();
  return getFieldState(name, formState).error?.message;
}

/** What is wrong with a field that shows it in no other way. */
function Fault({ name }: { readonly name: string }) {
  const words = useFault(name);
  return words ? (
    <Text color="alarm" role="alert">
      {words}
    </Text>
  ) : null;
}

/** A line of text, or a number, in a {@link CheckedForm}. */
export function LineIn({
  name,
  label,
  ...rest
}: Named & {
  readonly numeric?: boolean;
  readonly hint?: string | undefined;
  readonly maxLength?: number;
}) {
  const { register } = useFormContext();
  return <FormLine label={label} fault={useFault(name)} {...rest} {...register(name)} />;
}

/** One of a few answers in a {@link CheckedForm}. */
export function ChoiceIn<T extends string>({
  name,
  label,
  options,
  value,
  columns = false,
}: Named & {
  readonly options: readonly { readonly id: T; readonly label: ReactNode }[];
  /** What counts as chosen, where the options may be others than when it was. */
  readonly value?: T;
  readonly columns?: boolean;
}) {
  const { field } = useController({ name });
  return (
    <Choice
      label={label}
      columns={columns}
      options={options}
      value={value ?? (field.value as T)}
      onChange={field.onChange}
    />
  );
}

/** One of many in a {@link CheckedForm}. */
export function SelectIn({
  name,
  label,
  options,
}: Named & { readonly options: readonly (readonly [value: string, words: string])[] }) {
  const { field } = useController({ name });
  return (
    <>
      <Select fit label={label} value={field.value as string} options={options} onChange={field.onChange} />
      <Fault name={name} />
    </>
  );
}

/**
 * A day in a {@link CheckedForm}.
 *
 * @param orToday - an empty field is today, also when the server tells its day only after the form is shown
 * @param ahead - days to come can be chosen
 */
export function DayIn({
  name,
  label,
  orToday = false,
  ahead = false,
}: Named & { readonly orToday?: boolean; readonly ahead?: boolean }) {
  const today = useToday();
  const { field } = useController({ name });
  const value = field.value as string;
  return (
    <>
      <DayField
        label={label}
        value={orToday && value === '' ? today : value}
        {...(!ahead && { max: today })}
        onChange={field.onChange}
      />
      <Fault name={name} />
    </>
  );
}

/** A number that goes up and down, in a {@link CheckedForm}. */
export function CountIn({ name, label, min, max }: Named & { readonly min: number; readonly max: number }) {
  const { field } = useController({ name });
  return (
    <Stepper
      label={label}
      value={Math.min(max, field.value as number)}
      min={min}
      max={max}
      onChange={field.onChange}
    />
  );
}

/** One thing to be ticked in a {@link CheckedForm}. */
export function TickIn({ name, label }: Named) {
  const { field } = useController({ name });
  return (
    <>
      <Tick label={label} checked={field.value as boolean} onChange={field.onChange} onBlur={field.onBlur} />
      <Fault name={name} />
    </>
  );
}

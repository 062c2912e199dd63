import { Field, Input } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';

/** A whole number from one on; null for nothing entered, and undefined for what is no such number. */
function limitIn(text: string): number | null | undefined {
  if (text.trim() === '') return null;
  const n = Number(text);
  return Number.isInteger(n) && n >= 1 ? n : undefined;
}

/** How much of something is done in a day at most, or no limit. */
export function LimitField({
  label,
  value,
  most,
  onChange,
}: {
  readonly label: string;
  readonly value: number | null;
  /** The largest number that can be meant. */
  readonly most: number;
  readonly onChange: (value: number | null) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  /** The limit that was to be changed to something that is none. */
  const [kept, setKept] = useState<{ readonly value: number | null } | null>(null);
  const isBad = kept !== null && kept.value === value;
  // What is asked may be changed by undo as well.
  useEffect(() => {
    if (input.current) input.current.value = value === null ? '' : String(value);
  }, [value]);
  const take = (text: string) => {
    const n = limitIn(text);
    const isFit = n === null || (n !== undefined && n <= most);
    setKept(isFit ? null : { value });
    if (isFit && n !== value) onChange(n);
  };
  return (
    <Field.Root invalid={isBad}>
      <Field.Label>{label}</Field.Label>
      <Input
        ref={input}
        inputMode="numeric"
        bg="sheet"
        placeholder="no limit"
        defaultValue={value ?? ''}
        onBlur={(e) => take(e.target.value)}
        onKeyDown={(e) => e.key === 'Enter' && take(e.currentTarget.value)}
      />
      <Field.ErrorText>Enter a whole number from 1 to {most}, or nothing for no limit.</Field.ErrorText>
    </Field.Root>
  );
}

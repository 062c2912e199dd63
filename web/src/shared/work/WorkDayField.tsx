import { Field, Input } from '@chakra-ui/react';
import { dayInWords, type Day } from '@incremen/core/basics';
import { useEffect, useRef, useState } from 'react';

/** The day of the work: today or one to come. */
export function WorkDayField({
  day,
  today,
  onChange,
}: {
  readonly day: Day;
  readonly today: Day;
  readonly onChange: (day: Day) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  const [past, setPast] = useState<Day | null>(null);
  // Not while a date is being typed: on its way it is many another.
  useEffect(() => {
    if (input.current && input.current !== document.activeElement) input.current.value = day;
  }, [day]);
  return (
    <Field.Root invalid={past !== null}>
      <Field.Label>Day of the work</Field.Label>
      <Input
        ref={input}
        type="date"
        bg="sheet"
        minH="touch"
        min={today}
        defaultValue={day}
        onChange={(e) => {
          const { value } = e.target;
          if (value < today) return;
          setPast(null);
          onChange(value);
        }}
        onBlur={(e) => {
          const { value } = e.target;
          setPast(value !== '' && value < today ? value : null);
          e.target.value = day;
        }}
      />
      <Field.ErrorText>
        {past && `${dayInWords(past)} is past. Choose ${dayInWords(today)} or a day after it.`}
      </Field.ErrorText>
    </Field.Root>
  );
}

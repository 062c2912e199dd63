import { Field } from '@chakra-ui/react';
import { dayInWords, type Day } from '@incremen/core/basics';
import { useState } from 'react';
import { DayInput } from '../days/DayInput.tsx';

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
  const [past, setPast] = useState<Day | null>(null);
  return (
    <Field.Root invalid={past !== null}>
      <Field.Label>Day of the work</Field.Label>
      <DayInput
        value={day}
        min={today}
        invalid={past !== null}
        onChange={(chosen) => {
          setPast(chosen !== '' && chosen < today ? chosen : null);
          if (chosen >= today) onChange(chosen);
        }}
      />
      <Field.ErrorText>
        {past && `${dayInWords(past)} is past. Choose ${dayInWords(today)} or a day after it.`}
      </Field.ErrorText>
    </Field.Root>
  );
}

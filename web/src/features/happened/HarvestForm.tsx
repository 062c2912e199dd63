import { Text } from '@chakra-ui/react';
import { z } from 'zod';
import { useOperation, useToday } from '../../mirror/hooks.ts';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { DayIn, LineIn } from '../../shared/telling/checkedFields.tsx';
import { useTell } from '../../shared/telling/useTell.ts';
import { kilograms } from '../../ui/format.ts';
import { typedNumber } from '../../ui/formFields.tsx';
import type { HappenedProps } from './HappenedPage.tsx';

const schema = z.strictObject({ amount: typedNumber('how much it was', 0.05, 500), day: z.string() });

/** Honey that was taken from a colony: it counts for the year, and is in the hive no more. */
export function HarvestForm({ colony, done }: HappenedProps) {
  const today = useToday();
  const { units } = useOperation();
  const { tell, problems, busy } = useTell();
  return (
    <CheckedForm
      label="Honey taken"
      verb="Save harvest"
      schema={schema}
      start={{ amount: '', day: '' }}
      busy={busy}
      problems={problems}
      onTell={async ({ amount, day }) => {
        const kg = Math.round(kilograms(amount, units) * 100) / 100;
        const told = await tell(
          {
            type: 'noteHarvest',
            eventId: crypto.randomUUID(),
            colonyId: colony.id,
            day: day || today,
            kg,
          },
          `Harvest of ${colony.name} saved`,
        );
        if (told) done();
      }}
    >
      <LineIn
        name="amount"
        label={units === 'imperial' ? 'How much, in lb' : 'How much, in kg'}
        numeric
        hint="Honey as it was weighed, without the frames."
      />
      <DayIn name="day" label="Day" orToday />
      <Text color="inkSoft">
        Take no honey from combs that were in the hive while syrup or strips were. Leave what the colony needs
        until nectar comes.
      </Text>
    </CheckedForm>
  );
}

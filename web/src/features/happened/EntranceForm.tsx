import { Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { placeOf } from '@incremen/core/records';
import { z } from 'zod';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { DayIn } from '../../shared/telling/checkedFields.tsx';
import { newIds, useTell } from '../../shared/telling/useTell.ts';
import type { HappenedProps } from './HappenedPage.tsx';

const schema = z.strictObject({ day: z.string() });

/** An entrance was shut, or opened. */
export function EntranceForm({ colony, done }: HappenedProps) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const { hive } = placeOf(apiary, colony);
  if (!hive) return <Text>{colony.name} stands nowhere.</Text>;
  const { state, since } = hive.entrance;
  const to = state === 'open' ? 'shut' : 'open';
  return (
    <CheckedForm
      label="Entrance"
      verb={to === 'shut' ? 'It is shut' : 'It is open'}
      schema={schema}
      start={{ day: '' }}
      busy={busy}
      problems={problems}
      onTell={async ({ day }) => {
        const told = await tell(
          { type: 'setEntrance', hiveId: hive.id, day: day || today, state: to, newIds: newIds(12) },
          `Entrance of ${hive.name} ${to}`,
        );
        if (told) done();
      }}
    >
      <Text>
        The entrance of {hive.name} is {state}
        {since && ` since ${dayInWords(since)}`}.
      </Text>
      <DayIn name="day" label="Day" orToday />
      {to === 'shut' && (
        <Text color="alarm">
          Shut up on a warm day bees overheat within hours: give them air through a mesh, and open again the
          same day.
        </Text>
      )}
    </CheckedForm>
  );
}

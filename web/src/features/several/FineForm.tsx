import { Text } from '@chakra-ui/react';
import { z } from 'zod';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { DayIn, TickIn } from '../../shared/telling/checkedFields.tsx';
import { count } from '../../ui/format.ts';
import { inspectedEach } from './severalCommands.ts';
import type { SeveralProps } from './SeveralPage.tsx';

const schema = z
  .strictObject({
    eggs: z.boolean(),
    brood: z.boolean(),
    noCells: z.boolean(),
    healthy: z.boolean(),
    calm: z.boolean(),
    day: z.string(),
  })
  .refine((s) => s.eggs || s.brood || s.noCells || s.healthy || s.calm, {
    path: ['eggs'],
    message: 'Tick at least one thing that you looked for in each of them.',
  });

const SEEN = [
  ['eggs', 'Eggs, one in a cell'],
  ['brood', 'Capped brood in one patch, caps flat'],
  ['noCells', 'No queen cells'],
  ['healthy', 'No signs of brood disease'],
  ['calm', 'Calm'],
] as const;

/** Each was opened and the same was seen. */
export function FineForm({ colonies, onTell, busy }: SeveralProps) {
  const apiary = useApiary();
  const today = useToday();
  return (
    <CheckedForm
      label="Inspected, all fine"
      verb={`Save ${count(colonies.length, 'inspection')}`}
      large
      schema={schema}
      start={{ eggs: true, brood: true, noCells: true, healthy: false, calm: false, day: '' }}
      busy={busy}
      onTell={({ day, ...fine }) =>
        onTell(
          inspectedEach(apiary, colonies, day || today, fine, () => crypto.randomUUID()),
          `${count(colonies.length, 'inspection')} saved`,
        )
      }
    >
      <Text>Seen in each of them. What you did not look for stays unticked.</Text>
      {SEEN.map(([name, words]) => (
        <TickIn key={name} name={name} label={words} />
      ))}
      <DayIn name="day" label="Day" orToday />
    </CheckedForm>
  );
}

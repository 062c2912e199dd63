import { Box, Button, Text } from '@chakra-ui/react';
import { yearOf } from '@incremen/core/basics';
import { newQueen, queenOf, type Colony } from '@incremen/core/records';
import { useState } from 'react';
import { z } from 'zod';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { CheckedForm } from '../telling/CheckedForm.tsx';
import { ChoiceIn, DayIn } from '../telling/checkedFields.tsx';
import { newIds, useTell } from '../telling/useTell.ts';

const schema = z.strictObject({ how: z.enum(['supersedure', 'swarm', 'unknown']), day: z.string() });

/**
 * "This is not the queen I put in here": proposes how the record of the old queen ends, and enters the one who is there,
 * her daughter unless somebody knows better.
 */
export function NotHer({ colony }: { readonly colony: Colony }) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const [open, setOpen] = useState(false);
  const queen = queenOf(apiary, colony.id);
  if (!queen) return null;
  if (!open) {
    return (
      <Button variant="ghost" size="sm" px={0} color="accent" onClick={() => setOpen(true)}>
        This is not the queen I put in here
      </Button>
    );
  }
  return (
    <Box mt={2} role="group" aria-label="Another queen is here">
      <CheckedForm
        label="Another queen is here"
        verb="Enter the new queen"
        schema={schema}
        start={{ how: 'supersedure', day: '' }}
        busy={busy}
        problems={problems}
        onTell={async ({ how, day: typed }) => {
          const day = typed || today;
          const told = await tell(
            {
              type: 'batch',
              commands: [
                {
                  type: 'noteQueen',
                  queenId: queen.id,
                  day,
                  did: how === 'swarm' ? 'swarmed' : 'replaced',
                  newIds: newIds(2),
                },
                {
                  type: 'putQueen',
                  queen: newQueen({
                    id: crypto.randomUUID(),
                    birthYear: yearOf(day),
                    mating: 'unknown',
                    origin: how === 'unknown' ? null : 'supersedure',
                    motherQueenId: how === 'unknown' ? null : queen.id,
                    motherColonyId: how === 'unknown' ? null : colony.id,
                    whereabouts: { known: 'colony', colonyId: colony.id },
                  }),
                },
              ],
            },
            'A new queen is on record',
          );
          if (told) setOpen(false);
        }}
      >
        <Text>
          A mark that is missing may be worn off: look for the clipped wing and for an emerged cell. No wing
          clipped, or a cell found: she was replaced.
        </Text>
        <ChoiceIn
          name="how"
          label={`What became of ${queen.name ?? 'the old queen'}`}
          options={[
            { id: 'supersedure', label: 'Replaced by her daughter' },
            { id: 'swarm', label: 'Left with a swarm' },
            { id: 'unknown', label: 'Not known' },
          ]}
        />
        <DayIn name="day" label="Day" orToday />
      </CheckedForm>
    </Box>
  );
}

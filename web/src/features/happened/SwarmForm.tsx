import { Text } from '@chakra-ui/react';
import { coloniesOfYard, placeOf, queenOf } from '@incremen/core/records';
import { Link } from 'react-router';
import { z } from 'zod';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { ChoiceIn, DayIn, SelectIn } from '../../shared/telling/checkedFields.tsx';
import { newIds, useTell } from '../../shared/telling/useTell.ts';
import common from '../../ui/common.module.css';
import type { HappenedProps } from './HappenedPage.tsx';

const schema = z
  .strictObject({ day: z.string(), became: z.enum(['lost', 'hived']), hivedId: z.string() })
  .refine((s) => s.became === 'lost' || s.hivedId !== '', {
    path: ['became'],
    message: 'No hive in this yard is waiting for it: set one up first.',
  });

/** The colony has swarmed: lost, or caught and put into a hive. */
export function SwarmForm({ colony, done }: HappenedProps) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const yardId = placeOf(apiary, colony).yard?.id ?? '';
  const others = coloniesOfYard(apiary, yardId).filter((c) => c.id !== colony.id && !queenOf(apiary, c.id));
  return (
    <CheckedForm
      label="It swarmed"
      verb="It swarmed"
      schema={schema}
      start={{ day: '', became: 'lost', hivedId: others[0]?.id ?? '' }}
      busy={busy}
      problems={problems}
      onTell={async ({ day, became, hivedId }) => {
        const told = await tell(
          {
            type: 'recordSwarm',
            colonyId: colony.id,
            day: day || today,
            hivedId: became === 'hived' ? hivedId : null,
            newIds: newIds(6),
          },
          `${colony.name} has swarmed`,
        );
        if (told) done();
      }}
    >
      {({ became }) => (
        <>
          <DayIn name="day" label="Day" orToday />
          <ChoiceIn
            name="became"
            label="The swarm"
            options={[
              { id: 'lost', label: 'Gone' },
              { id: 'hived', label: 'Caught and put into a hive' },
            ]}
          />
          {became === 'hived' &&
            (others.length === 0 ? (
              <Text>
                <Link className={common.inlineLink} to={`/setup?yard=${yardId}`}>
                  Set up its hive first
                </Link>
                , then come back.
              </Text>
            ) : (
              <SelectIn name="hivedId" label="Its hive" options={others.map((c) => [c.id, c.name])} />
            ))}
          <Text color="inkSoft">
            The old queen goes off the records here; a young one is expected from the cells, in about a week.
            A second swarm may follow: inspect for cells today if you can.
          </Text>
        </>
      )}
    </CheckedForm>
  );
}

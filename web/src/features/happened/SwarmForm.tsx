import { Text } from '@chakra-ui/react';
import { coloniesOfYard, placeOf, queenOf, type Command } from '@incremen/core/records';
import { useState } from 'react';
import { Link } from 'react-router';
import { useApiary, useChosenDay, useToday } from '../../mirror/hooks.ts';
import { TellForm } from '../../shared/telling/TellForm.tsx';
import { newIds, useTell } from '../../shared/telling/useTell.ts';
import { Choice } from '../../ui/Choice.tsx';
import { DayField } from '../../shared/days/DayField.tsx';
import { Select } from '../../ui/Select.tsx';
import common from '../../ui/common.module.css';
import type { HappenedProps } from './HappenedPage.tsx';

/** The colony has swarmed: lost, or caught and put into a hive. */
export function SwarmForm({ colony, done }: HappenedProps) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const [day, setDay] = useChosenDay();
  const [became, setBecame] = useState<'lost' | 'hived'>('lost');
  const yardId = placeOf(apiary, colony).yard?.id ?? '';
  const others = coloniesOfYard(apiary, yardId).filter((c) => c.id !== colony.id && !queenOf(apiary, c.id));
  const [hivedId, setHivedId] = useState(others[0]?.id ?? '');
  const command: Command = {
    type: 'recordSwarm',
    colonyId: colony.id,
    day,
    hivedId: became === 'hived' ? hivedId : null,
    newIds: newIds(6),
  };
  return (
    <TellForm
      label="It swarmed"
      verb="It swarmed"
      busy={busy}
      disabled={became === 'hived' && hivedId === ''}
      problems={problems}
      onTell={async () => {
        if (await tell(command, `${colony.name} has swarmed`)) done();
      }}
    >
      <DayField label="Day" value={day} max={today} onChange={setDay} />
      <Choice
        label="The swarm"
        value={became}
        onChange={setBecame}
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
          <Select
            fit
            label="Its hive"
            value={hivedId}
            options={others.map((c) => [c.id, c.name])}
            onChange={setHivedId}
          />
        ))}
      <Text color="inkSoft">
        The old queen goes off the records here; a young one is expected from the cells, in about a week. A
        second swarm may follow: inspect for cells today if you can.
      </Text>
    </TellForm>
  );
}

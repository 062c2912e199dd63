import type { CommandOf } from '@incremen/core/records';
import { useState } from 'react';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { TellForm } from '../../shared/telling/TellForm.tsx';
import { newIds, useTell } from '../../shared/telling/useTell.ts';
import { Choice } from '../../ui/Choice.tsx';
import { DayField } from '../../shared/days/DayField.tsx';
import { Select } from '../../ui/Select.tsx';
import { TextField } from '../../ui/TextField.tsx';
import type { HappenedProps } from './HappenedPage.tsx';

type How = CommandOf<'setOrigin'>['origin']['how'];

/** Where a colony came from, since when it stands, and since when it has no queen. */
export function OriginForm({ colony, done }: HappenedProps) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const { origin } = colony;
  const [how, setHow] = useState<How>(origin.how === 'split' ? 'made' : origin.how);
  const [fromId, setFromId] = useState('fromColonyId' in origin ? (origin.fromColonyId ?? '') : '');
  const [from, setFrom] = useState(origin.how === 'bought' ? origin.from : '');
  const [startedOn, setStartedOn] = useState(colony.startedOn);
  const [queenless, setQueenless] = useState('');
  const others = Object.values(apiary.colony)
    .filter((c) => c.id !== colony.id)
    .toSorted((a, b) => a.name.localeCompare(b.name));
  const said = (): CommandOf<'setOrigin'>['origin'] => {
    const fromColonyId = fromId === '' ? null : fromId;
    switch (how) {
      case 'entered':
        return { how };
      case 'bought':
        return { how, from: from.trim() };
      case 'swarm':
      case 'made':
        return { how, fromColonyId };
    }
  };
  return (
    <TellForm
      label="Where it came from"
      verb="Save"
      busy={busy}
      problems={problems}
      onTell={async () => {
        const told = await tell(
          {
            type: 'setOrigin',
            colonyId: colony.id,
            origin: said(),
            startedOn,
            queenlessSince: queenless === '' ? null : queenless,
            newIds: newIds(4),
          },
          `${colony.name}: saved`,
        );
        if (told) done();
      }}
    >
      <Choice
        label="It"
        value={how}
        onChange={setHow}
        options={[
          { id: 'entered', label: 'was here before' },
          { id: 'bought', label: 'was bought' },
          { id: 'swarm', label: 'is a swarm' },
          { id: 'made', label: 'was made from a colony' },
        ]}
      />
      {how === 'bought' && <TextField label="From whom" value={from} onChange={setFrom} />}
      {(how === 'swarm' || how === 'made') && (
        <Select
          fit
          label="From"
          value={fromId}
          options={[['', 'not known'], ...others.map((c) => [c.id, c.name] as const)]}
          onChange={setFromId}
        />
      )}
      <DayField label="Here since" value={startedOn} max={today} onChange={setStartedOn} />
      <DayField label="Without a queen since" value={queenless} max={today} onChange={setQueenless} />
    </TellForm>
  );
}

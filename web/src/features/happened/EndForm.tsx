import { Text } from '@chakra-ui/react';
import {
  COLONY_END_WORDS,
  DEATH_CAUSE_WORDS,
  DEATH_CAUSES,
  type ColonyEndHow,
  type CommandOf,
  type DeathCause,
} from '@incremen/core/records';
import { capital } from '@incremen/core/basics';
import { useState } from 'react';
import { useChosenDay, useToday } from '../../mirror/hooks.ts';
import { TellForm } from '../../shared/telling/TellForm.tsx';
import { useTell } from '../../shared/telling/useTell.ts';
import { Choice } from '../../ui/Choice.tsx';
import { DayField } from '../../shared/days/DayField.tsx';
import { TextField } from '../../ui/TextField.tsx';
import type { HappenedProps } from './HappenedPage.tsx';

const HOWS = ['dead', 'sold', 'given-away', 'absconded', 'stolen', 'error'] as const satisfies ColonyEndHow[];
type Combs = CommandOf<'endColony'>['combs'];

const COMBS: Readonly<Record<Combs, string>> = {
  apart: 'Kept apart',
  store: 'Clean, to the store',
  stay: 'Left standing',
  gone: 'Went along, or burned',
};

/** What can become of its combs: those of a disease, or of nobody knows what, are not for use. */
function combsAfter(how: ColonyEndHow, cause: DeathCause): readonly Combs[] {
  if (how !== 'dead') return how === 'absconded' ? ['store', 'stay', 'apart'] : ['gone', 'store'];
  return cause === 'not-infectious' ? ['store', 'stay', 'apart', 'gone'] : ['apart', 'gone'];
}

/** A colony is no more, or no longer the keeper's. */
export function EndForm({ colony, done }: HappenedProps) {
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const [day, setDay] = useChosenDay();
  const [how, setHow] = useState<(typeof HOWS)[number]>('dead');
  const [cause, setCause] = useState<DeathCause>('unknown');
  const [words, setWords] = useState('');
  const possible = combsAfter(how, cause);
  const [wanted, setCombs] = useState<Combs>('apart');
  const combs = possible.includes(wanted) ? wanted : (possible[0] ?? 'apart');
  return (
    <TellForm
      label="The end of a colony"
      verb={how === 'dead' ? `${colony.name} is dead` : `${colony.name} is gone`}
      busy={busy}
      problems={problems}
      onTell={async () => {
        const told = await tell(
          {
            type: 'endColony',
            colonyId: colony.id,
            day,
            how,
            cause: how === 'dead' ? cause : null,
            words: words.trim(),
            combs,
          },
          `${colony.name}: ${COLONY_END_WORDS[how]}`,
        );
        if (told) done();
      }}
    >
      <Choice
        label="What became of it"
        value={how}
        onChange={setHow}
        options={HOWS.map((id) => ({ id, label: capital(COLONY_END_WORDS[id]) }))}
      />
      <DayField label="Day" value={day} max={today} onChange={setDay} />
      {how === 'dead' && (
        <Choice
          label="What it died of"
          columns
          value={cause}
          onChange={setCause}
          options={DEATH_CAUSES.map((id) => ({ id, label: capital(DEATH_CAUSE_WORDS[id]) }))}
        />
      )}
      <TextField
        label={how === 'sold' || how === 'given-away' ? 'To whom' : 'In your own words'}
        value={words}
        maxLength={200}
        onChange={setWords}
      />
      <Choice
        label="Its combs"
        value={combs}
        onChange={setCombs}
        options={possible.map((id) => ({ id, label: COMBS[id] }))}
      />
      {how === 'dead' && cause !== 'not-infectious' && (
        <Text color="alarm">
          Shut the hive against robbers. Some brood diseases are notifiable: ask the inspector before combs
          are moved or burned.
        </Text>
      )}
      {combs === 'apart' && (
        <Text color="inkSoft">
          Combs kept apart are in no plan and no sum until you release them in the store.
        </Text>
      )}
    </TellForm>
  );
}

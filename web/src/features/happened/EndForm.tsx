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
import { z } from 'zod';
import { useToday } from '../../mirror/hooks.ts';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { ChoiceIn, DayIn, LineIn } from '../../shared/telling/checkedFields.tsx';
import { useTell } from '../../shared/telling/useTell.ts';
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

const schema = z.strictObject({
  how: z.enum(HOWS),
  day: z.string(),
  cause: z.enum(DEATH_CAUSES),
  words: z.string().trim().max(200),
  combs: z.enum(['apart', 'store', 'stay', 'gone']),
});

/** Of what can become of the combs, what was chosen, or else what comes first. */
function combsOf({ how, cause, combs }: z.input<typeof schema>): Combs {
  const possible = combsAfter(how, cause);
  return possible.includes(combs) ? combs : (possible[0] ?? 'apart');
}

/** A colony is no more, or no longer the keeper's. */
export function EndForm({ colony, done }: HappenedProps) {
  const today = useToday();
  const { tell, problems, busy } = useTell();
  return (
    <CheckedForm
      label="The end of a colony"
      verb={({ how }) => (how === 'dead' ? `${colony.name} is dead` : `${colony.name} is gone`)}
      schema={schema}
      start={{ how: 'dead', day: '', cause: 'unknown', words: '', combs: 'apart' }}
      busy={busy}
      problems={problems}
      onTell={async (said) => {
        const { how, day, cause, words } = said;
        const told = await tell(
          {
            type: 'endColony',
            colonyId: colony.id,
            day: day || today,
            how,
            cause: how === 'dead' ? cause : null,
            words,
            combs: combsOf(said),
          },
          `${colony.name}: ${COLONY_END_WORDS[how]}`,
        );
        if (told) done();
      }}
    >
      {(typed) => (
        <>
          <ChoiceIn
            name="how"
            label="What became of it"
            options={HOWS.map((id) => ({ id, label: capital(COLONY_END_WORDS[id]) }))}
          />
          <DayIn name="day" label="Day" orToday />
          {typed.how === 'dead' && (
            <ChoiceIn
              name="cause"
              label="What it died of"
              columns
              options={DEATH_CAUSES.map((id) => ({ id, label: capital(DEATH_CAUSE_WORDS[id]) }))}
            />
          )}
          <LineIn
            name="words"
            label={typed.how === 'sold' || typed.how === 'given-away' ? 'To whom' : 'In your own words'}
            maxLength={200}
          />
          <ChoiceIn
            name="combs"
            label="Its combs"
            value={combsOf(typed)}
            options={combsAfter(typed.how, typed.cause).map((id) => ({ id, label: COMBS[id] }))}
          />
          {typed.how === 'dead' && typed.cause !== 'not-infectious' && (
            <Text color="alarm">
              Shut the hive against robbers. Some brood diseases are notifiable: ask the inspector before
              combs are moved or burned.
            </Text>
          )}
          {combsOf(typed) === 'apart' && (
            <Text color="inkSoft">
              Combs kept apart are in no plan and no sum until you release them in the store.
            </Text>
          )}
        </>
      )}
    </CheckedForm>
  );
}

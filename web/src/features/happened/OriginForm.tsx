import type { CommandOf } from '@incremen/core/records';
import { z } from 'zod';
import { useApiary } from '../../mirror/hooks.ts';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { ChoiceIn, DayIn, LineIn, SelectIn } from '../../shared/telling/checkedFields.tsx';
import { newIds, useTell } from '../../shared/telling/useTell.ts';
import type { HappenedProps } from './HappenedPage.tsx';

type Origin = CommandOf<'setOrigin'>['origin'];

const schema = z.strictObject({
  how: z.enum(['entered', 'bought', 'swarm', 'made']),
  /** The colony that it came out of; empty where it is not known. */
  fromId: z.string(),
  from: z.string().trim().max(80),
  startedOn: z.string().min(1, 'Say since when it stands here.'),
  queenless: z.string(),
});

function originOf({ how, fromId, from }: z.output<typeof schema>): Origin {
  const fromColonyId = fromId === '' ? null : fromId;
  switch (how) {
    case 'entered':
      return { how };
    case 'bought':
      return { how, from };
    case 'swarm':
    case 'made':
      return { how, fromColonyId };
  }
}

/** Where a colony came from, since when it stands, and since when it has no queen. */
export function OriginForm({ colony, done }: HappenedProps) {
  const apiary = useApiary();
  const { tell, problems, busy } = useTell();
  const { origin } = colony;
  const others = Object.values(apiary.colony)
    .filter((c) => c.id !== colony.id)
    .toSorted((a, b) => a.name.localeCompare(b.name));
  return (
    <CheckedForm
      label="Where it came from"
      verb="Save"
      schema={schema}
      start={{
        how: origin.how === 'split' ? 'made' : origin.how,
        fromId: 'fromColonyId' in origin ? (origin.fromColonyId ?? '') : '',
        from: origin.how === 'bought' ? origin.from : '',
        startedOn: colony.startedOn,
        queenless: '',
      }}
      busy={busy}
      problems={problems}
      onTell={async (said) => {
        const told = await tell(
          {
            type: 'setOrigin',
            colonyId: colony.id,
            origin: originOf(said),
            startedOn: said.startedOn,
            queenlessSince: said.queenless === '' ? null : said.queenless,
            newIds: newIds(4),
          },
          `${colony.name}: saved`,
        );
        if (told) done();
      }}
    >
      {({ how }) => (
        <>
          <ChoiceIn
            name="how"
            label="It"
            options={[
              { id: 'entered', label: 'was here before' },
              { id: 'bought', label: 'was bought' },
              { id: 'swarm', label: 'is a swarm' },
              { id: 'made', label: 'was made from a colony' },
            ]}
          />
          {how === 'bought' && <LineIn name="from" label="From whom" maxLength={80} />}
          {(how === 'swarm' || how === 'made') && (
            <SelectIn
              name="fromId"
              label="From"
              options={[['', 'not known'], ...others.map((c) => [c.id, c.name] as const)]}
            />
          )}
          <DayIn name="startedOn" label="Here since" />
          <DayIn name="queenless" label="Without a queen since" />
        </>
      )}
    </CheckedForm>
  );
}

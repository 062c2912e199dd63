import { Flex, Text } from '@chakra-ui/react';
import { placeOf, RECORD_SCHEMAS, WEAR_WORDS, WEARS, type Hive, type Wear } from '@incremen/core/records';
import { useController } from 'react-hook-form';
import { z } from 'zod';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { newIds, useTell } from '../../shared/telling/useTell.ts';
import { DayField } from '../../shared/days/DayField.tsx';
import { Key } from '../../ui/Key.tsx';
import type { HappenedProps } from './HappenedPage.tsx';

/** What the hive wears, each with the day on which it is to go. */
export function WearForm({ colony, done }: HappenedProps) {
  const apiary = useApiary();
  const { hive } = placeOf(apiary, colony);
  if (!hive) return <Text>{colony.name} stands nowhere.</Text>;
  return <Wearing hive={hive} done={done} />;
}

const schema = z.strictObject({ wears: RECORD_SCHEMAS.hive.shape.wears });

function Wearing({ hive, done }: { readonly hive: Hive; readonly done: () => void }) {
  const today = useToday();
  const { tell, problems, busy } = useTell();
  return (
    <CheckedForm
      label="What it wears"
      verb="Save"
      schema={schema}
      start={{ wears: hive.wears }}
      busy={busy}
      problems={problems}
      onTell={async ({ wears }) => {
        const told = await tell(
          { type: 'dressHive', hiveId: hive.id, day: today, wears, newIds: newIds(8) },
          `${hive.name}: saved`,
        );
        if (told) done();
      }}
    >
      <WearsIn />
      <Text color="inkSoft">A day that is set comes up in the agenda.</Text>
    </CheckedForm>
  );
}

/** What is on the hive, each with the day on which it is to go. */
function WearsIn() {
  const today = useToday();
  const { field } = useController({ name: 'wears' });
  const wears = field.value as Hive['wears'];
  const set: (wears: Hive['wears']) => void = field.onChange;
  const toggle = (what: Wear) =>
    set(
      wears.some((w) => w.what === what)
        ? wears.filter((w) => w.what !== what)
        : [...wears, { what, since: today, until: null }],
    );
  return (
    <>
      <Flex gap={2} wrap="wrap" role="group" aria-label="On the hive">
        {WEARS.map((w) => (
          <Key key={w} size="mark" on={wears.some((k) => k.what === w)} onClick={() => toggle(w)}>
            {WEAR_WORDS[w]}
          </Key>
        ))}
      </Flex>
      {wears.map((w) => (
        <DayField
          key={w.what}
          label={`${WEAR_WORDS[w.what]}: take off on`}
          value={w.until ?? ''}
          onChange={(day) =>
            set(wears.map((k) => (k.what === w.what ? { ...k, until: day === '' ? null : day } : k)))
          }
        />
      ))}
    </>
  );
}

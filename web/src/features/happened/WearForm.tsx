import { Box, Flex, Text } from '@chakra-ui/react';
import { placeOf, WEAR_WORDS, WEARS, type Hive, type Wear } from '@incremen/core/records';
import { useState } from 'react';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { TellForm } from '../../shared/telling/TellForm.tsx';
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

function Wearing({ hive, done }: { readonly hive: Hive; readonly done: () => void }) {
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const [wears, setWears] = useState<Hive['wears']>(hive.wears);
  const toggle = (what: Wear) =>
    setWears(
      wears.some((w) => w.what === what)
        ? wears.filter((w) => w.what !== what)
        : [...wears, { what, since: today, until: null }],
    );
  return (
    <TellForm
      label="What it wears"
      verb="Save"
      busy={busy}
      problems={problems}
      onTell={async () => {
        const told = await tell(
          { type: 'dressHive', hiveId: hive.id, day: today, wears, newIds: newIds(8) },
          `${hive.name}: saved`,
        );
        if (told) done();
      }}
    >
      <Flex gap={2} wrap="wrap" role="group" aria-label="On the hive">
        {WEARS.map((w) => (
          <Key key={w} size="mark" on={wears.some((k) => k.what === w)} onClick={() => toggle(w)}>
            {WEAR_WORDS[w]}
          </Key>
        ))}
      </Flex>
      {wears.map((w) => (
        <Box key={w.what}>
          <DayField
            label={`${WEAR_WORDS[w.what]}: take off on`}
            value={w.until ?? ''}
            onChange={(day) =>
              setWears(wears.map((k) => (k.what === w.what ? { ...k, until: day === '' ? null : day } : k)))
            }
          />
        </Box>
      ))}
      <Text color="inkSoft">A day that is set comes up in the agenda.</Text>
    </TellForm>
  );
}

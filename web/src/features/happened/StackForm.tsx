import { Text } from '@chakra-ui/react';
import {
  coloniesOfHive,
  housemates,
  placeOf,
  STACK_PARTING_WORDS,
  STACK_PARTINGS,
  hivesOnStand,
  standsOfYard,
} from '@incremen/core/records';
import { z } from 'zod';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { ChoiceIn, DayIn, SelectIn } from '../../shared/telling/checkedFields.tsx';
import { newIds, useTell } from '../../shared/telling/useTell.ts';
import type { HappenedProps } from './HappenedPage.tsx';
import { pickedStand, placeOfPick, StandPicker } from './StandPicker.tsx';

/** Two families were set on each other, or taken apart. */
export function StackForm(props: HappenedProps) {
  const apiary = useApiary();
  return housemates(apiary, props.colony).length > 0 ? <TakeDown {...props} /> : <SetOn {...props} />;
}

const setOn = z.strictObject({ lowerId: z.string(), parting: z.enum(STACK_PARTINGS), day: z.string() });

function SetOn({ colony, done }: HappenedProps) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const { hive, yard } = placeOf(apiary, colony);
  const others = standsOfYard(apiary, yard?.id ?? '')
    .flatMap((s) => hivesOnStand(apiary, s.id))
    .filter((h) => h.id !== hive?.id && coloniesOfHive(apiary, h.id).length > 0);
  const [first] = others;
  if (!hive || !first) return <Text>No other hive stands in this yard.</Text>;
  return (
    <CheckedForm
      label="Two families in one stack"
      verb="They stand so now"
      schema={setOn}
      start={{ lowerId: first.id, parting: 'sheet', day: '' }}
      busy={busy}
      problems={problems}
      onTell={async ({ lowerId, parting, day }) => {
        const told = await tell(
          {
            type: 'stackHives',
            upperHiveId: hive.id,
            lowerHiveId: lowerId,
            parting,
            day: day || today,
            newIds: newIds(12),
          },
          `${hive.name} set on top`,
        );
        if (told) done();
      }}
    >
      <Text fontWeight="600">{colony.name} was set on</Text>
      <SelectIn name="lowerId" label="Hive below" options={others.map((h) => [h.id, h.name])} />
      <ChoiceIn
        name="parting"
        label="Between them"
        options={STACK_PARTINGS.map((p) => ({ id: p, label: STACK_PARTING_WORDS[p] }))}
      />
      <DayIn name="day" label="Day" orToday />
      <Text color="inkSoft">
        Each family needs an entrance of its own, on another side. A full box weighs 20 to 35 kg (45 to 80
        lb): lift with two.
      </Text>
    </CheckedForm>
  );
}

const takenDown = z.strictObject({ to: pickedStand, day: z.string() });

function TakeDown({ colony, done }: HappenedProps) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const { yard } = placeOf(apiary, colony);
  return (
    <CheckedForm
      label="Taken down"
      verb={`${colony.name} stands there now`}
      schema={takenDown}
      start={{ to: { yardId: yard?.id ?? '', standId: null, name: colony.name }, day: '' }}
      busy={busy}
      problems={problems}
      onTell={async ({ to, day }) => {
        const told = await tell(
          {
            type: 'unstackHive',
            colonyId: colony.id,
            day: day || today,
            to: placeOfPick(to),
            hiveId: crypto.randomUUID(),
            newIds: newIds(4),
          },
          `${colony.name} taken down`,
        );
        if (told) done();
      }}
    >
      <Text>
        {colony.name} lives in one stack with{' '}
        {housemates(apiary, colony)
          .map((c) => c.name)
          .join(', ')}
        . It was taken down to
      </Text>
      <StandPicker />
      <DayIn name="day" label="Day" orToday />
    </CheckedForm>
  );
}

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
import { useState } from 'react';
import { useApiary, useChosenDay, useToday } from '../../mirror/hooks.ts';
import { TellForm } from '../../shared/telling/TellForm.tsx';
import { newIds, useTell } from '../../shared/telling/useTell.ts';
import { Choice } from '../../ui/Choice.tsx';
import { DayField } from '../../shared/days/DayField.tsx';
import { Select } from '../../ui/Select.tsx';
import type { HappenedProps } from './HappenedPage.tsx';
import { placeOfPick, StandPicker, type PickedStand } from './StandPicker.tsx';

/** Two families were set on each other, or taken apart. */
export function StackForm(props: HappenedProps) {
  const apiary = useApiary();
  return housemates(apiary, props.colony).length > 0 ? <TakeDown {...props} /> : <SetOn {...props} />;
}

function SetOn({ colony, done }: HappenedProps) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const [day, setDay] = useChosenDay();
  const [parting, setParting] = useState<(typeof STACK_PARTINGS)[number]>('sheet');
  const { hive, yard } = placeOf(apiary, colony);
  const others = standsOfYard(apiary, yard?.id ?? '')
    .flatMap((s) => hivesOnStand(apiary, s.id))
    .filter((h) => h.id !== hive?.id && coloniesOfHive(apiary, h.id).length > 0);
  const [lowerId, setLowerId] = useState(others[0]?.id ?? '');
  if (!hive || others.length === 0) return <Text>No other hive stands in this yard.</Text>;
  return (
    <TellForm
      label="Two families in one stack"
      verb="They stand so now"
      busy={busy}
      problems={problems}
      onTell={async () => {
        const told = await tell(
          {
            type: 'stackHives',
            upperHiveId: hive.id,
            lowerHiveId: lowerId,
            parting,
            day,
            newIds: newIds(12),
          },
          `${hive.name} set on top`,
        );
        if (told) done();
      }}
    >
      <Text fontWeight="600">{colony.name} was set on</Text>
      <Select
        fit
        label="Hive below"
        value={lowerId}
        options={others.map((h) => [h.id, h.name])}
        onChange={setLowerId}
      />
      <Choice
        label="Between them"
        value={parting}
        onChange={setParting}
        options={STACK_PARTINGS.map((p) => ({ id: p, label: STACK_PARTING_WORDS[p] }))}
      />
      <DayField label="Day" value={day} max={today} onChange={setDay} />
      <Text color="inkSoft">
        Each family needs an entrance of its own, on another side. A full box weighs 20 to 35 kg: lift with
        two.
      </Text>
    </TellForm>
  );
}

function TakeDown({ colony, done }: HappenedProps) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const [day, setDay] = useChosenDay();
  const { yard } = placeOf(apiary, colony);
  const [to, setTo] = useState<PickedStand>({ yardId: yard?.id ?? '', standId: null, name: colony.name });
  return (
    <TellForm
      label="Taken down"
      verb={`${colony.name} stands there now`}
      busy={busy}
      disabled={to.standId === null && to.name.trim() === ''}
      problems={problems}
      onTell={async () => {
        const told = await tell(
          {
            type: 'unstackHive',
            colonyId: colony.id,
            day,
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
      <StandPicker picked={to} onPick={setTo} />
      <DayField label="Day" value={day} max={today} onChange={setDay} />
    </TellForm>
  );
}

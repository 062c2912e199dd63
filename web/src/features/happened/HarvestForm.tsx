import { Text } from '@chakra-ui/react';
import { useState } from 'react';
import { useChosenDay, useOperation, useToday } from '../../mirror/hooks.ts';
import { DayField } from '../../shared/days/DayField.tsx';
import { TellForm } from '../../shared/telling/TellForm.tsx';
import { useTell } from '../../shared/telling/useTell.ts';
import { kilograms } from '../../ui/format.ts';
import { numberTyped, TextField } from '../../ui/TextField.tsx';
import type { HappenedProps } from './HappenedPage.tsx';

/** Honey that was taken from a colony: it counts for the year, and is in the hive no more. */
export function HarvestForm({ colony, done }: HappenedProps) {
  const today = useToday();
  const { units } = useOperation();
  const { tell, problems, busy } = useTell();
  const [day, setDay] = useChosenDay();
  const [amount, setAmount] = useState('');
  const typed = numberTyped(amount);
  const kg = typed === null ? null : Math.round(kilograms(typed, units) * 100) / 100;
  return (
    <TellForm
      label="Honey taken"
      verb="Save harvest"
      busy={busy}
      disabled={kg === null || kg <= 0 || kg > 500}
      problems={problems}
      onTell={async () => {
        const told = await tell(
          { type: 'noteHarvest', eventId: crypto.randomUUID(), colonyId: colony.id, day, kg: kg ?? 0 },
          `Harvest of ${colony.name} saved`,
        );
        if (told) done();
      }}
    >
      <TextField
        label={units === 'imperial' ? 'How much, in lb' : 'How much, in kg'}
        numeric
        value={amount}
        onChange={setAmount}
        hint="Honey as it was weighed, without the frames."
      />
      <DayField label="Day" value={day} max={today} onChange={setDay} />
      <Text color="inkSoft">
        Take no honey from combs that were in the hive while syrup or strips were. Leave what the colony needs
        until nectar comes.
      </Text>
    </TellForm>
  );
}

import { Box, Text } from '@chakra-ui/react';
import { FEED_KINDS, FEED_WORDS, type FeedKind, type Given } from '@incremen/core/records';
import { useState } from 'react';
import { useChosenDay, useOperation, useToday } from '../../mirror/hooks.ts';
import { TellForm } from '../../shared/telling/TellForm.tsx';
import { useTell, newIds } from '../../shared/telling/useTell.ts';
import { Choice } from '../../ui/Choice.tsx';
import { DayField } from '../../shared/days/DayField.tsx';
import { kilograms } from '../../ui/format.ts';
import { numberTyped, TextField } from '../../ui/TextField.tsx';
import type { HappenedProps } from './HappenedPage.tsx';
import { InTheHive } from './InTheHive.tsx';

const PURPOSES = [
  { id: 'until-nectar', label: 'Until nectar comes' },
  { id: 'draw-comb', label: 'To draw comb' },
  { id: 'winter', label: 'For winter' },
  { id: 'start', label: 'A start for a new part' },
  { id: 'other', label: 'Other' },
] as const;

/** Feed that was given, and what was taken of it. */
export function FeedForm({ colony, done }: HappenedProps) {
  const today = useToday();
  const { units } = useOperation();
  const { tell, problems, busy } = useTell();
  const [day, setDay] = useChosenDay();
  const [what, setWhat] = useState<FeedKind>('syrup-thick');
  const [amount, setAmount] = useState('2');
  const [purpose, setPurpose] = useState<(typeof PURPOSES)[number]['id']>('until-nectar');
  const typed = numberTyped(amount);
  const kg = typed === null ? null : kilograms(typed, units);
  return (
    <Box display="grid" gap={6}>
      <TellForm
        label="Feed given"
        verb="It has it"
        busy={busy}
        disabled={kg === null || kg <= 0}
        problems={problems}
        onTell={async () => {
          const given: Given = {
            id: crypto.randomUUID(),
            colonyId: colony.id,
            day,
            body: { kind: 'feed', what, kg: Math.round((kg ?? 0) * 100) / 100, purpose, leftKg: null },
            outOn: null,
            note: '',
          };
          const told = await tell({ type: 'give', given, newIds: newIds(1) }, `${colony.name} was fed`);
          if (told) done();
        }}
      >
        <Choice
          label="What"
          value={what}
          onChange={setWhat}
          options={FEED_KINDS.map((id) => ({ id, label: FEED_WORDS[id] }))}
        />
        <TextField
          label={units === 'imperial' ? 'How much, in lb' : 'How much, in kg'}
          numeric
          value={amount}
          onChange={setAmount}
        />
        <Choice label="What for" value={purpose} onChange={setPurpose} options={PURPOSES} />
        <DayField label="Day" value={day} max={today} onChange={setDay} />
        <Text color="inkSoft">Feed in the evening, and keep the entrance small: robbers smell syrup.</Text>
      </TellForm>
      <InTheHive colony={colony} kind="feed" />
    </Box>
  );
}

import { Box, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { queenCalendar } from '@incremen/core/brood';
import type { Given } from '@incremen/core/records';
import { useState } from 'react';
import { useChosenDay, useToday } from '../../mirror/hooks.ts';
import { TellForm } from '../../shared/telling/TellForm.tsx';
import { newIds, useTell } from '../../shared/telling/useTell.ts';
import { DayField } from '../../shared/days/DayField.tsx';
import { numberTyped, TextField } from '../../ui/TextField.tsx';
import { InTheHive } from './InTheHive.tsx';
import type { HappenedProps } from './HappenedPage.tsx';

/** A treatment went in, with the day by which its label wants it out. */
export function TreatmentForm({ colony, done }: HappenedProps) {
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const [day, setDay] = useChosenDay();
  const { separation } = colony;
  const broodless =
    separation && separation.queen !== 'here'
      ? queenCalendar(separation.day, separation.emergence ?? undefined).broodless
      : null;
  const [what, setWhat] = useState('');
  const [pieces, setPieces] = useState('');
  const [outBy, setOutBy] = useState('');
  return (
    <Box display="grid" gap={6}>
      <TellForm
        label="Treatment"
        verb="It is in"
        busy={busy}
        disabled={what.trim() === ''}
        problems={problems}
        onTell={async () => {
          const n = numberTyped(pieces);
          const given: Given = {
            id: crypto.randomUUID(),
            colonyId: colony.id,
            day,
            body: {
              kind: 'treatment',
              what: what.trim(),
              outBy: outBy === '' ? null : outBy,
              pieces: n === null ? null : Math.round(n),
            },
            outOn: null,
            note: '',
          };
          const told = await tell({ type: 'give', given, newIds: newIds(1) }, `${colony.name} was treated`);
          if (told) done();
        }}
      >
        <Text color="near">
          The label rules: dose, time, supers off or on. Keep to the law and to your veterinary service; write
          down what they ask for.
        </Text>
        {broodless && (
          <Text>
            No capped brood is expected from <b>{dayInWords(broodless.from)}</b> to{' '}
            <b>{dayInWords(broodless.to)}</b>: mites sit on bees then, for those who treat without brood.
            Check for caps first.
          </Text>
        )}
        <TextField label="What, as on its label" value={what} onChange={setWhat} />
        <TextField label="Pieces" numeric value={pieces} onChange={setPieces} />
        <DayField label="In on" value={day} max={today} onChange={setDay} />
        <DayField label="Out by, as its label says" value={outBy} onChange={setOutBy} />
      </TellForm>
      <InTheHive colony={colony} kind="treatment" />
    </Box>
  );
}

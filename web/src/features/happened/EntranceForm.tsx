import { Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { placeOf } from '@incremen/core/records';
import { useApiary, useChosenDay, useToday } from '../../mirror/hooks.ts';
import { TellForm } from '../../shared/telling/TellForm.tsx';
import { newIds, useTell } from '../../shared/telling/useTell.ts';
import { DayField } from '../../shared/days/DayField.tsx';
import type { HappenedProps } from './HappenedPage.tsx';

/** An entrance was shut, or opened. */
export function EntranceForm({ colony, done }: HappenedProps) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const [day, setDay] = useChosenDay();
  const { hive } = placeOf(apiary, colony);
  if (!hive) return <Text>{colony.name} stands nowhere.</Text>;
  const { state, since } = hive.entrance;
  const to = state === 'open' ? 'shut' : 'open';
  return (
    <TellForm
      label="Entrance"
      verb={to === 'shut' ? 'It is shut' : 'It is open'}
      busy={busy}
      problems={problems}
      onTell={async () => {
        const told = await tell(
          { type: 'setEntrance', hiveId: hive.id, day, state: to, newIds: newIds(12) },
          `Entrance of ${hive.name} ${to}`,
        );
        if (told) done();
      }}
    >
      <Text>
        The entrance of {hive.name} is {state}
        {since && ` since ${dayInWords(since)}`}.
      </Text>
      <DayField label="Day" value={day} max={today} onChange={setDay} />
      {to === 'shut' && (
        <Text color="alarm">
          Shut up on a warm day bees overheat within hours: give them air through a mesh, and open again the
          same day.
        </Text>
      )}
    </TellForm>
  );
}

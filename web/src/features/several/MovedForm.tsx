import { Box, Text } from '@chakra-ui/react';
import { listInWords } from '@incremen/core/basics';
import { placeOf } from '@incremen/core/records';
import { z } from 'zod';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { DayIn, SelectIn } from '../../shared/telling/checkedFields.tsx';
import { MoveHourIn } from '../../shared/telling/MoveHourIn.tsx';
import { count } from '../../ui/format.ts';
import { adviceOnMoves, hivesOf, movedEach } from './severalCommands.ts';
import type { SeveralProps } from './SeveralPage.tsx';

const schema = z.strictObject({ yardId: z.string(), hour: z.enum(['dusk', 'day']), day: z.string() });

/** All were carried to another yard, each to a stand of its own there. */
export function MovedForm({ colonies, onTell, busy }: SeveralProps) {
  const apiary = useApiary();
  const today = useToday();
  const here = new Set(colonies.map((c) => placeOf(apiary, c).yard?.id));
  const yards = Object.values(apiary.yard).filter((y) => y.closedOn === null && !here.has(y.id));
  const [first] = yards;
  if (!first)
    return (
      <Text>
        There is no other yard. Add one under Yard, then come back; to move within a yard, open the hive.
      </Text>
    );
  const hives = hivesOf(apiary, colonies);
  const yardOf = ({ yardId }: { yardId: string }) => yards.find((y) => y.id === yardId) ?? first;
  const moveOf = (typed: z.infer<typeof schema>) => ({
    day: typed.day || today,
    yardId: yardOf(typed).id,
    hour: typed.hour,
  });
  return (
    <CheckedForm
      label="Moved to another yard"
      verb={(typed) => `${count(hives.length, 'hive stands', 'hives stand')} in ${yardOf(typed).name} now`}
      large
      schema={schema}
      start={{ yardId: first.id, hour: 'dusk', day: '' }}
      busy={busy}
      onTell={(said) =>
        onTell(
          movedEach(apiary, colonies, moveOf(said), () => crypto.randomUUID()),
          `${count(hives.length, 'hive')} moved to ${yardOf(said).name}`,
        )
      }
    >
      {(typed) => (
        <>
          <SelectIn name="yardId" label="Where to" options={yards.map((y) => [y.id, y.name])} />
          <MoveHourIn />
          <DayIn name="day" label="Day" orToday />
          <Box as="ul" aria-label="What the move does" listStyleType="none" display="grid" gap={1}>
            {adviceOnMoves(apiary, colonies, moveOf(typed)).map((n) => (
              <li key={n.words}>
                <Text color={n.tone === 'alarm' ? 'alarm' : 'inkSoft'}>
                  {n.hives.length < hives.length && <b>{listInWords(n.hives)}: </b>}
                  {n.words}
                </Text>
              </li>
            ))}
            <li>
              <Text color="inkSoft">
                Lift with two, strap boxes together, leave air, and shut entrances only for the drive.
              </Text>
            </li>
          </Box>
        </>
      )}
    </CheckedForm>
  );
}

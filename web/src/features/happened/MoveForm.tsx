import { Box, Flex, Text } from '@chakra-ui/react';
import { addDays } from '@incremen/core/basics';
import { adviceOnMove } from '@incremen/core/colony';
import { placeOf } from '@incremen/core/records';
import { useState } from 'react';
import { useApiary, useChosenDay, useToday } from '../../mirror/hooks.ts';
import { TellForm } from '../../shared/telling/TellForm.tsx';
import { newIds, useTell } from '../../shared/telling/useTell.ts';
import { Choice } from '../../ui/Choice.tsx';
import { DayField } from '../../ui/DayField.tsx';
import type { HappenedProps } from './HappenedPage.tsx';
import { placeOfPick, StandPicker, type PickedStand } from './StandPicker.tsx';

/** Something before the entrance stays so long that every field bee has learned the place (common practice). */
const OBSTACLE_DAYS = 3;

/** A hive was carried to another stand, in this yard or another. */
export function MoveForm({ colony, done }: HappenedProps) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const [day, setDay] = useChosenDay();
  const [hour, setHour] = useState<'day' | 'dusk'>('dusk');
  const [entrance, setEntrance] = useState<'open' | 'shut'>('open');
  const [obstacle, setObstacle] = useState<'yes' | 'no' | null>(null);
  const here = placeOf(apiary, colony);
  const [to, setTo] = useState<PickedStand>({
    yardId: here.yard?.id ?? '',
    standId: null,
    name: colony.name,
  });
  if (!here.hive) return <Text>{colony.name} stands nowhere.</Text>;
  const { hive } = here;
  const isNear = to.yardId === here.yard?.id;
  const withObstacle = (obstacle ?? (isNear ? 'yes' : 'no')) === 'yes';
  const notes = adviceOnMove(apiary, hive, { yardId: to.yardId, hour, entrance }, day);
  return (
    <TellForm
      label="Hive moved"
      verb={`${hive.name} stands there now`}
      busy={busy}
      disabled={to.standId === null && to.name.trim() === ''}
      problems={problems}
      onTell={async () => {
        const moved = await tell(
          {
            type: 'moveHive',
            hiveId: hive.id,
            day,
            hour,
            to: placeOfPick(to),
            entrance,
            obstacleUntil: withObstacle ? addDays(day, OBSTACLE_DAYS) : null,
            newIds: newIds(12),
          },
          `${hive.name} has moved`,
        );
        if (moved) done();
      }}
    >
      <StandPicker picked={to} onPick={setTo} />
      <Flex gap={6} wrap="wrap">
        <DayField label="Day" value={day} max={today} onChange={setDay} />
        <Choice
          label="When"
          value={hour}
          onChange={setHour}
          options={[
            { id: 'dusk', label: 'At dusk, all at home' },
            { id: 'day', label: 'By day' },
          ]}
        />
      </Flex>
      <Flex gap={6} wrap="wrap">
        <Choice
          label="Its entrance now"
          value={entrance}
          onChange={setEntrance}
          options={[
            { id: 'open', label: 'Open' },
            { id: 'shut', label: 'Still shut' },
          ]}
        />
        <Choice
          label="Something before the entrance"
          value={withObstacle ? 'yes' : 'no'}
          onChange={setObstacle}
          options={[
            { id: 'yes', label: `Yes, for ${OBSTACLE_DAYS} days` },
            { id: 'no', label: 'No' },
          ]}
        />
      </Flex>
      <Box as="ul" aria-label="What the move does" listStyleType="none" display="grid" gap={1}>
        {notes.map((n) => (
          <li key={n.id}>
            <Text color={n.tone === 'alarm' ? 'alarm' : 'inkSoft'}>{n.words}</Text>
          </li>
        ))}
      </Box>
    </TellForm>
  );
}

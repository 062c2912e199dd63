import { Box, Flex, Text } from '@chakra-ui/react';
import { addDays, dayInWords } from '@incremen/core/basics';
import { adviceOnMove } from '@incremen/core/colony';
import { openFollowUps, placeOf } from '@incremen/core/records';
import { useState } from 'react';
import { useApiary, useChosenDay, useToday } from '../../mirror/hooks.ts';
import { TellForm } from '../../shared/telling/TellForm.tsx';
import { newIds, useTell } from '../../shared/telling/useTell.ts';
import { Choice } from '../../ui/Choice.tsx';
import { DayField } from '../../shared/days/DayField.tsx';
import type { HappenedProps } from './HappenedPage.tsx';
import { pickOfPlace, placeOfPick, StandPicker, type PickedStand } from './StandPicker.tsx';

/** Something before the entrance stays so long that every field bee has learned the place (common practice). */
const OBSTACLE_DAYS = 3;

/** A hive was carried to another stand, in this yard or another, or is to be on a day ahead. */
export function MoveForm({ colony, done }: HappenedProps) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const [day, setDay] = useChosenDay();
  const [entrance, setEntrance] = useState<'open' | 'shut'>('open');
  const [obstacle, setObstacle] = useState<'yes' | 'no' | null>(null);
  const here = placeOf(apiary, colony);
  const planned = openFollowUps(apiary).find((f) => f.move && f.colonyIds.includes(colony.id))?.move;
  const [hour, setHour] = useState<'day' | 'dusk'>(planned?.hour ?? 'dusk');
  const [to, setTo] = useState<PickedStand>(
    planned
      ? pickOfPlace(apiary, planned.to)
      : { yardId: here.yard?.id ?? '', standId: null, name: colony.name },
  );
  if (!here.hive) return <Text>{colony.name} stands nowhere.</Text>;
  const { hive } = here;
  const ahead = day > today;
  const isNear = to.yardId === here.yard?.id;
  const withObstacle = (obstacle ?? (isNear ? 'yes' : 'no')) === 'yes';
  const notes = adviceOnMove(apiary, hive, { yardId: to.yardId, hour, entrance }, day);
  return (
    <TellForm
      label="Hive moved"
      verb={ahead ? `Plan it for ${dayInWords(day)}` : `${hive.name} stands there now`}
      busy={busy}
      disabled={to.standId === null && to.name.trim() === ''}
      problems={problems}
      onTell={async () => {
        if (ahead) {
          const plan = { hiveId: hive.id, day, hour, to: placeOfPick(to), followUpId: crypto.randomUUID() };
          if (await tell({ type: 'planMove', ...plan }, `${hive.name}: its move is planned`)) done();
          return;
        }
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
        <DayField label="Day" value={day} onChange={setDay} />
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
      {!ahead && (
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
      )}
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

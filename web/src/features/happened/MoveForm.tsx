import { Box, Flex, Text } from '@chakra-ui/react';
import { addDays, dayInWords } from '@incremen/core/basics';
import { adviceOnMove } from '@incremen/core/colony';
import { openFollowUps, placeOf } from '@incremen/core/records';
import { z } from 'zod';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { ChoiceIn, DayIn } from '../../shared/telling/checkedFields.tsx';
import { MoveHourIn } from '../../shared/telling/MoveHourIn.tsx';
import { newIds, useTell } from '../../shared/telling/useTell.ts';
import type { HappenedProps } from './HappenedPage.tsx';
import { pickedStand, pickOfPlace, placeOfPick, StandPicker } from './StandPicker.tsx';

/** Something before the entrance stays so long that every field bee has learned the place (common practice). */
const OBSTACLE_DAYS = 3;

const schema = z.strictObject({
  to: pickedStand,
  day: z.string(),
  hour: z.enum(['dusk', 'day']),
  entrance: z.enum(['open', 'shut']),
  /** Null until it is said: then it depends on how far it goes. */
  obstacle: z.enum(['yes', 'no']).nullable(),
});

/** A hive was carried to another stand, in this yard or another, or is to be on a day ahead. */
export function MoveForm({ colony, done }: HappenedProps) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const { hive, yard } = placeOf(apiary, colony);
  const planned = openFollowUps(apiary).find((f) => f.move && f.colonyIds.includes(colony.id))?.move;
  if (!hive) return <Text>{colony.name} stands nowhere.</Text>;
  const dayOf = (typed: { day: string }) => typed.day || today;
  const obstacleOf = ({ obstacle, to }: z.input<typeof schema>) =>
    obstacle ?? (to.yardId === yard?.id ? 'yes' : 'no');
  return (
    <CheckedForm
      label="Hive moved"
      verb={(typed) =>
        dayOf(typed) > today ? `Plan it for ${dayInWords(dayOf(typed))}` : `${hive.name} stands there now`
      }
      schema={schema}
      start={{
        to: planned
          ? pickOfPlace(apiary, planned.to)
          : { yardId: yard?.id ?? '', standId: null, name: colony.name },
        day: '',
        hour: planned?.hour ?? 'dusk',
        entrance: 'open',
        obstacle: null,
      }}
      busy={busy}
      problems={problems}
      onTell={async (said) => {
        const { hour, entrance } = said;
        const [day, to] = [dayOf(said), placeOfPick(said.to)];
        if (day > today) {
          const plan = { hiveId: hive.id, day, hour, to, followUpId: crypto.randomUUID() };
          if (await tell({ type: 'planMove', ...plan }, `${hive.name}: its move is planned`)) done();
          return;
        }
        const obstacleUntil = obstacleOf(said) === 'yes' ? addDays(day, OBSTACLE_DAYS) : null;
        const moved = await tell(
          {
            type: 'moveHive',
            hiveId: hive.id,
            day,
            hour,
            to,
            entrance,
            obstacleUntil,
            newIds: newIds(12),
          },
          `${hive.name} has moved`,
        );
        if (moved) done();
      }}
    >
      {(typed) => (
        <>
          <StandPicker />
          <Flex gap={6} wrap="wrap">
            <DayIn name="day" label="Day" orToday ahead />
            <MoveHourIn />
          </Flex>
          {dayOf(typed) <= today && (
            <Flex gap={6} wrap="wrap">
              <ChoiceIn
                name="entrance"
                label="Its entrance now"
                options={[
                  { id: 'open', label: 'Open' },
                  { id: 'shut', label: 'Still shut' },
                ]}
              />
              <ChoiceIn
                name="obstacle"
                label="Something before the entrance"
                value={obstacleOf(typed)}
                options={[
                  { id: 'yes', label: `Yes, for ${OBSTACLE_DAYS} days` },
                  { id: 'no', label: 'No' },
                ]}
              />
            </Flex>
          )}
          <Box as="ul" aria-label="What the move does" listStyleType="none" display="grid" gap={1}>
            {adviceOnMove(
              apiary,
              hive,
              { yardId: typed.to.yardId, hour: typed.hour, entrance: typed.entrance },
              dayOf(typed),
            ).map((n) => (
              <li key={n.id}>
                <Text color={n.tone === 'alarm' ? 'alarm' : 'inkSoft'}>{n.words}</Text>
              </li>
            ))}
          </Box>
        </>
      )}
    </CheckedForm>
  );
}

import { Text } from '@chakra-ui/react';
import { addDays, lowerFirst } from '@incremen/core/basics';
import { roomAhead } from '@incremen/core/forecast';
import type { Apiary, YardPlanRequest } from '@incremen/core/records';
import { useMemo } from 'react';
import { roomInWords } from '../../shared/colonies/roomInWords.ts';
import { COLD_SPELL_DAYS } from '../../shared/weather/coldSpell.ts';

/** A box that is wanted so soon belongs to what keeps a colony from swarming. */
const SOON_DAYS = 14;

/** What combs that change hands do not give a colony that is to be kept from swarming: another box. */
export function RoomStill({
  apiary,
  request,
}: {
  readonly apiary: Apiary;
  readonly request: YardPlanRequest;
}) {
  const { goals, day, nights } = request;
  const wanting = useMemo(() => {
    const coldUntil = nights === 'cold' ? addDays(day, COLD_SPELL_DAYS) : null;
    return goals
      .flatMap((g) => (g.kind === 'calm' ? g.colonyIds : []))
      .flatMap((id) => {
        const colony = apiary.colony[id];
        const room = colony && roomAhead(apiary, colony, day, coldUntil);
        const soon = room && room.boxBy !== null && room.boxBy <= addDays(day, SOON_DAYS);
        return soon ? [{ colony, words: roomInWords(room, day) }] : [];
      });
  }, [apiary, goals, day, nights]);
  return wanting.map(({ colony, words }) => (
    <Text key={colony.id} mb={2} maxW="46rem">
      <b>{colony.name} needs more than combs:</b> {lowerFirst(words)}
    </Text>
  ));
}

import { dayInWords, type Day, type Problem } from '../../basics/index.ts';
import { colonyState, isAboutToSwarm } from '../../colony/index.ts';
import type { Apiary } from '../../records/index.ts';

/** What does not help a colony that has decided to swarm, and what to do with its date instead. */
const TOO_LATE_FOR = {
  calm: ['less brood and more room do not stop it any more', 'Divide it'],
  unite: ['united with another it would swarm all the same', 'Choose another colony, or divide this one'],
} as const;

/**
 * Why a colony is neither relieved of swarm pressure nor united: once there are larvae in its cells it goes when they are capped,
 * however much room it has; only taking the queen or the brood away stops it (common practice, no source).
 */
export function aboutToSwarm(
  apiary: Apiary,
  colonyId: string,
  day: Day,
  wanted: keyof typeof TOO_LATE_FOR,
  path: Problem['path'],
): Problem[] {
  const colony = apiary.colony[colonyId];
  if (!colony || colony.endedOn !== null) return [];
  const state = colonyState(apiary, colony, day);
  if (!isAboutToSwarm(state)) return [];
  const [message, remedy] = TOO_LATE_FOR[wanted];
  const { by: due } = state.notice;
  const by = due === undefined || due <= day ? 'today' : `by ${dayInWords(due)}`;
  return [
    {
      code: 'swarm-cells',
      path,
      message: `${colony.name} has swarm cells: ${message}.`,
      remedy: `${remedy} ${by}: its page says which split method suits.`,
    },
  ];
}

import type { ColonyState } from '@incremen/core/colony';

/** What mends a colony that asks for more than a split: the verb, and the plan that it leads to. */
export function wayOut({
  colony,
  notice,
  lane,
}: Pick<ColonyState, 'colony' | 'notice' | 'lane'>):
  { readonly verb: string; readonly to: string } | undefined {
  if (notice.id === 'nuc-full') {
    return { verb: 'Move into a full-size hive', to: `/plan?goal=hiveUp&colony=${colony.id}` };
  }
  if (notice.id === 'honey-bound') {
    return { verb: 'Make room for the queen', to: `/plan?goal=relieve&colony=${colony.id}` };
  }
  if (lane === 'weak' || lane === 'watch' || lane === 'unfit') {
    return { verb: 'What to do', to: `/colonies/${colony.id}/act` };
  }
  return undefined;
}

import type { ColonyState } from '@incremen/core/colony';

/** What mends a colony that asks for more than a split: the verb, and the plan that it leads to. */
export function wayOut({
  colony,
  reason,
  lane,
}: Pick<ColonyState, 'colony' | 'reason' | 'lane'>):
  { readonly verb: string; readonly to: string } | undefined {
  if (reason.startsWith('Nuc is full')) {
    return { verb: 'Hive it up', to: `/plan?goal=hiveUp&colony=${colony.id}` };
  }
  if (reason.startsWith('Honey-bound')) {
    return { verb: 'Free it', to: `/plan?goal=relieve&colony=${colony.id}` };
  }
  if (lane === 'weak' || lane === 'watch' || lane === 'unfit') {
    return { verb: 'What to do', to: `/colonies/${colony.id}/act` };
  }
  return undefined;
}

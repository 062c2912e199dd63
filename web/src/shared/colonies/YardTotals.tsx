import { Text } from '@chakra-ui/react';
import { frameSize } from '@incremen/core/comb';
import type { ColonyState } from '@incremen/core/colony';
import { useOperation } from '../../mirror/hooks.ts';
import { count, one } from '../../ui/format.ts';

/** Whether anything is known of what a colony amounts to. */
export const isCounted = (s: ColonyState): boolean => s.countAgeDays !== null;

/** What colonies amount to together, in frames of the reference size; those that nobody counted are unknown, not nothing. */
export function YardTotals({ states }: { readonly states: readonly ColonyState[] }) {
  const { referenceSize } = useOperation();
  const known = states.filter(isCounted);
  const colonies = count(states.length, 'colony', 'colonies');
  if (known.length === 0)
    return <Text>{states.length === 0 ? colonies : `${colonies}, none counted yet`}</Text>;
  const sum = (pick: (s: ColonyState) => number) => one(known.reduce((n, s) => n + pick(s), 0));
  return (
    <Text title={`In frames of ${frameSize(referenceSize).name}`}>
      {colonies}
      {known.length < states.length && `, ${known.length} of them counted`} ·{' '}
      <b>{sum((s) => s.strength.framesOfBees.likely)}</b> frames of bees ·{' '}
      <b>{sum((s) => s.strength.broodFrames.likely)}</b> brood · <b>{sum((s) => s.strength.storesFrames)}</b>{' '}
      stores · <b>{sum((s) => s.strength.frames.drawn)}</b> empty comb
    </Text>
  );
}

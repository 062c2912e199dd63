import { Text } from '@chakra-ui/react';
import { frameSize } from '@incremen/core/comb';
import type { ColonyState } from '@incremen/core/colony';
import { useOperation } from '../../mirror/hooks.ts';
import { count, one } from '../../ui/format.ts';

/** What colonies amount to together, in frames of the reference size. */
export function YardTotals({ states }: { readonly states: readonly ColonyState[] }) {
  const { referenceSize } = useOperation();
  const sum = (pick: (s: ColonyState) => number) => one(states.reduce((n, s) => n + pick(s), 0));
  return (
    <Text title={`In frames of ${frameSize(referenceSize).name}`}>
      {count(states.length, 'colony', 'colonies')} · <b>{sum((s) => s.strength.framesOfBees.likely)}</b>{' '}
      frames of bees · <b>{sum((s) => s.strength.broodFrames.likely)}</b> brood ·{' '}
      <b>{sum((s) => s.strength.storesFrames)}</b> stores · <b>{sum((s) => s.strength.frames.drawn)}</b> empty
      comb
    </Text>
  );
}

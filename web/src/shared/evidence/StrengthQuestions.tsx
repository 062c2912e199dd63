import { Flex } from '@chakra-ui/react';
import { memo } from 'react';
import { Choice } from '../../ui/Choice.tsx';
import { Key } from '../../ui/Key.tsx';
import { Stepper } from '../../ui/Stepper.tsx';
import { sameEvidence, type EvidenceProps } from './evidenceProps.ts';

/** Bees and food at a glance: two steppers, shown once they are asked for, so that nothing reads as nought. */
export const StrengthQuestions = memo(
  function StrengthQuestions({ evidence, set, name }: EvidenceProps) {
    const { strength, food, cage } = evidence;
    return (
      <Flex direction="column" gap={3}>
        {strength === null ? (
          <Key size="mark" label={name('frames of bees')} onClick={() => set({ strength: 5 })}>
            Frames of bees, at a glance
          </Key>
        ) : (
          <Stepper
            label={name('frames of bees')}
            value={strength}
            min={0}
            max={60}
            step={0.5}
            onChange={(n) => set({ strength: n })}
          />
        )}
        {food === null ? (
          <Key size="mark" label={name('frames of stores')} onClick={() => set({ food: 2 })}>
            Frames of stores, at a glance
          </Key>
        ) : (
          <Stepper
            label={name('frames of stores')}
            value={food}
            min={0}
            max={60}
            step={0.5}
            onChange={(n) => set({ food: n })}
          />
        )}
        <Choice
          label={name('queen cage')}
          shown="Queen cage"
          value={cage ?? 'none'}
          onChange={(c) => set({ cage: c === 'none' ? null : c })}
          options={[
            { id: 'none', label: 'none', quiet: true },
            { id: 'occupied', label: 'she is in it' },
            { id: 'empty', label: 'empty' },
          ]}
        />
      </Flex>
    );
  },
  sameEvidence('strength', 'food', 'cage'),
);

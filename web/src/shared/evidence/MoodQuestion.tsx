import { memo } from 'react';
import { Choice } from '../../ui/Choice.tsx';
import { sameEvidence, type EvidenceProps } from './evidenceProps.ts';

/** How the bees took it. */
export const MoodQuestion = memo(function MoodQuestion({ evidence, set, name }: EvidenceProps) {
  return (
    <Choice
      label={name('temper')}
      shown="Temperament"
      value={evidence.mood ?? 'unsaid'}
      onChange={(mood) => set({ mood: mood === 'unsaid' ? null : mood })}
      options={[
        { id: 'calm', label: 'Calm' },
        { id: 'restless', label: 'Restless' },
        { id: 'roaring', label: 'Roaring' },
        { id: 'defensive', label: 'Defensive' },
        { id: 'unsaid', label: 'Not noted', quiet: true },
      ]}
    />
  );
}, sameEvidence('mood'));

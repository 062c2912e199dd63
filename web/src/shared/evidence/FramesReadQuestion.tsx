import { memo } from 'react';
import { Choice } from '../../ui/Choice.tsx';
import { sameEvidence, type EvidenceProps } from './evidenceProps.ts';
import { Question } from './Question.tsx';

/** How much was read: what was not found counts for the frames that were read. */
export const FramesReadQuestion = memo(
  function FramesReadQuestion({ evidence, set, name }: EvidenceProps) {
    const { framesRead, framesTotal, eggs, cells } = evidence;
    if (framesTotal === 0) return null;
    const unsaid = framesRead === 0 && (eggs.look === 'notFound' || cells.look === 'notFound');
    return (
      <Question
        title="Frames read"
        {...(unsaid && { hint: '“None” counts for the frames that were read: say how many.' })}
      >
        <Choice
          hideLabel
          label={name('frames read')}
          value={framesRead >= framesTotal ? 'all' : framesRead > 0 ? 'some' : null}
          onChange={(v) => set({ framesRead: v === 'all' ? framesTotal : Math.max(1, framesTotal - 1) })}
          options={[
            { id: 'all', label: `All ${framesTotal}` },
            { id: 'some', label: 'Not all' },
          ]}
        />
      </Question>
    );
  },
  sameEvidence('framesRead', 'framesTotal', 'eggs', 'cells'),
);

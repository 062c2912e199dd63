import { memo } from 'react';
import { CellsEditor } from './CellsEditor.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { sameEvidence, type EvidenceProps } from './evidenceProps.ts';
import { Further, Question, ThreeAnswers } from './Question.tsx';

/** Eggs: how many a cell, and where in it. */
export const EggsQuestion = memo(function EggsQuestion({ evidence: { eggs }, set, name }: EvidenceProps) {
  return (
    <Question title="Eggs">
      <ThreeAnswers
        label={name('eggs')}
        value={eggs.look}
        onChange={(look) =>
          set({ eggs: look === 'found' ? { look, perCell: 'one', place: 'unsure' } : { look } })
        }
      />
      {eggs.look === 'found' && (
        <Further>
          <Choice
            hideLabel
            label={name('eggs a cell')}
            value={eggs.perCell}
            onChange={(perCell) => set({ eggs: { ...eggs, perCell } })}
            options={[
              { id: 'one', label: 'One a cell' },
              { id: 'several', label: 'Several a cell' },
            ]}
          />
          {eggs.perCell === 'several' && (
            <Choice
              hideLabel
              label={name('place of eggs')}
              value={eggs.place}
              onChange={(place) => set({ eggs: { ...eggs, place } })}
              options={[
                { id: 'bottom', label: 'At the bottom' },
                { id: 'walls', label: 'On cell walls' },
                { id: 'unsure', label: 'Not sure' },
              ]}
            />
          )}
        </Further>
      )}
    </Question>
  );
}, sameEvidence('eggs'));

/** Larvae by age: those small enough to be made a queen of, and older ones. */
export const LarvaeQuestions = memo(
  function LarvaeQuestions({ evidence, set, name }: EvidenceProps) {
    return (
      <>
        <Question title="Very small larvae">
          <ThreeAnswers
            label={name('small larvae')}
            value={evidence.youngLarvae.look}
            onChange={(look) => set({ youngLarvae: { look } })}
          />
        </Question>
        <Question title="Larger larvae">
          <ThreeAnswers
            label={name('larger larvae')}
            value={evidence.olderLarvae.look}
            onChange={(look) => set({ olderLarvae: { look } })}
          />
        </Question>
      </>
    );
  },
  sameEvidence('youngLarvae', 'olderLarvae'),
);

/** Capped brood: its cappings and its pattern. */
export const CappedQuestion = memo(function CappedQuestion({
  evidence: { cappedBrood },
  set,
  name,
}: EvidenceProps) {
  return (
    <Question title="Capped brood">
      <ThreeAnswers
        label={name('capped brood')}
        value={cappedBrood.look}
        onChange={(look) =>
          set({ cappedBrood: look === 'found' ? { look, cappings: 'unsure', patch: 'unsure' } : { look } })
        }
      />
      {cappedBrood.look === 'found' && (
        <Further>
          <Choice
            hideLabel
            label={name('cappings')}
            value={cappedBrood.cappings}
            onChange={(cappings) => set({ cappedBrood: { ...cappedBrood, cappings } })}
            options={[
              { id: 'flat', label: 'Flat (worker)' },
              { id: 'domed', label: 'Domed' },
              { id: 'both', label: 'Both' },
              { id: 'unsure', label: 'Not sure' },
            ]}
          />
          <Choice
            hideLabel
            label={name('pattern')}
            value={cappedBrood.patch}
            onChange={(patch) => set({ cappedBrood: { ...cappedBrood, patch } })}
            options={[
              { id: 'compact', label: 'Compact' },
              { id: 'scattered', label: 'Scattered' },
              { id: 'unsure', label: 'Not sure' },
            ]}
          />
        </Further>
      )}
    </Question>
  );
}, sameEvidence('cappedBrood'));

/** Queen cells by kind. */
export const CellsQuestion = memo(function CellsQuestion({ evidence: { cells }, set, name }: EvidenceProps) {
  return (
    <Question title="Queen cells">
      <ThreeAnswers
        label={name('queen cells')}
        value={cells.look}
        onChange={(look) =>
          set({ cells: look === 'found' ? { look, cells: [{ kind: 'open', count: 1 }] } : { look } })
        }
      />
      {cells.look === 'found' && (
        <Further>
          <CellsEditor
            cells={cells.cells}
            onChange={(next) =>
              set({ cells: next.length > 0 ? { look: 'found', cells: next } : { look: 'notFound' } })
            }
          />
        </Further>
      )}
    </Question>
  );
}, sameEvidence('cells'));

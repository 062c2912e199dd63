import { Box, Input, Text } from '@chakra-ui/react';
import type { Conditions, Evidence, Operation } from '@incremen/core/records';
import { memo, useCallback, type ReactNode } from 'react';
import { useLatest } from '../../ui/useLatest.ts';
import { AddPhotos, type DraftPhoto } from '../photos/AddPhotos.tsx';
import { ByBoxQuestion } from './ByBoxQuestion.tsx';
import { CappedQuestion, CellsQuestion, EggsQuestion, LarvaeQuestions } from './BroodQuestions.tsx';
import { ConditionsFields } from './ConditionsFields.tsx';
import { FramesReadQuestion } from './FramesReadQuestion.tsx';
import { DiseaseQuestion, TreatmentQuestion } from './HealthQuestions.tsx';
import { MoodQuestion } from './MoodQuestion.tsx';
import { QueenQuestion } from './QueenQuestion.tsx';
import { SignsTable } from './SignsTable.tsx';
import { StrengthQuestions } from './StrengthQuestions.tsx';
import styles from './SeenForm.module.css';

/** Everything about a visit besides its frames. */
export interface Seen {
  readonly evidence: Evidence;
  readonly conditions: Conditions;
  readonly photos: readonly DraftPhoto[];
  readonly note: string;
}

/** What was seen besides frames, in four parts; nothing has to be answered. */
export function SeenForm({
  seen,
  onChange,
  colonyName,
  frames,
  boxes = [],
  units,
}: {
  readonly seen: Seen;
  readonly onChange: (seen: Seen) => void;
  readonly colonyName: string;
  readonly frames: readonly { readonly id: string; readonly name: string }[];
  /** The boxes that can be told apart, bottom first. */
  readonly boxes?: readonly { readonly id: string; readonly name: string }[];
  readonly units: Operation['units'];
}) {
  const { evidence } = seen;
  const set = useLatest((change: Partial<Evidence>) =>
    onChange({ ...seen, evidence: { ...evidence, ...change } }),
  );
  const setConditions = useLatest((conditions: Conditions) => onChange({ ...seen, conditions }));
  const setPhotos = useLatest((photos: Seen['photos']) => onChange({ ...seen, photos }));
  const setNote = useLatest((note: string) => onChange({ ...seen, note }));
  const name = useCallback((what: string) => `${colonyName}: ${what}`, [colonyName]);
  const asked = { evidence, set, name };
  return (
    <div className={styles.parts}>
      <Part title="At a glance">
        <StrengthQuestions {...asked} />
        <MoodQuestion {...asked} />
      </Part>
      <Part title="Queen and cells">
        <QueenQuestion {...asked} frames={frames} />
        <CellsQuestion {...asked} />
      </Part>
      <Part title="Brood">
        <FramesReadQuestion {...asked} />
        <EggsQuestion {...asked} />
        <LarvaeQuestions {...asked} />
        <CappedQuestion {...asked} />
        <ByBoxQuestion {...asked} boxes={boxes} />
        <DiseaseQuestion {...asked} />
        <TreatmentQuestion {...asked} />
      </Part>
      <Part title="Besides">
        <SignsTable {...asked} />
        <ConditionsFields conditions={seen.conditions} onChange={setConditions} units={units} />
        <AddPhotos photos={seen.photos} onChange={setPhotos} />
        <NoteField note={seen.note} onNote={setNote} />
      </Part>
    </div>
  );
}

const NoteField = memo(function NoteField({
  note,
  onNote,
}: {
  readonly note: string;
  readonly onNote: (note: string) => void;
}) {
  return (
    <Box as="label">
      <Text as="span" fontWeight="600">
        Note
      </Text>
      <Input bg="sheet" value={note} onChange={(e) => onNote(e.target.value)} maxLength={4000} />
      <Text color="inkSoft" fontSize="sm">
        A frame in shorthand between square brackets is drawn in the diary: [h2 c6 *9 q]
      </Text>
    </Box>
  );
});

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section className={styles.part}>
      <h2>{title}</h2>
      {children}
    </section>
  );
}

import { Box, Heading, Input, Text } from '@chakra-ui/react';
import type { Conditions, Evidence, Operation } from '@incremen/core';
import type { ReactNode } from 'react';
import { AddPhotos, type DraftPhoto } from '../photos/AddPhotos.tsx';
import { CappedQuestion, CellsQuestion, EggsQuestion, LarvaeQuestions } from './BroodQuestions.tsx';
import { ConditionsFields } from './ConditionsFields.tsx';
import { DiseaseQuestion, TreatmentQuestion } from './HealthQuestions.tsx';
import { MoodQuestion } from './MoodQuestion.tsx';
import { QueenQuestion } from './QueenQuestion.tsx';
import { SignsTable } from './SignsTable.tsx';

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
  units,
}: {
  readonly seen: Seen;
  readonly onChange: (seen: Seen) => void;
  readonly colonyName: string;
  readonly frames: readonly { readonly id: string; readonly name: string }[];
  readonly units: Operation['units'];
}) {
  const { evidence } = seen;
  const asked = {
    evidence,
    set: (change: Partial<Evidence>) => onChange({ ...seen, evidence: { ...evidence, ...change } }),
    name: (what: string) => `${colonyName}: ${what}`,
  };
  return (
    <Box
      display="grid"
      gap={4}
      gridTemplateColumns={{
        base: 'minmax(0, 1fr)',
        md: 'repeat(2, minmax(0, 1fr))',
        xl: 'repeat(3, minmax(0, 1fr))',
      }}
      alignItems="start"
    >
      <Part title="Queen and cells">
        <QueenQuestion {...asked} frames={frames} />
        <CellsQuestion {...asked} />
        <MoodQuestion {...asked} />
      </Part>
      <Part title="Brood">
        <EggsQuestion {...asked} />
        <LarvaeQuestions {...asked} />
        <CappedQuestion {...asked} />
        <DiseaseQuestion {...asked} />
        <TreatmentQuestion {...asked} />
      </Part>
      <Part title="Besides">
        <SignsTable {...asked} />
        <ConditionsFields
          conditions={seen.conditions}
          onChange={(conditions) => onChange({ ...seen, conditions })}
          units={units}
        />
        <AddPhotos photos={seen.photos} onChange={(photos) => onChange({ ...seen, photos })} />
        <Box as="label">
          <Text as="span" fontWeight="600">
            Note
          </Text>
          <Input
            bg="sheet"
            minH="44px"
            value={seen.note}
            onChange={(e) => onChange({ ...seen, note: e.target.value })}
            maxLength={4000}
          />
          <Text color="inkSoft" fontSize="sm">
            A frame in shorthand between square brackets is drawn in the diary: [h2 c6 *9 q]
          </Text>
        </Box>
      </Part>
    </Box>
  );
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box as="section" bg="sheet" borderWidth="1px" borderRadius="xl" p={4} display="grid" gap={4} minW={0}>
      <Heading as="h2" fontSize="1.2rem">
        {title}
      </Heading>
      {children}
    </Box>
  );
}

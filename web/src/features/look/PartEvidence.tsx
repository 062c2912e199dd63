import { Box, Heading } from '@chakra-ui/react';
import type { Evidence } from '@incremen/core/records';
import {
  CappedQuestion,
  CellsQuestion,
  EggsQuestion,
  LarvaeQuestions,
} from '../../shared/evidence/BroodQuestions.tsx';
import { ByBoxQuestion } from '../../shared/evidence/ByBoxQuestion.tsx';
import { FramesReadQuestion } from '../../shared/evidence/FramesReadQuestion.tsx';
import { DiseaseQuestion } from '../../shared/evidence/HealthQuestions.tsx';
import { StrengthQuestions } from '../../shared/evidence/StrengthQuestions.tsx';
import { MoodQuestion } from '../../shared/evidence/MoodQuestion.tsx';
import { SignsTable } from '../../shared/evidence/SignsTable.tsx';
import type { ReactNode } from 'react';
import common from '../../ui/common.module.css';
import { QueenQuestion } from '../../shared/evidence/QueenQuestion.tsx';

/** What was seen in one part, question by question; "not looked" and "none" are kept apart. */
export function PartEvidence({
  name,
  evidence,
  boxes,
  onChange,
  children,
}: {
  readonly name: string;
  readonly evidence: Evidence;
  /** The boxes that can be told apart, bottom first. */
  readonly boxes: readonly { readonly id: string; readonly name: string }[];
  readonly onChange: (evidence: Evidence) => void;
  /** What stands below the question about the queen. */
  readonly children?: ReactNode;
}) {
  const set = (change: Partial<Evidence>) => onChange({ ...evidence, ...change });
  const asked = { evidence, set, name: (what: string) => `${name}: ${what}` };
  return (
    <Box
      as="section"
      aria-label={name}
      bg="sheet"
      borderWidth="1px"
      borderRadius="xl"
      p={4}
      display="grid"
      gap={4}
      flex="1 1 300px"
      minW={0}
    >
      <Heading as="h2" fontSize="xl">
        {name}
      </Heading>
      <FramesReadQuestion {...asked} />
      <EggsQuestion {...asked} />
      <CellsQuestion {...asked} />
      <LarvaeQuestions {...asked} />
      <CappedQuestion {...asked} />
      <ByBoxQuestion {...asked} boxes={boxes} />
      <StrengthQuestions {...asked} />
      <QueenQuestion {...asked} />
      {children}
      <DiseaseQuestion {...asked} />
      <details>
        <summary className={common.summary}>Temperament, pollen, robbing and other signs</summary>
        <Box display="grid" gap={4}>
          <MoodQuestion {...asked} />
          <SignsTable {...asked} />
        </Box>
      </details>
    </Box>
  );
}

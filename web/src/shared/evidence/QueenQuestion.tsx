import { memo } from 'react';
import { Box, Text } from '@chakra-ui/react';
import { MARKING_COLOURS, type MarkingColour } from '@incremen/core/records';
import { QueenMark } from '../../drawing/Slat.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { Stepper } from '../../ui/Stepper.tsx';
import { Select } from '../../ui/Select.tsx';
import { sameEvidence, type EvidenceProps } from './evidenceProps.ts';
import { Further, Question, ThreeAnswers } from './Question.tsx';

/** The queen herself: her build, the dot she wears, the frame she was on. */
export const QueenQuestion = memo(
  function QueenQuestion({
    evidence: { queen, searchedMin },
    set,
    name,
    frames = [],
  }: EvidenceProps & {
    /** The frames she may have been on. */
    readonly frames?: readonly { readonly id: string; readonly name: string }[];
  }) {
    return (
      <Question title="The queen herself">
        <ThreeAnswers
          label={name('queen')}
          value={queen.look}
          onChange={(look) => set({ queen: look === 'found' ? { look, build: 'unsure' } : { look } })}
        />
        {queen.look === 'found' && (
          <Further>
            <Choice
              hideLabel
              label={name('build of the queen')}
              value={queen.build}
              onChange={(build) => set({ queen: { ...queen, build } })}
              options={[
                { id: 'long', label: 'Long, laying' },
                { id: 'slim', label: 'Slender' },
                { id: 'unsure', label: 'Not sure' },
              ]}
            />
            <Choice
              hideLabel
              label={name('mark of the queen')}
              value={queen.dot ?? 'unseen'}
              onChange={(dot) => {
                const { dot: _dot, ...rest } = queen;
                set({ queen: dot === 'unseen' ? rest : { ...rest, dot } });
              }}
              options={[
                ...MARKING_COLOURS.map((c) => ({ id: c, label: <Dot colour={c} />, hint: c })),
                { id: 'none' as const, label: 'No mark' },
                { id: 'unseen' as const, label: 'Mark not seen', quiet: true },
              ]}
            />
            {frames.length > 0 && (
              <Box maxW="260px">
                <Text fontWeight="600" fontSize="sm" aria-hidden>
                  Seen on
                </Text>
                <Select
                  label={name('frame of the queen')}
                  value={queen.frameId ?? ''}
                  options={[['', 'no frame noted'], ...frames.map((f) => [f.id, f.name] as const)]}
                  onChange={(frameId) => {
                    const { frameId: _frame, ...rest } = queen;
                    set({ queen: frameId === '' ? rest : { ...rest, frameId } });
                  }}
                />
              </Box>
            )}
          </Further>
        )}
        {queen.look === 'notFound' && (
          <Further>
            <Stepper
              label={name('minutes of searching')}
              value={searchedMin ?? 0}
              min={0}
              max={120}
              step={5}
              unit="min"
              onChange={(n) => set({ searchedMin: n === 0 ? null : n })}
            />
          </Further>
        )}
      </Question>
    );
  },
  sameEvidence('queen', 'searchedMin'),
);

function Dot({ colour }: { readonly colour: MarkingColour }) {
  return (
    <>
      <svg width="22" height="22" viewBox="0 0 22 22" aria-hidden="true">
        <QueenMark x={11} y={11} colour={colour} r={7} />
      </svg>
      <Box as="span" srOnly>
        {colour}
      </Box>
    </>
  );
}

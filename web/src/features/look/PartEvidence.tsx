import { Box, Heading, Text } from '@chakra-ui/react';
import type { Evidence } from '@incremen/core';
import { Choice } from '../../ui/Choice.tsx';
import { CellsEditor } from '../count/CellsEditor.tsx';

type Looked = 'notLooked' | 'notFound' | 'found';

const THREE: readonly { id: Looked; label: string; hint?: string }[] = [
  { id: 'found', label: 'Found' },
  { id: 'notFound', label: 'None', hint: 'Looked for and not there' },
  { id: 'notLooked', label: 'Not looked' },
];

/** What was seen in one part, question by question; "not looked" and "none" are kept apart. */
export function PartEvidence({
  name,
  evidence,
  onChange,
}: {
  readonly name: string;
  readonly evidence: Evidence;
  readonly onChange: (evidence: Evidence) => void;
}) {
  const set = (change: Partial<Evidence>) => onChange({ ...evidence, ...change });
  const label = (what: string) => `${name}: ${what}`;
  return (
    <Box
      as="section"
      bg="sheet"
      borderWidth="1px"
      borderRadius="xl"
      p={4}
      display="grid"
      gap={4}
      flex="1 1 300px"
      minW={0}
    >
      <Heading as="h2" fontSize="1.3rem">
        {name}
      </Heading>
      <Question title="Frames read">
        <Choice
          hideLabel
          label={label('frames read')}
          value={
            evidence.framesRead >= evidence.framesTotal ? 'all' : evidence.framesRead > 0 ? 'some' : null
          }
          onChange={(v) =>
            set({ framesRead: v === 'all' ? evidence.framesTotal : Math.max(1, evidence.framesTotal - 1) })
          }
          options={[
            { id: 'all', label: `All ${evidence.framesTotal}` },
            { id: 'some', label: 'Not all' },
          ]}
        />
      </Question>
      <Question title="Eggs">
        <Choice
          hideLabel
          label={label('eggs')}
          value={evidence.eggs.look}
          onChange={(look) =>
            set({ eggs: look === 'found' ? { look, perCell: 'one', place: 'unsure' } : { look } })
          }
          options={THREE}
        />
        {evidence.eggs.look === 'found' && (
          <Box mt={2} display="grid" gap={2}>
            <Choice
              hideLabel
              label={label('eggs a cell')}
              value={evidence.eggs.perCell}
              onChange={(perCell) =>
                evidence.eggs.look === 'found' && set({ eggs: { ...evidence.eggs, perCell } })
              }
              options={[
                { id: 'one', label: 'One a cell' },
                { id: 'several', label: 'Several a cell' },
              ]}
            />
            {evidence.eggs.perCell === 'several' && (
              <Choice
                hideLabel
                label={label('place of eggs')}
                value={evidence.eggs.place}
                onChange={(place) =>
                  evidence.eggs.look === 'found' && set({ eggs: { ...evidence.eggs, place } })
                }
                options={[
                  { id: 'bottom', label: 'At the bottom' },
                  { id: 'walls', label: 'On cell walls' },
                  { id: 'unsure', label: 'Not sure' },
                ]}
              />
            )}
          </Box>
        )}
      </Question>
      <Question title="Queen cells">
        <Choice
          hideLabel
          label={label('queen cells')}
          value={evidence.cells.look}
          onChange={(look) =>
            set({ cells: look === 'found' ? { look, cells: [{ kind: 'open', count: 1 }] } : { look } })
          }
          options={THREE}
        />
        {evidence.cells.look === 'found' && (
          <Box mt={2}>
            <CellsEditor
              cells={evidence.cells.cells}
              onChange={(cells) =>
                set({ cells: cells.length > 0 ? { look: 'found', cells } : { look: 'notFound' } })
              }
            />
          </Box>
        )}
      </Question>
      <Question title="Very small larvae">
        <Choice
          hideLabel
          label={label('small larvae')}
          value={evidence.youngLarvae.look}
          onChange={(look) => set({ youngLarvae: { look } })}
          options={THREE}
        />
      </Question>
      <Question title="Capped brood">
        <Choice
          hideLabel
          label={label('capped brood')}
          value={evidence.cappedBrood.look}
          onChange={(look) =>
            set({ cappedBrood: look === 'found' ? { look, cappings: 'flat', patch: 'unsure' } : { look } })
          }
          options={THREE}
        />
        {evidence.cappedBrood.look === 'found' && (
          <Box mt={2} display="grid" gap={2}>
            <Choice
              hideLabel
              label={label('cappings')}
              value={evidence.cappedBrood.cappings}
              onChange={(cappings) =>
                evidence.cappedBrood.look === 'found' &&
                set({ cappedBrood: { ...evidence.cappedBrood, cappings } })
              }
              options={[
                { id: 'flat', label: 'Flat (worker)' },
                { id: 'domed', label: 'Domed' },
                { id: 'both', label: 'Both' },
              ]}
            />
            {evidence.cappedBrood.cappings !== 'flat' && (
              <Choice
                hideLabel
                label={label('patch')}
                value={evidence.cappedBrood.patch}
                onChange={(patch) =>
                  evidence.cappedBrood.look === 'found' &&
                  set({ cappedBrood: { ...evidence.cappedBrood, patch } })
                }
                options={[
                  { id: 'compact', label: 'One patch' },
                  { id: 'scattered', label: 'Scattered' },
                  { id: 'unsure', label: 'Not sure' },
                ]}
              />
            )}
          </Box>
        )}
      </Question>
      <Question title="The queen herself">
        <Choice
          hideLabel
          label={label('queen')}
          value={evidence.queen.look}
          onChange={(look) => set({ queen: look === 'found' ? { look, build: 'unsure' } : { look } })}
          options={THREE}
        />
      </Question>
      <Question title="Signs of sick brood" hint="Smell, sunken or holed caps, discoloured or ropy larvae.">
        <Choice
          hideLabel
          label={label('sick brood')}
          value={evidence.diseaseSigns.look}
          onChange={(look) => set({ diseaseSigns: { look } })}
          options={THREE}
        />
      </Question>
    </Box>
  );
}

function Question({
  title,
  hint,
  children,
}: {
  readonly title: string;
  readonly hint?: string;
  readonly children: React.ReactNode;
}) {
  return (
    <Box>
      <Text fontWeight="600" mb={1}>
        {title}
      </Text>
      {hint && (
        <Text fontSize="sm" color="inkSoft" mb={1}>
          {hint}
        </Text>
      )}
      {children}
    </Box>
  );
}

import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import {
  answerOf,
  stillToAnswer,
  UNANSWERED,
  type ClosingAnswer,
  type ClosingDraft,
  type ClosingUnit,
} from '@incremen/core/records';
import { useState } from 'react';
import { Choice } from '../../ui/Choice.tsx';
import { Tick } from '../../ui/Tick.tsx';

const MUSTS = [
  ['entranceOpen', 'Entrance open'],
  ['lidOn', 'Lid on'],
  ['tagOn', 'Tag on'],
] as const;

/** One that is carried away this evening. */
const MUSTS_LEAVING = MUSTS.map(([key, words]) =>
  key === 'entranceOpen'
    ? ([key, 'Shut, with air, until it stands there'] as const)
    : ([key, words] as const),
);

const QUEEN = [
  { id: 'seen', label: 'Seen' },
  { id: 'not-seen', label: 'Not looked for' },
  { id: 'caged', label: 'In her cage' },
  { id: 'none', label: 'None' },
] as const;
const FED = [
  { id: 'fed', label: 'Fed' },
  { id: 'this-evening', label: 'This evening' },
  { id: 'no-need', label: 'No need' },
] as const;
const IN_OR_NONE = [
  { id: 'none', label: 'None' },
  { id: 'in', label: 'In' },
] as const;

/** Before the work is carried into the records every unit answers: a visit does not close with a shut entrance. */
export function ClosingPanel({
  units,
  onBack,
  onClosed,
}: {
  readonly units: readonly ClosingUnit[];
  readonly onBack: () => void;
  readonly onClosed: (answers: ClosingAnswer[]) => void;
}) {
  const [drafts, setDrafts] = useState<Readonly<Record<string, ClosingDraft>>>({});
  const draftOf = (u: ClosingUnit) => drafts[u.colonyId] ?? UNANSWERED;
  const answers = units.map((u) => answerOf(u.colonyId, draftOf(u)));
  const missing = units.filter((_, i) => answers[i] === null);
  const change = (u: ClosingUnit, by: Partial<ClosingDraft>) =>
    setDrafts({ ...drafts, [u.colonyId]: { ...draftOf(u), ...by } });
  return (
    <Box as="section" aria-label="Close the visit" display="grid" gap={4}>
      <Box>
        <Heading as="h2" fontSize="xl">
          Close the visit
        </Heading>
        <Text color="inkSoft">Walk past each once more. Then the records change.</Text>
      </Box>
      {units.map((u, at) => (
        <UnitAnswers
          key={u.colonyId}
          unit={u}
          draft={draftOf(u)}
          above={at === 0 ? null : draftOf(units[at - 1] as ClosingUnit)}
          onChange={(by) => change(u, by)}
        />
      ))}
      <Flex gap={2} wrap="wrap" align="center">
        <Button
          minH="56px"
          disabled={missing.length > 0}
          onClick={() => onClosed(answers.filter((a) => a !== null))}
        >
          Finish
        </Button>
        <Button variant="outline" bg="sheet" minH="56px" onClick={onBack}>
          Back to the steps
        </Button>
        {missing.length > 0 && (
          <Text fontSize="sm" role="status">
            {missing.map((u) => `${u.name}: ${stillToAnswer(draftOf(u)).join(', ')}`).join(' · ')}
          </Text>
        )}
      </Flex>
    </Box>
  );
}

function UnitAnswers({
  unit,
  draft,
  above,
  onChange,
}: {
  readonly unit: ClosingUnit;
  readonly draft: ClosingDraft;
  /** The answers of the unit above, which may be the same. */
  readonly above: ClosingDraft | null;
  readonly onChange: (by: Partial<ClosingDraft>) => void;
}) {
  return (
    <Box
      as="section"
      aria-label={unit.name}
      bg="sheet"
      borderWidth="1px"
      borderColor={stillToAnswer(draft).length === 0 ? 'accent' : 'line'}
      borderRadius="lg"
      p={4}
    >
      <Flex justify="space-between" align="center" gap={3} mb={2}>
        <Heading as="h3" fontSize="lg">
          {unit.name}
        </Heading>
        {above && (
          <Button
            variant="ghost"
            disabled={above.fed === null || above.excluder === null || above.strips === null}
            onClick={() => onChange({ fed: above.fed, excluder: above.excluder, strips: above.strips })}
          >
            Feed, excluder, strips as above
          </Button>
        )}
      </Flex>
      <Flex gap={2} wrap="wrap" mb={3}>
        {(unit.leaves ? MUSTS_LEAVING : MUSTS).map(([key, words]) => (
          <Tick
            key={key}
            label={words}
            called={`${unit.name}: ${words.toLowerCase()}`}
            on="sunk"
            checked={draft[key]}
            onChange={(done) => onChange({ [key]: done })}
          />
        ))}
      </Flex>
      <Flex gap={4} wrap="wrap">
        <Choice
          label={`${unit.name}: queen`}
          shown="Queen"
          value={draft.queen}
          options={QUEEN}
          onChange={(queen) => onChange({ queen })}
        />
        <Choice
          label={`${unit.name}: feed`}
          shown="Feed"
          value={draft.fed}
          options={FED}
          onChange={(fed) => onChange({ fed })}
        />
        <Choice
          label={`${unit.name}: excluder`}
          shown="Excluder"
          value={draft.excluder}
          options={IN_OR_NONE}
          onChange={(excluder) => onChange({ excluder })}
        />
        <Choice
          label={`${unit.name}: strips`}
          shown="Strips"
          value={draft.strips}
          options={IN_OR_NONE}
          onChange={(strips) => onChange({ strips })}
        />
      </Flex>
    </Box>
  );
}

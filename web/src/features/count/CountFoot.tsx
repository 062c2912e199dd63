import { Box, Button, Field, Flex, Text } from '@chakra-ui/react';
import type { Problem } from '@incremen/core/basics';
import { memo } from 'react';
import { Link } from 'react-router';
import { DayInput } from '../../shared/days/DayInput.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { forgetDraft } from '../../shared/counting/keptDraft.ts';

/** The day of a count, and where it came from when it was begun earlier. */
export const CountFoot = memo(function CountFoot({
  colonyId,
  day,
  today,
  resumed,
  problems,
  onDay,
}: {
  readonly colonyId: string;
  readonly day: string;
  readonly today: string;
  readonly resumed: boolean;
  readonly problems: readonly Problem[];
  readonly onDay: (day: string) => void;
}) {
  return (
    <>
      <Flex gap={4} mt={5} wrap="wrap" align="flex-end">
        <Field.Root w="auto">
          <Field.Label>Counted on</Field.Label>
          <DayInput value={day} max={today} invalid={problems.length > 0} onChange={onDay} />
        </Field.Root>
        {day !== today && (
          <Button variant="outline" bg="sheet" onClick={() => onDay(today)}>
            Today
          </Button>
        )}
        {resumed && (
          <Text color="inkSoft" pb={2}>
            This count was begun earlier on this device and goes on where it stopped.{' '}
            <Link
              to={`/colonies/${colonyId}`}
              onClick={() => forgetDraft(colonyId)}
              style={{ textDecoration: 'underline' }}
            >
              Discard this count
            </Link>
          </Text>
        )}
      </Flex>
      <Box mt={2}>
        <ProblemList problems={problems} />
      </Box>
    </>
  );
});

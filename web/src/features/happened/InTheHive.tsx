import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { FEED_WORDS, givenTo } from '@incremen/core/records';
import { useApiary, useOperation, useToday } from '../../mirror/hooks.ts';
import { useTell } from '../../shared/telling/useTell.ts';
import { smallMass } from '../../ui/format.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import type { HappenedProps } from './HappenedPage.tsx';

/** What is in the hive and has not been taken out, each with the button that says so. */
export function InTheHive({
  colony,
  kind,
}: {
  readonly colony: HappenedProps['colony'];
  readonly kind: 'feed' | 'treatment';
}) {
  const apiary = useApiary();
  const today = useToday();
  const { units } = useOperation();
  const { tell } = useTell();
  const lines = givenTo(apiary, colony.id).filter((g) => g.body.kind === kind);
  if (lines.length === 0) return null;
  return (
    <Box as="section">
      <SectionHeading mb={1}>{kind === 'feed' ? 'Fed so far' : 'Treated so far'}</SectionHeading>
      <Box as="ul" listStyleType="none" display="grid" gap={2}>
        {lines.map((g) => (
          <Flex as="li" key={g.id} gap={3} wrap="wrap" align="center">
            <Text>
              {dayInWords(g.day)}:{' '}
              {g.body.kind === 'feed'
                ? `${smallMass(g.body.kg, units)} of ${FEED_WORDS[g.body.what]}`
                : g.body.what}
              {g.outOn && `, ${kind === 'feed' ? 'taken up' : 'out'} by ${dayInWords(g.outOn)}`}
              {g.body.kind === 'treatment' &&
                !g.outOn &&
                g.body.outBy &&
                `, out by ${dayInWords(g.body.outBy)}`}
            </Text>
            {!g.outOn && (
              <Button
                size="sm"
                variant="outline"
                bg="sheet"
                onClick={() =>
                  void tell(
                    {
                      type: 'takeOut',
                      givenId: g.id,
                      day: today,
                      leftKg: g.body.kind === 'feed' ? 0 : null,
                    },
                    kind === 'feed' ? 'Taken up' : 'Taken out',
                  )
                }
              >
                {kind === 'feed' ? 'All taken up' : 'Taken out today'}
              </Button>
            )}
          </Flex>
        ))}
      </Box>
    </Box>
  );
}

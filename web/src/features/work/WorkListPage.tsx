import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { dayInWords, methodById, type Plan } from '@incremen/core';
import { Link } from 'react-router';
import { useApiary } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';

const WORDS: Readonly<Record<Plan['status'], string>> = {
  working: 'begun',
  draft: 'planned',
  done: 'done',
  dropped: 'dropped',
};
const ORDER: Readonly<Record<Plan['status'], number>> = { working: 0, draft: 1, done: 2, dropped: 3 };

/** All plans: what is begun, what is planned, what was done. */
export function WorkListPage() {
  const apiary = useApiary();
  const plans = Object.values(apiary.plan)
    .filter((p) => p.status !== 'dropped')
    .toSorted((a, b) => ORDER[a.status] - ORDER[b.status] || b.day.localeCompare(a.day));
  return (
    <Box maxW="46rem">
      <PageHeader title="Work" />
      {plans.length === 0 && (
        <>
          <Text mb={4}>No work is planned. Open a colony that can give, and plan a split.</Text>
          <Button asChild>
            <Link to="/">Open the board</Link>
          </Button>
        </>
      )}
      <Box as="ul" listStyleType="none" display="grid" gap={2}>
        {plans.map((p) => {
          const steps = Object.values(apiary.step).filter((s) => s.planId === p.id);
          const done = steps.filter((s) => s.doneOn !== null).length;
          return (
            <Flex
              as="li"
              key={p.id}
              bg="sheet"
              borderWidth="1px"
              borderRadius="lg"
              px={4}
              py={3}
              align="center"
              gap={4}
            >
              <Box flex="1">
                <Text fontWeight="700">
                  {apiary.colony[p.colonyId]?.name} → {p.body.parts[1].name}
                </Text>
                <Text color="inkSoft">
                  {methodById(p.methodId).name}, {dayInWords(p.day)} · {WORDS[p.status]}
                  {p.status === 'working' && `, ${done} of ${steps.length} steps`}
                </Text>
              </Box>
              <Button
                asChild
                minH="44px"
                variant={p.status === 'done' ? 'outline' : 'solid'}
                aria-label={`Open the work at ${apiary.colony[p.colonyId]?.name ?? ''}`}
              >
                <Link to={`/work/${p.id}`}>
                  {p.status === 'done' ? 'See' : p.status === 'working' ? 'Go on' : 'Start'}
                </Link>
              </Button>
            </Flex>
          );
        })}
      </Box>
    </Box>
  );
}

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { capital, dayInWords } from '@incremen/core/basics';
import { stepsOfWork, METHOD_NAMES, type Apiary, type Work } from '@incremen/core/records';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { useApiary } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { WorkView } from './workViews.ts';

const WORDS: Readonly<Record<Work['status'], string>> = {
  working: 'begun',
  draft: 'planned',
  done: 'done',
  dropped: 'dropped',
};
const ORDER: Readonly<Record<Work['status'], number>> = { working: 0, draft: 1, done: 2, dropped: 3 };

/** All work: what is begun, what is planned, what was done. */
export function WorkListPage() {
  const apiary = useApiary();
  useEffect(() => {
    // It comes next: at the hives nobody waits for it.
    WorkView.fetch();
  }, []);
  const lines = Object.values(apiary.work)
    .filter((w) => w.status !== 'dropped')
    .map((w) => lineOf(apiary, w))
    .toSorted((a, b) => ORDER[a.status] - ORDER[b.status] || b.day.localeCompare(a.day));
  return (
    <Box>
      <PageHeader title="Work">
        <Button asChild variant="outline" bg="sheet">
          <Link to="/store">Store</Link>
        </Button>
        <Button asChild variant="outline" bg="sheet">
          <Link to="/callout">Call-out pad</Link>
        </Button>
      </PageHeader>
      {lines.length === 0 && (
        <>
          <Text mb={4}>
            No work is planned. Say what you want to do in a yard, or open a colony and plan a split.
          </Text>
          <Button asChild>
            <Link to="/plan">Plan a yard</Link>
          </Button>
        </>
      )}
      <Box as="ul" aria-label="Plans" listStyleType="none" display="grid" gap={2} maxW="46rem">
        {lines.map((p) => (
          <Flex
            as="li"
            key={p.to}
            bg="sheet"
            borderWidth="1px"
            borderRadius="lg"
            px={4}
            py={3}
            align="center"
            gap={4}
          >
            <Box flex="1">
              <Text fontWeight="700">{p.title}</Text>
              <Text color="inkSoft">
                {p.what}, {dayInWords(p.day)} · {WORDS[p.status]}
                {p.status === 'working' && `, ${p.done} of ${p.steps} steps`}
              </Text>
            </Box>
            <Button
              asChild
              variant={p.status === 'done' ? 'outline' : 'solid'}
              aria-label={`Open the work at ${p.at}`}
            >
              <Link to={p.to}>
                {p.status === 'done' ? 'See' : p.status === 'working' ? 'Go on' : 'Start'}
              </Link>
            </Button>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}

/** A plan as a line of the list. */
interface WorkLine {
  readonly to: string;
  readonly title: string;
  readonly what: string;
  readonly at: string;
  readonly day: string;
  readonly status: Work['status'];
  readonly steps: number;
  readonly done: number;
}

const ticked = (steps: readonly { readonly doneOn: string | null }[]) => ({
  steps: steps.length,
  done: steps.filter((s) => s.doneOn !== null).length,
});

function lineOf(apiary: Apiary, { id, name, day, status, body: { asked } }: Work): WorkLine {
  const colony = asked.source === 'split' ? (apiary.colony[asked.colonyId]?.name ?? '') : null;
  const yardIds =
    asked.source === 'yard' ? asked.request.yardIds : asked.source === 'action' ? asked.yardIds : [];
  return {
    to: `/worksheet/${id}`,
    title: colony === null ? yardIds.map((y) => apiary.yard[y]?.name ?? '').join(' and ') : name,
    what: asked.source === 'split' ? METHOD_NAMES[asked.methodId] : capital(name),
    at: colony ?? name,
    day,
    status,
    ...ticked(stepsOfWork(apiary, id)),
  };
}

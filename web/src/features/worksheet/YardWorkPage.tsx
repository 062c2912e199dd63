import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { dayInWords, openFollowUps, type YardPlan } from '@incremen/core';
import { Link, useNavigate, useParams } from 'react-router';
import { RouteError } from '../../app/RouteError.tsx';
import { useApiary, useSend, useToday } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { Cautions } from './Cautions.tsx';
import { DrawnColonies } from './DrawnColonies.tsx';
import { KitList } from './KitList.tsx';
import { StepList } from './StepList.tsx';
import { WorkActions } from './WorkActions.tsx';

/** The work of a yard plan: kit, steps hive by hive, and when it is done how all stands. */
export function YardWorkPage() {
  const apiary = useApiary();
  const { yardPlanId = '' } = useParams();
  const plan = apiary.yardPlan[yardPlanId];
  if (!plan) return <RouteError missing />;
  if (plan.status === 'dropped') {
    return (
      <Box>
        <PageHeader title={plan.name} />
        <Text mb={4}>This plan was dropped. Nothing of it is in the records.</Text>
        <Button asChild>
          <Link to="/plan">Plan again</Link>
        </Button>
      </Box>
    );
  }
  return plan.status === 'done' ? <Done plan={plan} /> : <Steps plan={plan} />;
}

function Steps({ plan }: { readonly plan: YardPlan }) {
  const apiary = useApiary();
  const today = useToday();
  const navigate = useNavigate();
  const { send, problems } = useSend();
  const steps = Object.values(apiary.yardStep)
    .filter((s) => s.yardPlanId === plan.id)
    .toSorted((a, b) => a.order - b.order);

  async function drop() {
    const sent = await send({ type: 'dropYardPlan', yardPlanId: plan.id });
    if (sent.ok) await navigate('/plan');
  }
  return (
    <Box>
      <PageHeader title={titleOf(plan)} aside={dayInWords(plan.day)}>
        <WorkActions onDrop={() => void drop()} />
      </PageHeader>
      <ProblemList problems={problems} />
      <Flex gap={{ base: 6, lg: 10 }} direction={{ base: 'column', lg: 'row' }} align="flex-start" mt={2}>
        <Box flex="1" w="100%" maxW="46rem">
          <StepList
            steps={steps}
            tick={(step, done) => void send({ type: 'tickYardStep', stepId: step.id, done, day: today })}
          />
        </Box>
        <Box w={{ base: '100%', lg: '300px' }} flex="none" display="grid" gap={6}>
          <KitList kit={plan.body.kit} />
          <Cautions cautions={plan.body.cautions} />
        </Box>
      </Flex>
    </Box>
  );
}

/** What was asked begins with a small letter where it stands in a list; as a title it does not. */
const titleOf = (plan: YardPlan) => plan.name.charAt(0).toUpperCase() + plan.name.slice(1);

function Done({ plan }: { readonly plan: YardPlan }) {
  const apiary = useApiary();
  const changed = new Set([
    ...plan.body.moves.flatMap((m) => [m.fromKey, m.toKey]),
    ...plan.body.shakes.flatMap((s) => [s.fromKey, s.toKey]),
  ]);
  const colonies = plan.body.units
    .filter((u) => u.kind === 'nuc' || changed.has(u.key))
    .flatMap((u) => apiary.colony[u.colonyId] ?? []);
  const due = openFollowUps(apiary).filter((f) =>
    f.colonyIds.some((id) => colonies.some((c) => c.id === id)),
  );
  const next = due.find((f) => f.kind === 'look');
  return (
    <Box>
      <PageHeader title="The work is done" aside={`${titleOf(plan)}: in the records`}>
        <Button asChild variant="outline" bg="sheet" minH="44px">
          <Link to="/follow-ups">All follow-ups</Link>
        </Button>
        <Button asChild minH="44px">
          <Link to="/">Back to the board</Link>
        </Button>
      </PageHeader>
      <Text fontSize="1.25rem" mb={5} maxW="44rem">
        {next ? (
          <>
            Come back on <b>{dayInWords(next.window.likely)}</b> ({dayInWords(next.window.earliest)} to{' '}
            {dayInWords(next.window.latest)}). {next.expect}
          </>
        ) : (
          'No look is due for it.'
        )}{' '}
        {due.length > 1 && `${count(due.length, 'day')} to look or to keep hands off are filed.`}
      </Text>
      <DrawnColonies colonies={colonies} />
    </Box>
  );
}

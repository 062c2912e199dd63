import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { dayInWords, methodById, type Plan } from '@incremen/core';
import { Link, useNavigate, useParams } from 'react-router';
import { RouteError } from '../../app/RouteError.tsx';
import { useApiary, useSend, useToday } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { Cautions } from './Cautions.tsx';
import { KitList } from './KitList.tsx';
import { StepList } from './StepList.tsx';
import { WorkActions } from './WorkActions.tsx';
import { WorkDone } from './WorkDone.tsx';

/** The work at the hives: what to bring, then one step after the other, large enough for a glove. */
export function WorkPage() {
  const apiary = useApiary();
  const { planId = '' } = useParams();
  const plan = apiary.plan[planId];
  if (!plan) return <RouteError missing />;
  return plan.status === 'done' ? <WorkDone plan={plan} /> : <Steps plan={plan} />;
}

function Steps({ plan }: { readonly plan: Plan }) {
  const apiary = useApiary();
  const today = useToday();
  const navigate = useNavigate();
  const { send, problems } = useSend();
  const steps = Object.values(apiary.step)
    .filter((s) => s.planId === plan.id)
    .toSorted((a, b) => a.order - b.order);
  const colony = apiary.colony[plan.colonyId];
  // Work planned for another day is dated by the day on which it is ticked.
  const tick = (step: { readonly id: string }, to: boolean) =>
    void send({ type: 'tickStep', stepId: step.id, done: to, day: today });

  async function drop() {
    const sent = await send({ type: 'dropPlan', planId: plan.id });
    if (sent.ok) await navigate(`/colonies/${plan.colonyId}`);
  }

  if (plan.status === 'dropped') {
    return (
      <Box>
        <PageHeader title={`Work at ${colony?.name ?? ''}`} />
        <Text mb={4}>This plan was dropped. Nothing of it is in the records.</Text>
        <Button asChild>
          <Link to={`/colonies/${plan.colonyId}/plan`}>Plan again</Link>
        </Button>
      </Box>
    );
  }
  return (
    <Box>
      <PageHeader
        title={`Work at ${colony?.name ?? ''}`}
        aside={`${methodById(plan.methodId).name}, ${dayInWords(plan.day)}`}
      >
        <WorkActions onDrop={() => void drop()} />
      </PageHeader>
      <ProblemList problems={problems} />
      <Flex gap={{ base: 6, lg: 10 }} direction={{ base: 'column', lg: 'row' }} align="flex-start" mt={2}>
        <Box flex="1" w="100%" maxW="46rem">
          <StepList steps={steps} tick={tick} />
        </Box>
        <Box w={{ base: '100%', lg: '300px' }} flex="none" display="grid" gap={6}>
          <KitList kit={plan.body.kit} />
          <Cautions cautions={plan.body.cautions} />
          <Box as="section">
            <Heading as="h2" fontSize="1.15rem" mb={2}>
              If it goes wrong
            </Heading>
            <Box as="dl" display="grid" gap={2} fontSize="sm">
              {methodById(plan.methodId).goesWrong.map((g) => (
                <Box key={g.what}>
                  <Text as="dt" fontWeight="600">
                    {g.what}
                  </Text>
                  <Text as="dd" color="inkSoft">
                    {g.wayOut}
                  </Text>
                </Box>
              ))}
            </Box>
          </Box>
        </Box>
      </Flex>
    </Box>
  );
}

import { Box, Button, Heading, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { methodById } from '@incremen/core/split';
import { unitsOfPlan, type Plan } from '@incremen/core/records';
import { useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { RouteError } from '../../ui/RouteError.tsx';
import { useApiary, useSend, useToday } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { WorkActions } from './WorkActions.tsx';
import { WorkProblems } from './WorkProblems.tsx';
import { Worksheet } from './Worksheet.tsx';
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

  async function drop() {
    const sent = await send({ type: 'dropPlan', planId: plan.id });
    if (sent.ok) await navigate(`/colonies/${plan.colonyId}`);
  }

  const goesWrong = useMemo(() => <GoesWrong methodId={plan.methodId} />, [plan.methodId]);
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
        <WorkActions planId={plan.id} onDrop={() => void drop()} />
      </PageHeader>
      <WorkProblems plan={plan} problems={problems} />
      <Worksheet
        planId={plan.id}
        steps={steps}
        units={unitsOfPlan(apiary, plan)}
        reportUnits={plan.body.parts}
        body={plan.body}
        // Work planned for another day is dated by the day on which it is ticked.
        onTick={(tick) => send({ type: 'tickStep', day: today, ...tick })}
      >
        {goesWrong}
      </Worksheet>
    </Box>
  );
}

/** What can go wrong with a method, and the way out. */
function GoesWrong({ methodId }: { readonly methodId: Plan['methodId'] }) {
  return (
    <Box as="section">
      <Heading as="h2" fontSize="1.15rem" mb={2}>
        If it goes wrong
      </Heading>
      <Box as="dl" display="grid" gap={2} fontSize="sm">
        {methodById(methodId).goesWrong.map((g) => (
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
  );
}

import { Box, Button, Text } from '@chakra-ui/react';
import { capital, dayInWords } from '@incremen/core/basics';
import { openFollowUps, unitsOfYardPlan, type YardPlan } from '@incremen/core/records';
import { takeNext } from '@incremen/core/work';
import { Link, useNavigate, useParams } from 'react-router';
import { RouteError } from '../../ui/RouteError.tsx';
import { useApiary, useSend, useToday } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { DrawnColonies } from '../../shared/work/DrawnColonies.tsx';
import { WorkActions } from './WorkActions.tsx';
import { WorkProblems } from './WorkProblems.tsx';
import { Worksheet } from './Worksheet.tsx';

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
        <WorkActions planId={plan.id} onDrop={() => void drop()} />
      </PageHeader>
      <WorkProblems plan={plan} problems={problems} />
      <Worksheet
        planId={plan.id}
        steps={steps}
        units={unitsOfYardPlan(apiary, plan)}
        reportUnits={plan.body.units}
        body={plan.body}
        onTick={(tick) => send({ type: 'tickYardStep', day: today, ...tick })}
        onNext={(id) => void send({ type: 'amendYardPlan', yardPlan: plan, steps: takeNext(steps, id) })}
      />
    </Box>
  );
}

/** What was asked begins with a small letter where it stands in a list; as a title it does not. */
const titleOf = (plan: YardPlan) => capital(plan.name);

function Done({ plan }: { readonly plan: YardPlan }) {
  const apiary = useApiary();
  const colonies = unitsOfYardPlan(apiary, plan).flatMap((u) => apiary.colony[u.colonyId] ?? []);
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

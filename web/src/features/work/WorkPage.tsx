import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { dayInWords, methodById, type Plan, type Step } from '@incremen/core';
import { Check, Printer, ShieldAlert, Undo2 } from 'lucide-react';
import { useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { RouteError } from '../../app/RouteError.tsx';
import { useApiary, useSend, useToday } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { KitList } from './KitList.tsx';
import { WorkDone } from './WorkDone.tsx';

/** Taps closer together than this are one tap. */
const DOUBLE_TAP_MS = 500;

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
  const [dropping, setDropping] = useState(false);
  const steps = Object.values(apiary.step)
    .filter((s) => s.planId === plan.id)
    .toSorted((a, b) => a.order - b.order);
  const current = steps.find((s) => s.doneOn === null);
  const done = steps.filter((s) => s.doneOn !== null);
  const colony = apiary.colony[plan.colonyId];
  const lastTick = useRef(0);
  // Work planned for another day is dated by the day on which it is ticked.
  const tick = (step: Step, to: boolean) => {
    // The button that takes a tick back appears where the tick was: a gloved double tap must not hit it.
    if (!to && performance.now() - lastTick.current < DOUBLE_TAP_MS) return;
    if (to) lastTick.current = performance.now();
    void send({ type: 'tickStep', stepId: step.id, done: to, day: today });
  };

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
        <Button variant="outline" bg="sheet" minH="44px" onClick={() => window.print()}>
          <Printer size={18} aria-hidden /> Print
        </Button>
        {dropping ? (
          <>
            <Button colorPalette="red" minH="44px" onClick={() => void drop()}>
              Drop the plan
            </Button>
            <Button variant="ghost" minH="44px" onClick={() => setDropping(false)}>
              Keep it
            </Button>
          </>
        ) : (
          <Button variant="ghost" minH="44px" onClick={() => setDropping(true)}>
            Drop
          </Button>
        )}
      </PageHeader>
      <ProblemList problems={problems} />
      <Flex gap={{ base: 6, lg: 10 }} direction={{ base: 'column', lg: 'row' }} align="flex-start" mt={2}>
        <Box flex="1" w="100%" maxW="46rem">
          <Flex align="center" gap={3} mb={4}>
            <Box
              flex="1"
              h="10px"
              bg="sunk"
              borderRadius="full"
              overflow="hidden"
              role="progressbar"
              aria-label="Steps done"
              aria-valuemin={0}
              aria-valuemax={steps.length}
              aria-valuenow={done.length}
            >
              <Box
                h="100%"
                bg="accent"
                w={`${(100 * done.length) / steps.length}%`}
                transition="width 150ms"
              />
            </Box>
            <Text fontWeight="700">
              {done.length} of {steps.length}
            </Text>
          </Flex>
          <Box as="ol" listStyleType="none" display="grid" gap={2}>
            {steps.map((step) => (
              <StepRow
                key={step.id}
                step={step}
                current={step.id === current?.id}
                last={done.length === steps.length - 1}
                tick={tick}
              />
            ))}
          </Box>
        </Box>
        <Box w={{ base: '100%', lg: '300px' }} flex="none" display="grid" gap={6}>
          <KitList kit={plan.body.kit} />
          <Box as="section">
            <Flex
              as="h2"
              align="center"
              gap={2}
              fontFamily="heading"
              fontWeight="700"
              fontSize="1.15rem"
              mb={2}
            >
              <ShieldAlert size={20} aria-hidden /> Take care
            </Flex>
            <Box as="ul" listStyleType="none" display="grid" gap={2} fontSize="sm">
              {plan.body.cautions.map((c) => (
                <Box as="li" key={c} pl={3} borderLeftWidth="3px" borderColor="near">
                  {c}
                </Box>
              ))}
            </Box>
          </Box>
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

function StepRow({
  step,
  current,
  last,
  tick,
}: {
  readonly step: Step;
  readonly current: boolean;
  readonly last: boolean;
  readonly tick: (step: Step, to: boolean) => void;
}) {
  const done = step.doneOn !== null;
  return (
    <Flex
      as="li"
      align="center"
      gap={4}
      bg={current ? 'sheet' : 'transparent'}
      borderWidth={current ? '2px' : '1px'}
      borderColor={current ? 'accent' : 'line'}
      borderRadius="xl"
      px={{ base: 3, md: 4 }}
      py={current ? 4 : 2}
      aria-current={current ? 'step' : undefined}
    >
      <Box flex="1">
        <Text
          fontSize={current ? { base: '1.25rem', md: '1.4rem' } : 'md'}
          fontWeight={current ? '700' : '500'}
          lineHeight="1.25"
          {...(done ? { color: 'inkSoft', textDecoration: 'line-through' } : {})}
        >
          {step.text}
        </Text>
        {!done && step.detail && (
          <Text color="inkSoft" mt={current ? 1 : 0}>
            {step.detail}
          </Text>
        )}
      </Box>
      {done ? (
        <Button
          variant="ghost"
          minW="56px"
          minH="48px"
          aria-label={`Not done after all: ${step.text}`}
          onClick={() => tick(step, false)}
        >
          <Undo2 size={20} aria-hidden />
        </Button>
      ) : (
        <Button
          minW={{ base: '64px', md: '96px' }}
          minH={current ? '64px' : '48px'}
          variant={current ? 'solid' : 'outline'}
          {...(current ? {} : { bg: 'sheet' })}
          aria-label={`Done: ${step.text}`}
          onClick={() => tick(step, true)}
        >
          <Check size={current ? 28 : 20} aria-hidden />
          <Box as="span" display={{ base: 'none', md: 'inline' }}>
            {last ? 'Finish' : 'Done'}
          </Box>
        </Button>
      )}
    </Flex>
  );
}

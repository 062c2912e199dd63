import { Box, Button, Field, Flex, Input, Spinner, Text } from '@chakra-ui/react';
import { capital, dayInWords } from '@incremen/core/basics';
import {
  boxName,
  markingColour,
  placeOf,
  type Apiary,
  type Colony,
  type MethodId,
} from '@incremen/core/records';
import { colonyState, isAboutToSwarm, otherYards } from '@incremen/core/colony';
import { METHODS, methodById, splitAnswer, whyNotNow, type WorkedPlan } from '@incremen/core/split';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { RouteError } from '../../ui/RouteError.tsx';
import { useApiary, useSend, useChosenDay, useToday } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { count } from '../../ui/format.ts';
import { useLatest } from '../../ui/useLatest.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { Select } from '../../ui/Select.tsx';
import { WorkDayField } from '../../shared/work/WorkDayField.tsx';
import { DayForetold } from '../../shared/weather/DayForetold.tsx';
import { WaySketch } from '../../drawing/WaySketch.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { PlanPicture } from './PlanPicture.tsx';
import { FoldedLedger } from '../../shared/ledger/FoldedLedger.tsx';
import { Answer } from '../../shared/work/Answer.tsx';
import { usePlan } from './usePlan.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import common from '../../ui/common.module.css';

/** Works out a split of one colony, in the open: method, schools, picture, reasons, rules. */
export function PlanPage() {
  const apiary = useApiary();
  const { colonyId = '' } = useParams();
  const colony = apiary.colony[colonyId];
  if (!colony || colony.endedOn !== null) return <RouteError missing />;
  return <Planner key={colony.id} colony={colony} />;
}

function Planner({ colony }: { readonly colony: Colony }) {
  const apiary = useApiary();
  const today = useToday();
  const navigate = useNavigate();
  const { send, problems, busy } = useSend();
  const state = colonyState(apiary, colony, today);
  const [params] = useSearchParams();
  const [methodId, setMethodId] = useState<MethodId>(
    () =>
      METHODS.find((m) => m.id === params.get('method'))?.id ??
      (isAboutToSwarm(state) ? 'queen-to-nuc' : 'walk-away-halves'),
  );
  // What was said where ways were looked for.
  const [options, setOptions] = useState<Record<string, string>>(() =>
    Object.fromEntries([...params].filter(([id]) => id !== 'method')),
  );
  const [day, setDay] = useChosenDay();
  const [toYardId, setToYardId] = useState('');
  const { yard } = placeOf(apiary, colony);
  const yards = yard ? otherYards(apiary, yard.id) : [];
  const [newName, setNewName] = useState(() => freeName(apiary, colony.name));
  const method = methodById(methodId);
  const notNow = useMemo(
    () => whyNotNow(apiary, colony, day || today, methodId),
    [apiary, colony, day, today, methodId],
  );
  const staysOne = methodId === 'brood-above';
  const planning = usePlan(apiary, {
    colonyId: colony.id,
    methodId,
    day: day || today,
    newName: staysOne ? `the box above ${colony.name}` : newName.trim() || '?',
    options,
    ...(toYardId !== '' && { toYardId }),
  });
  const { plan } = planning;
  const broken = plan?.command.work.body.ledger.filter((l) => l.state === 'broken').length ?? 0;
  const taken = Object.values(apiary.colony).some((c) => c.endedOn === null && c.name === newName.trim());
  const queen = state.queen.state === 'here' ? state.queen.queen : null;
  const colour = queen?.dot ?? (queen?.birthYear ? markingColour(queen.birthYear) : null);

  // Records may change while a finger comes down: what was tapped is done with the plan that follows.
  const [tapped, setTapped] = useState(false);
  const start = useLatest(async (worked: WorkedPlan) => {
    const sent = await send(worked.command);
    if (sent.ok) await navigate(`/worksheet/${worked.command.work.id}`);
  });
  const begun = useRef(false);
  useEffect(() => {
    if (!tapped || planning.busy || !plan || begun.current) return;
    begun.current = true;
    void start(plan).finally(() => {
      begun.current = false;
      setTapped(false);
    });
  }, [tapped, planning.busy, plan, start]);

  return (
    <Box>
      <PageHeader
        title={staysOne ? `Room in ${colony.name}` : `Split ${colony.name}`}
        aside={day ? dayInWords(day) : ''}
      >
        <Button asChild variant="outline" bg="sheet">
          <Link to={`/colonies/${colony.id}`}>Close</Link>
        </Button>
        <Button
          onClick={() => setTapped(true)}
          disabled={!plan || (!staysOne && (taken || newName.trim() === ''))}
          loading={busy || (tapped && planning.busy)}
        >
          {broken > 0 ? `Start all the same (${broken} broken)` : 'Start the work'}
        </Button>
      </PageHeader>
      <Flex gap={6} direction={{ base: 'column', lg: 'row' }} align="flex-start">
        <Box w={{ base: '100%', lg: '238px' }} flex="none" display="grid" gap={4}>
          <Select
            label="Method"
            value={methodId}
            onChange={(id) => setMethodId(id as MethodId)}
            options={METHODS.map((m) => [m.id, m.name] as const)}
          />
          <WaySketch id={methodId} scale={1.3} />
          <Text color="inkSoft" fontSize="sm">
            {method.aim} {method.skips}{' '}
            <Link to={`/colonies/${colony.id}/ways`} className={common.inlineLink}>
              Which way suits?
            </Link>
          </Text>
          <Field.Root invalid={taken || newName.trim() === ''} hidden={staysOne}>
            <Field.Label>Name of the new colony</Field.Label>
            <Input bg="sheet" value={newName} maxLength={80} onChange={(e) => setNewName(e.target.value)} />
            <Field.ErrorText>{taken ? 'Another colony has this name.' : 'It needs a name.'}</Field.ErrorText>
          </Field.Root>
          <Box>
            <WorkDayField day={day || today} today={today} onChange={setDay} />
            <DayForetold day={day || today} onChange={setDay} />
          </Box>
          {options['distance'] === 'away' && yards.length > 1 && (
            <Select
              label="To which yard"
              value={toYardId}
              options={[['', 'said on arrival'] as const, ...yards.map((y) => [y.id, y.name] as const)]}
              onChange={setToYardId}
            />
          )}
          {method.options.map((o) => {
            const value = options[o.id] ?? o.default;
            return (
              <Box key={o.id}>
                <Choice
                  label={o.question}
                  value={value}
                  onChange={(id) => setOptions({ ...options, [o.id]: id })}
                  options={o.schools.map((s) => ({ id: s.id, label: s.label, hint: s.why }))}
                />
                <Text fontSize="sm" color="inkSoft" mt={1}>
                  {o.schools.find((s) => s.id === value)?.why}
                </Text>
              </Box>
            );
          })}
        </Box>
        <Box flex="1" minW={0} w="100%" display="grid" gap={4}>
          <ProblemList problems={[...problems, ...planning.problems]} />
          {planning.problems.some((p) => p.code === 'not-counted' || p.code === 'mostly-unread') && (
            <Button asChild justifySelf="start">
              <Link to={`/colonies/${colony.id}/count`}>Count {colony.name}</Link>
            </Button>
          )}
          {!plan && planning.problems.length === 0 && (
            <Flex role="status" gap={3} align="center">
              <Spinner color="accent" /> Working it out…
            </Flex>
          )}
          {plan && (
            <>
              <Answer>{splitAnswer(plan, methodId)}</Answer>
              {notNow !== null && (
                <Text role="note" color="near" fontWeight="700">
                  The records speak against it. {notNow}
                </Text>
              )}
              <PlanPicture apiary={apiary} plan={plan} queenColour={colour} />
              <Flex gap={7} direction={{ base: 'column', lg: 'row' }} align="flex-start">
                <Box flex="1" minW={0} w="100%">
                  <Moves apiary={apiary} plan={plan} colony={colony} />
                </Box>
                <Rules plan={plan} tookMs={planning.tookMs} />
              </Flex>
            </>
          )}
        </Box>
      </Flex>
    </Box>
  );
}

function Rules({ plan, tookMs }: { readonly plan: WorkedPlan; readonly tookMs: number | null }) {
  const { ledger, countedOn, asked } = plan.command.work.body;
  const projectedDays = asked.source === 'split' ? asked.projectedDays : 0;
  return (
    <Box as="aside" w={{ base: '100%', lg: '310px' }} flex="none">
      <SectionHeading mb={1}>Rules</SectionHeading>
      <FoldedLedger lines={ledger} />
      <Text mt={3} fontSize="sm" color="inkSoft">
        Rests on the count of {dayInWords(countedOn)}
        {projectedDays > 0 && `, carried forward ${count(projectedDays, 'day')}`}.{' '}
        {plan.tried.toLocaleString('en-GB')} choices compared
        {tookMs !== null && ` in ${Math.round(tookMs)} ms`}.
      </Text>
    </Box>
  );
}

function Moves({
  apiary,
  plan,
  colony,
}: {
  readonly apiary: Apiary;
  readonly plan: WorkedPlan;
  readonly colony: Colony;
}) {
  const { parts } = plan;
  const { moves, shakes, newHives } = plan.command.work.body;
  const label = (frameId: string) => plan.frames.find((f) => f.id === frameId)?.label ?? 'the store';
  const carried = moves.filter((m) => m.from !== null && m.from.boxId !== m.to?.boxId);
  const slid = moves.filter((m) => m.from?.boxId === m.to?.boxId).length;
  const filled = moves.length - carried.length - slid;
  const stayBoxes = Object.values(apiary.box).filter((b) => b.hiveId === colony.hiveId);
  const lifted = newHives
    .flatMap((h) => h.boxes)
    .flatMap((b) =>
      b.from === 'old-hive'
        ? [
            boxName(
              stayBoxes.toSorted((x, y) => x.position - y.position),
              b.boxId,
            ),
          ]
        : [],
    );
  const toName = (boxId: string) =>
    parts[1].slots.some((s) => s.boxId === boxId) ? parts[1].name : parts[0].name;
  return (
    <Box as="section">
      <SectionHeading>Moves</SectionHeading>
      <Box as="ol" listStyleType="none" display="grid" gap={2}>
        {lifted.length > 0 && (
          <MoveLine what={`${lifted.join(' and ')} as it stands`} to={parts[1].name}>
            Goes to the new stand with the bees that sit in it.
          </MoveLine>
        )}
        {carried.map((m) => (
          <MoveLine
            key={m.frameId}
            what={label(m.frameId)}
            to={m.to ? `${toName(m.to.boxId)}, slot ${m.to.slot}` : 'the store'}
          >
            {m.reason}
          </MoveLine>
        ))}
        {shakes.map((s) => (
          <MoveLine key={s.frameId} what={`bees of ${label(s.frameId)}`} to={parts[1].name}>
            {s.reason}
          </MoveLine>
        ))}
        {slid > 0 && (
          <MoveLine
            what={`${count(slid, 'frame')} pushed together`}
            to={slid === 1 ? 'its box' : 'their boxes'}
          >
            Brood beside brood, food outside, and no gap for wild comb.
          </MoveLine>
        )}
        {filled > 0 && (
          <MoveLine what={count(filled, 'frame')} to="free slots">
            From the store, drawn comb before foundation.
          </MoveLine>
        )}
        {carried.length === 0 && lifted.length > 0 && (
          <Text color="inkSoft">No frame has to be lifted out: both halves have what they need.</Text>
        )}
      </Box>
    </Box>
  );
}

function MoveLine({
  what,
  to,
  children,
}: {
  readonly what: string;
  readonly to: string;
  readonly children: React.ReactNode;
}) {
  return (
    <Flex
      as="li"
      gap={{ base: 0, md: 4 }}
      direction={{ base: 'column', md: 'row' }}
      borderTopWidth="1px"
      borderColor="line"
      pt={2}
    >
      <Text fontWeight="700" w={{ md: '44%' }} flex="none">
        {capital(what)} → {to}
      </Text>
      <Text color="inkSoft">{children}</Text>
    </Flex>
  );
}

const ROMAN = ['II', 'III', 'IV', 'V', 'VI', 'VII', 'VIII', 'IX', 'X'];

function freeName(apiary: Apiary, name: string): string {
  const taken = new Set(Object.values(apiary.colony).map((c) => c.name));
  const stem = name.replace(/ (II|III|IV|V|VI|VII|VIII|IX|X)$/, '');
  return ROMAN.map((r) => `${stem} ${r}`).find((n) => !taken.has(n)) ?? `${stem} new`;
}

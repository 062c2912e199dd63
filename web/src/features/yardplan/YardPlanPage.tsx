import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  coloniesOfYard,
  placeOf,
  type Apiary,
  newYardPlanRequest,
  NUC_QUEENS,
  NUC_RECIPES,
  STORE_KEY,
  type FramePin,
  type YardGoal,
  type YardPlanRequest,
} from '@incremen/core/records';
import { dayInWords } from '@incremen/core/basics';
import { makeYardPlan, type NucsOnDay } from '@incremen/core/yardplan';
import { Redo2, Undo2 } from 'lucide-react';
import { Suspense, useCallback, useEffect, useMemo, useRef } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useApiary, useOperation, useSend, useToday } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { lazyPart } from '../../ui/lazyPart.tsx';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { Select } from '../../ui/Select.tsx';
import { SquareButton } from '../../ui/SquareButton.tsx';
import { useUndoKeys } from '../../ui/useUndoKeys.ts';
import { FirstGoal } from './FirstGoal.tsx';
import { GoalPanel, makeGoal } from './GoalPanel.tsx';
import { GOAL_KINDS, labelOf } from '../../shared/goals/goalWords.ts';
import { goalColonies, newGoal } from '../../shared/goals/newGoal.ts';
import { HowMany } from './HowMany.tsx';
import {
  asked,
  begun,
  begunFrom,
  dayCome,
  framesGone,
  goalsChanged,
  redone,
  undone,
  type BenchState,
} from '../../state/plannerSlice.ts';
import { useBench } from './useBench.ts';
import { WorkedPlan } from './WorkedPlan.tsx';

const WorkPromises = lazyPart(() => import('../../shared/work/WorkPromises.tsx'));

/** The plan bench: what is wanted for a yard, the best set of moves for it, and all that can be changed. */
export function YardPlanPage() {
  const apiary = useApiary();
  const today = useToday();
  const dispatch = useAppDispatch();
  const [params] = useSearchParams();
  const { now, from } = useAppSelector((s) => s.planner);
  const yards = useMemo(
    () =>
      Object.values(apiary.yard).toSorted(
        (a, b) => coloniesOfYard(apiary, b.id).length - coloniesOfYard(apiary, a.id).length,
      ),
    [apiary],
  );
  const colony = apiary.colony[params.get('colony') ?? ''];
  const wanted = params.get('yard') ?? (colony && placeOf(apiary, colony).yard?.id) ?? null;
  const yardId = yards.find((y) => y.id === wanted)?.id ?? yards[0]?.id;
  const kind = GOAL_KINDS.find((g) => g.kind === params.get('goal'))?.kind;
  const stale = now?.request.yardIds.some((id) => !apiary.yard[id]) ?? false;
  const other = wanted !== null && now !== null && !now.request.yardIds.includes(wanted);
  const gone = useMemo(() => (now ? framesGoneFrom(apiary, now) : []), [apiary, now]);
  const asking = params.toString();
  const isNew = kind !== undefined && from !== asking;
  useEffect(() => {
    if (yardId === undefined) return;
    const day = dayAsked(params.get('day'), today);
    const all = params.get('yards') === 'all';
    const request = newYardPlanRequest(all ? yards.map((y) => y.id) : [yardId], day);
    if (isNew) {
      // Asked for from elsewhere, once: what is changed here must not be undone by coming back.
      dispatch(
        begunFrom({
          from: asking,
          request: {
            ...request,
            goals: goalsFor(kind, colony?.id, apiary, yardId, day).map((g) => asAsked(g, params)),
          },
        }),
      );
    } else if (now === null || stale || other) dispatch(begun(request));
    else if (now.request.day < today) dispatch(dayCome(today));
    else if (gone.length > 0) dispatch(framesGone(gone));
  }, [
    dispatch,
    apiary,
    yardId,
    kind,
    isNew,
    asking,
    params,
    yards,
    colony?.id,
    now,
    stale,
    other,
    today,
    gone,
  ]);
  if (yardId === undefined) {
    return (
      <Box>
        <PageHeader title="Plan" />
        <Text mb={4}>A plan begins with hives on their stands, and a count of their frames.</Text>
        <Button asChild>
          <Link to="/setup">Set up a yard</Link>
        </Button>
      </Box>
    );
  }
  if (now === null || stale || isNew) return null;
  return <BenchView apiary={apiary} request={now.request} placed={now.placed} today={today} />;
}

/** The day that a view elsewhere asks for, where it has not passed. */
const dayAsked = (asked: string | null, today: string): string =>
  asked !== null && /^\d{4}-\d\d-\d\d$/.test(asked) && asked > today ? asked : today;

/** A goal with the number and the queens that a view elsewhere asks for, such as a round of the season. */
function asAsked(goal: YardGoal, params: URLSearchParams): YardGoal {
  if (goal.kind !== 'makeNucs') return goal;
  const many = Number(params.get('count'));
  const queen = NUC_QUEENS.find((q) => q === params.get('queen'));
  return {
    ...goal,
    ...(Number.isInteger(many) && many >= 1 && many <= 120 && { count: many }),
    ...(queen && { recipe: { ...goal.recipe, queen } }),
  };
}

/** Frames on the bench that are not there any more, or are to go to a colony that is not: a plan may be kept for long. */
function framesGoneFrom(apiary: Apiary, { request, placed }: BenchState): string[] {
  const isGone = ({ frameId, to }: FramePin) => {
    const isColony = to !== STORE_KEY && !to.includes('/');
    const hasEnded = isColony && apiary.colony[to]?.endedOn !== null;
    return hasEnded || (apiary.frame[frameId]?.place ?? 'gone') === 'gone';
  };
  const all = [...request.pins, ...request.shaken, ...request.forbids, ...placed];
  return all.filter(isGone).map((p) => p.frameId);
}

/** The goals for one colony that a view elsewhere leads to. */
function goalsFor(
  kind: YardGoal['kind'],
  colonyId: string | undefined,
  apiary: Apiary,
  yardId: string,
  day: string,
): YardGoal[] {
  const goal = newGoal(kind, `${kind}1`, goalColonies(apiary, [yardId], day), day, colonyId);
  // What a nuc is given in its new box comes from neighbours that have too much.
  if (kind === 'hiveUp') return [goal, newGoal('relieve', 'relieve2', [], day)];
  return [goal.kind === 'relieve' && colonyId ? { ...goal, colonyIds: [colonyId] } : goal];
}

function BenchView({
  apiary,
  request,
  placed,
  today,
}: {
  readonly apiary: Apiary;
  readonly request: YardPlanRequest;
  readonly placed: readonly FramePin[];
  readonly today: string;
}) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { units } = useOperation();
  const { send, problems, busy: sending } = useSend();
  const { past, future, names } = useAppSelector((s) => s.planner);
  const undo = past.length > 0 ? () => dispatch(undone()) : null;
  const redo = future.length > 0 ? () => dispatch(redone()) : null;
  useUndoKeys(undo, redo);
  const bench = useBench(apiary, request, placed);
  const { problem, plan, seen } = bench;
  const hasGoals = request.goals.length > 0;
  const yards = Object.values(apiary.yard);
  const nucGoal = request.goals.find((g) => g.kind === 'makeNucs');
  const recipe = nucGoal?.kind === 'makeNucs' ? nucGoal.recipe : NUC_RECIPES[0]?.recipe;

  const worked = useRef<HTMLDivElement>(null);
  const planDay = useCallback(
    (day: NucsOnDay) => {
      if (!recipe) return;
      const goal = request.goals.find((g) => g.kind === 'makeNucs');
      const id = goal?.id ?? 'makeNucs1';
      const nucs = { id, kind: 'makeNucs', count: Math.max(1, day.nucs), recipe, importance: 2 } as const;
      dispatch(asked({ day: day.day, pins: [], forbids: [] }));
      dispatch(
        goalsChanged(goal ? request.goals.map((g) => (g.id === id ? nucs : g)) : [...request.goals, nucs]),
      );
      // The chart stands far below the plan that it leads to.
      worked.current?.scrollIntoView({ behavior: 'smooth' });
    },
    [dispatch, request, recipe],
  );

  const named = useMemo(() => ({ plan, names }), [plan, names]);
  const finished = () =>
    problem && plan
      ? makeYardPlan(
          apiary,
          problem,
          plan,
          {
            names,
            bound: placed.length === 0 ? bench.bound : null,
            name: labelOf(request.goals, apiary, units).slice(0, 80),
          },
          () => crypto.randomUUID(),
        )
      : null;

  async function start() {
    const command = finished();
    if (!command) return;
    const sent = await send(command);
    if (!sent.ok) return;
    await navigate(`/worksheet/${command.work.id}`);
    // The plan stands among the work now; the bench is free for the next.
    dispatch(begun(newYardPlanRequest(request.yardIds, today)));
  }

  const broken = seen?.broken.length ?? 0;
  return (
    <Box>
      <PageHeader
        title={`Plan for ${request.yardIds.map((id) => apiary.yard[id]?.name ?? '').join(' and ')}`}
        aside={dayInWords(request.day)}
      >
        {yards.length > 1 && request.yardIds.length === 1 && (
          <Select
            label="Yard"
            fit
            value={request.yardIds[0] ?? ''}
            options={yards.map((y) => [y.id, y.name])}
            onChange={(id) => dispatch(begun({ ...newYardPlanRequest([id], request.day) }))}
          />
        )}
        <Button asChild variant="outline" bg="sheet">
          <Link to="/season">Season plan</Link>
        </Button>
        <SquareButton label="Undo" disabled={!undo} onClick={() => undo?.()}>
          <Undo2 size={20} aria-hidden />
        </SquareButton>
        <SquareButton label="Redo" disabled={!redo} onClick={() => redo?.()}>
          <Redo2 size={20} aria-hidden />
        </SquareButton>
        <Button disabled={!plan || !hasGoals || broken > 0} loading={sending} onClick={() => void start()}>
          {broken > 0 ? `${count(broken, 'rule')} broken` : 'Start the work'}
        </Button>
      </PageHeader>
      <Flex gap={5} direction={{ base: 'column', lg: 'row' }} align="flex-start">
        <Box w={{ base: '100%', lg: '236px' }} flex="none">
          <GoalPanel apiary={apiary} request={request} problem={problem} />
        </Box>
        <Box
          ref={worked}
          flex="1"
          minW={0}
          w="100%"
          display="grid"
          gridTemplateColumns="minmax(0, 1fr)"
          gap={4}
          scrollMarginTop={4}
        >
          <ProblemList problems={[...problems, ...bench.problems]} />
          {hasGoals ? (
            <>
              <WorkedPlan apiary={apiary} request={request} bench={bench} placed={placed} names={names} />
              {plan && broken === 0 && (
                <Suspense fallback={null}>
                  <WorkPromises of={named} workOf={() => finished()?.work ?? null} />
                </Suspense>
              )}
            </>
          ) : (
            <FirstGoal onGoal={(kind) => dispatch(goalsChanged([makeGoal(kind, request, apiary)]))} />
          )}
          {recipe && !bench.problems.some((p) => p.code.startsWith('recipe-')) && (
            <HowMany
              apiary={apiary}
              request={request}
              recipe={recipe}
              today={today}
              made={
                request.goals.filter((g) => g.kind === 'makeNucs').length === 1 &&
                bench.seen?.broken.length === 0
                  ? { day: request.day, nucs: bench.seen.nucsMade }
                  : null
              }
              onDay={planDay}
            />
          )}
        </Box>
      </Flex>
    </Box>
  );
}

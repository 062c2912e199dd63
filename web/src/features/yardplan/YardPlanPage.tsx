import { Box, Button, Flex, Heading, Spinner, Text } from '@chakra-ui/react';
import { coloniesOfYard, dayInWords, placeOf, type Apiary, type RuleLine } from '@incremen/core';
import {
  alternativeOf,
  evaluate,
  ledgerOf,
  makeYardPlan,
  nothingMoved,
  NUC_RECIPES,
  STORE,
  STORE_KEY,
  whyNotThere,
  type FramePin,
  type NucsOnDay,
  type YardGoal,
  type YardPlanRequest,
} from '@incremen/core/yardplan';
import { Redo2, Undo2 } from 'lucide-react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { useApiary, useOperation, useSend, useToday } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { Select } from '../../ui/Select.tsx';
import { SquareButton } from '../../ui/SquareButton.tsx';
import { toaster } from '../../ui/toaster.tsx';
import { Legend } from '../../drawing/Legend.tsx';
import { RuleLedger } from '../plan/RuleLedger.tsx';
import { Alternatives } from './Alternatives.tsx';
import { benchPicture } from './benchHives.ts';
import { FramePanel } from './FramePanel.tsx';
import { GoalPanel, makeGoal } from './GoalPanel.tsx';
import { GOAL_KINDS, labelOf, newGoal } from './goalWords.ts';
import { HowMany } from './HowMany.tsx';
import type { FrameActs } from './HiveOnBench.tsx';
import { MoveList } from './MoveList.tsx';
import {
  asked,
  begun,
  colonyLeftOut,
  forbidToggled,
  framePlaced,
  goalsChanged,
  nucNamed,
  pinToggled,
  redone,
  solvedAround,
  undone,
} from './plannerSlice.ts';
import { ProofLine } from './ProofLine.tsx';
import { Stage } from './Stage.tsx';
import { useBench, type Bench } from './useBench.ts';
import './bench.css';

/** The plan bench: what is wanted for a yard, the best set of moves for it, and all that can be changed. */
export function YardPlanPage() {
  const apiary = useApiary();
  const today = useToday();
  const dispatch = useAppDispatch();
  const [params, setParams] = useSearchParams();
  const now = useAppSelector((s) => s.planner.now);
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
  const asking = params.toString();
  const taken = useRef<string | null>(null);
  useEffect(() => {
    if (yardId === undefined) return;
    if (kind) {
      if (taken.current === asking) return;
      taken.current = asking;
      // Asked for from elsewhere, once: what is changed here must not be asked for again on the way back.
      dispatch(begun({ ...requestFor(yardId, today), goals: goalsFor(kind, colony?.id, today) }));
      setParams({}, { replace: true });
      return;
    }
    taken.current = null;
    if (now === null || stale || other) dispatch(begun(requestFor(yardId, today)));
  }, [dispatch, setParams, yardId, kind, asking, colony?.id, now, stale, other, today]);
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
  if (now === null || stale || kind) return null;
  return <BenchView apiary={apiary} request={now.request} placed={now.placed} today={today} />;
}

/** The goals for one colony that a view elsewhere leads to. */
function goalsFor(kind: YardGoal['kind'], colonyId: string | undefined, day: string): YardGoal[] {
  const about = colonyId ? [{ id: colonyId, lane: '', slots: 0 }] : [];
  const goal = newGoal(kind, `${kind}1`, about, day);
  // What a nuc is given in its new box comes from neighbours that have too much.
  if (kind === 'hiveUp') return [goal, newGoal('relieve', 'relieve2', [], day)];
  return [goal.kind === 'relieve' && colonyId ? { ...goal, colonyIds: [colonyId] } : goal];
}

function requestFor(yardId: string, day: string): YardPlanRequest {
  return {
    yardIds: [yardId],
    day,
    goals: [],
    nights: 'mild',
    season: 'build-up',
    leftOutIds: [],
    pins: [],
    forbids: [],
    limits: { hives: null, frames: null },
  };
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
  const bench = useBench(apiary, request, placed);
  const { problem, plan, seen } = bench;
  const hasGoals = request.goals.length > 0;
  const yards = Object.values(apiary.yard);
  const nucGoal = request.goals.find((g) => g.kind === 'makeNucs');
  const recipe = nucGoal?.kind === 'makeNucs' ? nucGoal.recipe : NUC_RECIPES[0]?.recipe;

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
    },
    [dispatch, request, recipe],
  );

  async function start() {
    if (!problem || !plan) return;
    const command = makeYardPlan(
      apiary,
      problem,
      plan,
      {
        names,
        bound: placed.length === 0 ? bench.bound : null,
        name: labelOf(request.goals, apiary, units).slice(0, 80),
      },
      () => crypto.randomUUID(),
    );
    const sent = await send(command);
    if (sent.ok) await navigate(`/work/yard/${command.yardPlan.id}`);
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
            onChange={(id) => dispatch(begun({ ...requestFor(id, request.day) }))}
          />
        )}
        <SquareButton label="Undo" disabled={past.length === 0} onClick={() => dispatch(undone())}>
          <Undo2 size={20} aria-hidden />
        </SquareButton>
        <SquareButton label="Redo" disabled={future.length === 0} onClick={() => dispatch(redone())}>
          <Redo2 size={20} aria-hidden />
        </SquareButton>
        {placed.length > 0 && (
          <Button minH="44px" variant="outline" bg="sheet" onClick={() => dispatch(solvedAround())}>
            Work out the rest anew
          </Button>
        )}
        <Button
          minH="44px"
          disabled={!plan || !hasGoals || broken > 0}
          loading={sending}
          onClick={() => void start()}
        >
          {broken > 0 ? `${count(broken, 'rule')} broken` : 'Start the work'}
        </Button>
      </PageHeader>
      <Flex gap={5} direction={{ base: 'column', lg: 'row' }} align="flex-start">
        <Box w={{ base: '100%', lg: '236px' }} flex="none">
          <GoalPanel apiary={apiary} request={request} problem={problem} />
        </Box>
        <Box flex="1" minW={0} w="100%" display="grid" gridTemplateColumns="minmax(0, 1fr)" gap={4}>
          <ProblemList problems={[...problems, ...bench.problems]} />
          {hasGoals ? (
            <Worked apiary={apiary} request={request} bench={bench} placed={placed} names={names} />
          ) : (
            <FirstGoal
              onGoal={(kind) =>
                dispatch(
                  goalsChanged([
                    makeGoal(kind, request, problem, coloniesOfYard(apiary, request.yardIds[0] ?? '')),
                  ]),
                )
              }
            />
          )}
          {recipe && (
            <HowMany apiary={apiary} request={request} recipe={recipe} today={today} onDay={planDay} />
          )}
        </Box>
      </Flex>
    </Box>
  );
}

/** Nothing is asked yet: what could be. */
function FirstGoal({ onGoal }: { readonly onGoal: (kind: (typeof GOAL_KINDS)[number]['kind']) => void }) {
  return (
    <Box>
      <Text fontSize="1.2rem" mb={3}>
        Say what you want of this yard. The best set of frame moves for it is worked out at once.
      </Text>
      <Box
        as="ul"
        listStyleType="none"
        display="grid"
        gap={2}
        gridTemplateColumns="repeat(auto-fill, minmax(220px, 1fr))"
      >
        {GOAL_KINDS.map((g) => (
          <li key={g.kind}>
            <Box
              asChild
              w="100%"
              h="100%"
              minH="76px"
              textAlign="left"
              bg="sheet"
              borderWidth="1px"
              borderRadius="lg"
              px={4}
              py={3}
              cursor="pointer"
              _hover={{ borderColor: 'accent' }}
            >
              <button type="button" onClick={() => onGoal(g.kind)}>
                <Text fontWeight="700" fontSize="1.05rem">
                  {g.title}
                </Text>
                <Text color="inkSoft" fontSize="sm">
                  {g.what}
                </Text>
              </button>
            </Box>
          </li>
        ))}
      </Box>
    </Box>
  );
}

function Worked({
  apiary,
  request,
  bench,
  placed,
  names,
}: {
  readonly apiary: Apiary;
  readonly request: YardPlanRequest;
  readonly bench: Bench;
  readonly placed: readonly FramePin[];
  readonly names: Readonly<Record<string, string>>;
}) {
  const dispatch = useAppDispatch();
  const { problem, plan, seen } = bench;
  const [chosen, setChosen] = useState<string | null>(null);
  const [hover, setHover] = useState<FramePin | null>(null);
  const picture = useMemo(
    () => (problem && plan && seen ? benchPicture(apiary, problem, plan, seen) : null),
    [apiary, problem, plan, seen],
  );
  // While a frame is held over a place the rules answer as if it hung there.
  const tried = useMemo(() => {
    if (!problem || !plan || !hover) return null;
    const i = problem.frames.findIndex((f) => f.id === hover.frameId);
    const unit = hover.to === STORE_KEY ? STORE : problem.units.findIndex((u) => u.key === hover.to);
    if (i < 0) return null;
    const to = [...plan.to];
    to[i] = unit;
    const shakenFor = [...plan.shakenFor];
    if (unit !== problem.frames[i]?.home) shakenFor[i] = null;
    return evaluate(problem, { to, shakenFor });
  }, [problem, plan, hover]);

  if (!problem) return null;
  if (!plan || !seen || !picture) {
    return (
      <Flex role="status" gap={3} align="center">
        <Spinner color="accent" /> Working it out…
      </Flex>
    );
  }
  const nameOf = (unit: number) =>
    unit === STORE ? 'the store' : (names[problem.units[unit]?.key ?? ''] ?? problem.units[unit]?.name ?? '');
  const place = (pin: FramePin) => {
    const frame = problem.frames.find((f) => f.id === pin.frameId);
    const unit = pin.to === STORE_KEY ? STORE : problem.units.findIndex((u) => u.key === pin.to);
    if (!frame || plan.to[frame.index] === unit) return;
    const fault = whyNotThere(frame, unit, problem.units);
    if (fault) {
      toaster.create({ title: fault.message, description: fault.remedy, type: 'error' });
      return;
    }
    dispatch(framePlaced(pin));
  };
  // Where the keyboard can carry a frame: what is there afterwards, and the store.
  const targets = [...picture.after.map((h) => h.unit.key), STORE_KEY];
  const acts: FrameActs = {
    chosen,
    choose: setChosen,
    carrying: hover && {
      frameId: hover.frameId,
      toName: nameOf(problem.units.findIndex((u) => u.key === hover.to)),
    },
    lift: (frameId) => {
      setChosen(frameId);
      setHover({ frameId, to: targets[0] ?? STORE_KEY });
    },
    aim: (step) =>
      setHover((h) => {
        if (!h) return h;
        const at = targets.indexOf(h.to);
        return { ...h, to: targets[(at + step + targets.length) % targets.length] ?? h.to };
      }),
    drop: () => {
      if (hover) place(hover);
      setHover(null);
    },
    cancel: () => setHover(null),
  };
  const frame = problem.frames.find((f) => f.id === chosen);
  const shown = tried ?? seen;
  const lines = ledgerOf(problem, shown).flatMap((l) => l.lines);
  const nothing = nothingMoved(problem).to.every((to, i) => plan.to[i] === to) && picture.after.length === 0;
  return (
    <>
      <ProofLine bench={bench} placed={placed.length} />
      <Flex gap={5} direction={{ base: 'column', xl: 'row' }} align="flex-start">
        <Box flex="1" minW={0} w="100%" display="grid" gridTemplateColumns="minmax(0, 1fr)" gap={3}>
          <Text srOnly role="status">
            {hover
              ? `Held over ${nameOf(hover.to === STORE_KEY ? STORE : problem.units.findIndex((u) => u.key === hover.to))}. ${tried && tried.broken.length > 0 ? `Breaks: ${tried.broken.map((l) => l.label).join(', ')}` : 'No rule is broken.'}`
              : ''}
          </Text>
          {/* Its place is kept: what hangs below must not slip away under the finger. */}
          <Box minH={{ base: 0, md: '152px' }} display="grid">
            {frame ? (
              <FramePanel
                problem={problem}
                plan={plan}
                seen={seen}
                laid={picture.laid}
                frame={frame}
                request={request}
                nameOf={nameOf}
                onPlace={place}
                onPin={(pin) => dispatch(pinToggled(pin))}
                onForbid={(pin) => dispatch(forbidToggled(pin))}
                onClose={() => setChosen(null)}
              />
            ) : (
              <Text color="inkSoft" fontSize="sm" px={3} py={2} bg="sunk" borderRadius="lg">
                Choose a frame to see what is on it, where it goes and why. Drag it into another hive, or take
                it up with Enter; the rules answer while it is held there.
              </Text>
            )}
          </Box>
          {nothing ? (
            <Text>Nothing has to be moved: what you want is there, or nothing can be given for it.</Text>
          ) : (
            <Stage
              problem={problem}
              seen={seen}
              picture={picture}
              acts={acts}
              aimedAt={hover?.to ?? null}
              names={names}
              onName={(key, name) => dispatch(nucNamed({ key, name }))}
              onHover={setHover}
              onPlace={place}
              onLeaveOut={(id) => dispatch(colonyLeftOut(id))}
            />
          )}
          <Legend />
        </Box>
        <Box as="aside" w={{ base: '100%', xl: '262px' }} flex="none">
          <Heading as="h2" fontSize="1.15rem" mb={1}>
            Rules{hover ? ', if it hung there' : ''}
          </Heading>
          <Ledger lines={lines} />
        </Box>
      </Flex>
      <MoveList
        problem={problem}
        plan={plan}
        seen={seen}
        laid={picture.laid}
        request={request}
        nameOf={nameOf}
        choose={setChosen}
        onPin={(pin) => dispatch(pinToggled(pin))}
        onForbid={(pin) => dispatch(forbidToggled(pin))}
      />
      <Alternatives apiary={apiary} request={request} plan={plan} now={alternativeOf(problem, seen)} />
    </>
  );
}

/** The rules that are broken or near, and the rest behind one line: a plan has a dozen for each hive. */
function Ledger({ lines }: { readonly lines: readonly RuleLine[] }) {
  const tight = lines.filter((l) => l.state !== 'met');
  const met = lines.filter((l) => l.state === 'met');
  return (
    <>
      {tight.length === 0 && <Text mb={1}>No rule is broken or near.</Text>}
      <RuleLedger ledger={tight} />
      <details>
        <summary className="bench-summary">{count(met.length, 'rule')} met with room to spare</summary>
        <RuleLedger ledger={met} />
      </details>
    </>
  );
}

import { Box, Flex, Spinner, Text, useMediaQuery } from '@chakra-ui/react';
import { type Apiary, STORE_KEY, type FramePin, type YardPlanRequest } from '@incremen/core/records';
import {
  alternativeOf,
  evaluate,
  ledgerOf,
  nothingMoved,
  STORE,
  whyNotThere,
  yardAnswer,
} from '@incremen/core/yardplan';
import { useMemo, useState } from 'react';
import { useAppDispatch } from '../../state/store.ts';
import { Legend } from '../../drawing/Legend.tsx';
import { toaster } from '../../ui/toaster.tsx';
import { FoldedLedger } from '../../shared/ledger/FoldedLedger.tsx';
import { RoomStill } from './RoomStill.tsx';
import { RuleLedger } from '../../shared/ledger/RuleLedger.tsx';
import { Answer } from '../../shared/work/Answer.tsx';
import { Alternatives } from './Alternatives.tsx';
import { benchPicture } from './benchHives.ts';
import { FramePanel } from './FramePanel.tsx';
import type { FrameActs } from './HiveOnBench.tsx';
import { MoveList } from './MoveList.tsx';
import {
  colonyLeftOut,
  forbidToggled,
  framePlaced,
  nucNamed,
  pinToggled,
  solvedAround,
} from '../../state/plannerSlice.ts';
import { ProofLine } from './ProofLine.tsx';
import { Stage } from './Stage.tsx';
import { withPlaced, type Bench } from './useBench.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

/** A plan on the bench: how good it is, its hives, its moves, its rules, and others beside it. */
export function WorkedPlan({
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
  const [isWide] = useMediaQuery(['(min-width: 1280px)']);
  const picture = useMemo(
    () => (problem && plan && seen ? benchPicture(apiary, problem, plan, seen) : null),
    [apiary, problem, plan, seen],
  );
  // While a frame is held over a place the rules answer as if it hung there.
  const tried = useMemo(() => {
    if (!problem || !plan || !hover) return null;
    return evaluate(problem, withPlaced(problem, plan, [hover]));
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
  const wishes = new Set(problem.units.flatMap((u) => u.rules.filter((r) => !r.hard).map((r) => r.id)));
  const nothing = nothingMoved(problem).to.every((to, i) => plan.to[i] === to) && picture.after.length === 0;
  const inHand = frame ? (
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
      Choose a frame to see what is on it, where it goes and why. Drag it into another hive, or take it up
      with Enter; the rules answer while it is held there.
    </Text>
  );
  return (
    <>
      <Answer>{yardAnswer(problem, plan, seen, nameOf)}</Answer>
      <RoomStill apiary={apiary} request={request} />
      <ProofLine bench={bench} placed={placed.length} onSolve={() => dispatch(solvedAround())} />
      <Flex gap={5} direction={{ base: 'column', xl: 'row' }} align="flex-start">
        <Box flex="1" minW={0} w="100%" display="grid" gridTemplateColumns="minmax(0, 1fr)" gap={3}>
          <Text srOnly role="status">
            {hover
              ? `Held over ${nameOf(hover.to === STORE_KEY ? STORE : problem.units.findIndex((u) => u.key === hover.to))}. ${tried && tried.broken.length > 0 ? `Breaks: ${tried.broken.map((l) => l.label).join(', ')}` : 'No rule is broken.'}`
              : ''}
          </Text>
          {!isWide && <Box minH={{ base: 0, md: '152px' }}>{inHand}</Box>}
          {nothing ? (
            <Box as="section" aria-label="What you want, as it is">
              <RuleLedger ledger={lines.filter((l) => wishes.has(l.id))} />
            </Box>
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
          {/* Beside the hives it may grow: nothing there slips away under the finger. */}
          {isWide && <Box mb={3}>{inHand}</Box>}
          <SectionHeading mb={1}>Rules{hover ? ', if it hung there' : ''}</SectionHeading>
          <FoldedLedger lines={lines} />
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

import { Box, Flex, Text } from '@chakra-ui/react';
import {
  reasonOfMove,
  reasonOfShake,
  STORE,
  type Assignment,
  type Evaluation,
  type LaidMove,
  type LaidOut,
  type YardProblem,
} from '@incremen/core/yardplan';
import { STORE_KEY, type FramePin, type YardPlanRequest } from '@incremen/core/records';
import { Ban, Pin } from 'lucide-react';
import { useMemo } from 'react';
import { count } from '../../ui/format.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import common from '../../ui/common.module.css';

/** Every move with its reason in one line; each can be held, or ruled out. */
export function MoveList({
  problem,
  plan,
  seen,
  laid,
  request,
  nameOf,
  choose,
  onPin,
  onForbid,
}: {
  readonly problem: YardProblem;
  readonly plan: Assignment;
  readonly seen: Evaluation;
  readonly laid: LaidOut;
  readonly request: YardPlanRequest;
  readonly nameOf: (unit: number) => string;
  readonly choose: (frameId: string) => void;
  readonly onPin: (pin: FramePin) => void;
  readonly onForbid: (pin: FramePin) => void;
}) {
  const carried = useMemo(
    () => laid.moves.filter((m) => m.index !== null && m.fromUnit !== m.toUnit),
    [laid],
  );
  // Each weighs the plan up with the next best comb in its place.
  const reasons = useMemo(
    () => new Map(carried.map((m) => [m.frame.id, reasonOfMove(problem, plan, seen, m)])),
    [carried, problem, plan, seen],
  );
  const slid = laid.moves.filter((m) => m.fromUnit === m.toUnit).length;
  const filled = laid.moves.filter((m) => m.index === null).length;
  const missing = laid.unfilled.reduce((a, b) => a + b, 0);
  const keyOf = (unit: number) => (unit === STORE ? STORE_KEY : (problem.units[unit]?.key ?? ''));
  return (
    <Box as="section">
      <SectionHeading mb={1}>Moves</SectionHeading>
      <Box as="ol" listStyleType="none" aria-label="Moves">
        {problem.unions.map((u) => (
          <Line
            key={u.fromId}
            what={`${u.fromName} as it stands → ${nameOf(problem.units.findIndex((x) => x.key === u.intoId))}`}
          >
            Over one sheet of paper, at dusk.
          </Line>
        ))}
        {carried.map((m) => (
          <Line
            key={m.frame.id}
            what={whatOf(m, nameOf)}
            onLook={() => choose(m.frame.id)}
            pinned={request.pins.some((p) => p.frameId === m.frame.id)}
            onPin={() => onPin({ frameId: m.frame.id, to: keyOf(m.toUnit) })}
            onForbid={() => onForbid({ frameId: m.frame.id, to: keyOf(m.toUnit) })}
          >
            {reasons.get(m.frame.id)}
          </Line>
        ))}
        {problem.frames.flatMap((f, i) => {
          const target = plan.shakenFor[i];
          return typeof target === 'number'
            ? [
                <Line
                  key={`s${f.id}`}
                  what={`Bees of ${f.label} → ${nameOf(target)}`}
                  onLook={() => choose(f.id)}
                >
                  {reasonOfShake(problem, seen, i, target)}
                </Line>,
              ]
            : [];
        })}
        {slid > 0 && (
          <Line what={`${count(slid, 'frame')} one or more slots over`}>
            Within their boxes, so that brood hangs beside brood and honey outside.
          </Line>
        )}
        {filled > 0 && (
          <Line what={`${count(filled, 'frame')} from the store → free slots`}>
            Drawn comb before foundation.
          </Line>
        )}
        {missing > 0 && (
          <Line what={`${count(missing, 'slot')} stay empty`}>
            The store has no more combs of that size: make some up before the day.
          </Line>
        )}
      </Box>
    </Box>
  );
}

function whatOf(m: LaidMove, nameOf: (unit: number) => string): string {
  const to = m.toUnit === STORE ? 'the store' : `${nameOf(m.toUnit)}${m.to ? `, slot ${m.to.slot}` : ''}`;
  return `${m.frame.label.charAt(0).toUpperCase()}${m.frame.label.slice(1)} → ${to}`;
}

function Line({
  what,
  children,
  pinned = false,
  onLook,
  onPin,
  onForbid,
}: {
  readonly what: string;
  readonly children: React.ReactNode;
  readonly pinned?: boolean;
  readonly onLook?: () => void;
  readonly onPin?: () => void;
  readonly onForbid?: () => void;
}) {
  return (
    <Flex as="li" gap={2} borderTopWidth="1px" borderColor="line" py={1.5} align="flex-start" fontSize="sm">
      <Box flex="1" minW={0}>
        {onLook ? (
          <button
            type="button"
            style={{ fontWeight: 700, textAlign: 'left', cursor: 'pointer', minHeight: 24 }}
            onClick={onLook}
          >
            {what}
          </button>
        ) : (
          <Text fontWeight="700">{what}</Text>
        )}
        <Text color="inkSoft">{children}</Text>
      </Box>
      {onPin && (
        <button
          type="button"
          className={common.quietButton}
          aria-pressed={pinned}
          aria-label={`Hold: ${what}`}
          title="Hold this move"
          onClick={onPin}
        >
          <Pin size={16} aria-hidden />
        </button>
      )}
      {onForbid && (
        <button
          type="button"
          className={common.quietButton}
          aria-label={`Not this: ${what}`}
          title="Not this move"
          onClick={onForbid}
        >
          <Ban size={16} aria-hidden />
        </button>
      )}
    </Flex>
  );
}

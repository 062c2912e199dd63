import { Box, Flex, Text } from '@chakra-ui/react';
import { CONTENT_CLASSES, CONTENT_NAMES, shareOf, shareOfBees } from '@incremen/core/comb';
import {
  reasonOfMove,
  reasonOfShake,
  STORE,
  whyNotThere,
  type Assignment,
  type Evaluation,
  type LaidOut,
  type YardFrame,
  type YardProblem,
} from '@incremen/core/yardplan';
import { STORE_KEY, type FramePin, type YardPlanRequest } from '@incremen/core/records';
import { Ban, Pin, X } from 'lucide-react';
import { Slat, SLAT } from '../../drawing/Slat.tsx';
import { one } from '../../ui/format.ts';
import { Select } from '../../ui/Select.tsx';
import common from '../../ui/common.module.css';
import keyStyles from '../../ui/Key.module.css';

/** The frame that is looked at: what is on it, where it goes and why, and what can be decided about it. */
export function FramePanel({
  problem,
  plan,
  seen,
  laid,
  frame,
  request,
  nameOf,
  onPlace,
  onPin,
  onForbid,
  onClose,
}: {
  readonly problem: YardProblem;
  readonly plan: Assignment;
  readonly seen: Evaluation;
  readonly laid: LaidOut;
  readonly frame: YardFrame;
  readonly request: YardPlanRequest;
  readonly nameOf: (unit: number) => string;
  readonly onPlace: (pin: FramePin) => void;
  readonly onPin: (pin: FramePin) => void;
  readonly onForbid: (pin: FramePin) => void;
  readonly onClose: () => void;
}) {
  const to = plan.to[frame.index] as number;
  const shaken = plan.shakenFor[frame.index];
  const keyOf = (unit: number) => (unit === STORE ? STORE_KEY : (problem.units[unit]?.key ?? ''));
  const pinned = request.pins.some((p) => p.frameId === frame.id);
  const moves = to !== frame.home;
  const move = laid.moves.find((m) => m.index === frame.index && m.fromUnit !== m.toUnit);
  const forbidden = request.forbids.filter((f) => f.frameId === frame.id);
  const placeInWords = (key: string) => {
    if (key === STORE_KEY) return 'the store';
    const unit = problem.units.find((u) => u.key === key);
    return unit?.kind === 'colony' ? unit.name : 'a nuc of this recipe';
  };
  const goes = moves
    ? `goes to ${nameOf(to)}`
    : typeof shaken === 'number'
      ? `stays; its bees are shaken out for ${nameOf(shaken)}`
      : 'stays where it hangs';
  const reason = move
    ? reasonOfMove(problem, plan, seen, move)
    : typeof shaken === 'number'
      ? reasonOfShake(problem, seen, frame.index, shaken)
      : '';
  const targets = [frame.home, ...problem.units.map((u) => u.index), STORE].filter(
    (u, i, all) =>
      all.indexOf(u) === i &&
      (u === STORE || seen.present[u] || u === frame.home) &&
      whyNotThere(frame, u, problem.units) === null,
  );
  return (
    <Flex
      as="section"
      aria-label="Frame in hand"
      gap={3}
      align="flex-start"
      bg="sunk"
      borderRadius="lg"
      px={3}
      py={2}
      wrap="wrap"
      fontSize="sm"
    >
      <svg width={SLAT.width + 12} height={SLAT.deepHeight + 16} aria-hidden style={{ flex: 'none' }}>
        <Slat reading={frame.reading} x={6} y={6} height={SLAT.deepHeight} />
      </svg>
      <Box flex="1 1 14rem" minW={0}>
        <Text fontWeight="700">
          {frame.label} {goes}
        </Text>
        <Text color="inkSoft">{contentsInWords(frame)}</Text>
        {reason && <Text>{reason}</Text>}
        {forbidden.length > 0 && (
          <Text color="inkSoft">
            Not to {forbidden.map((f) => placeInWords(f.to)).join(', ')}.{' '}
            <button type="button" className={common.linkButton} onClick={() => forbidden.forEach(onForbid)}>
              Allow again
            </button>
          </Text>
        )}
      </Box>
      <Flex gap={2} wrap="wrap" align="center">
        <Select
          label="Send it to"
          fit
          value={keyOf(to)}
          options={targets.map((u) => [
            keyOf(u),
            u === frame.home ? `stays${u === STORE ? ' in the store' : ''}` : `to ${nameOf(u)}`,
          ])}
          onChange={(key) => onPlace({ frameId: frame.id, to: key })}
        />
        <button
          type="button"
          className={keyStyles.key}
          aria-pressed={pinned}
          onClick={() => onPin({ frameId: frame.id, to: keyOf(to) })}
        >
          <Pin size={16} aria-hidden /> {pinned ? 'Held' : 'Hold'}
        </button>
        {moves && (
          <button
            type="button"
            className={keyStyles.key}
            onClick={() => onForbid({ frameId: frame.id, to: keyOf(to) })}
          >
            <Ban size={16} aria-hidden /> Not this
          </button>
        )}
        <button
          type="button"
          className={common.quietButton}
          aria-label="Put the frame out of sight"
          onClick={onClose}
        >
          <X size={18} aria-hidden />
        </button>
      </Flex>
    </Flex>
  );
}

function contentsInWords(frame: YardFrame): string {
  const parts = CONTENT_CLASSES.flatMap((c) => {
    const share = shareOf(frame.reading, c);
    return share >= 0.05 ? [`${one(share)} ${CONTENT_NAMES[c]}`] : [];
  });
  return `${parts.join(', ')}; ${one(shareOfBees(frame.reading))} of bees${frame.hasQueen ? '; the queen is on it' : ''}${frame.liveCells > 0 ? `; ${frame.liveCells} queen cells` : ''}`;
}

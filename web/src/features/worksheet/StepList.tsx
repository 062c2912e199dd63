import { Box, Flex, Text } from '@chakra-ui/react';
import type { Step } from '@incremen/core';
import { Check, Undo2 } from 'lucide-react';
import { memo, useRef } from 'react';
import { useLatest } from '../../ui/useLatest.ts';
import './work.css';

/** What is shown of a step, of whichever plan it is. */
type Ticked = Pick<Step, 'id' | 'text' | 'detail' | 'doneOn'>;

/** Taps closer together than this are one tap. */
const DOUBLE_TAP_MS = 500;

/** The steps of a piece of work, the next one large enough for a glove. */
export function StepList({
  steps,
  tick,
  onLast,
}: {
  readonly steps: readonly Ticked[];
  readonly tick: (step: Ticked, done: boolean) => void;
  /** The last step is to be ticked: the visit is closed first. */
  readonly onLast: (step: Ticked) => void;
}) {
  const current = steps.find((s) => s.doneOn === null);
  const done = steps.filter((s) => s.doneOn !== null);
  const lastTick = useRef(0);
  const isLast = done.length === steps.length - 1;
  // The same for every tick, so that only the rows that change are drawn anew.
  const tap = useLatest((step: Ticked, to: boolean) => {
    // The button that takes a tick back appears where the tick was: a gloved double tap must not hit it.
    if (!to && performance.now() - lastTick.current < DOUBLE_TAP_MS) return;
    if (to) lastTick.current = performance.now();
    if (to && isLast) onLast(step);
    else tick(step, to);
  });
  return (
    <>
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
          <Box h="100%" bg="accent" w={`${(100 * done.length) / steps.length}%`} transition="width 150ms" />
        </Box>
        <Text fontWeight="700">
          {done.length} of {steps.length}
        </Text>
      </Flex>
      <ol className="steps">
        {steps.map((step) => (
          <StepRow key={step.id} step={step} current={step.id === current?.id} last={isLast} tick={tap} />
        ))}
      </ol>
    </>
  );
}

const StepRow = memo(function StepRow({
  step,
  current,
  last,
  tick,
}: {
  readonly step: Ticked;
  readonly current: boolean;
  readonly last: boolean;
  readonly tick: (step: Ticked, to: boolean) => void;
}) {
  const done = step.doneOn !== null;
  // Plain elements: a work of a hundred steps has to open at once on a slow phone.
  return (
    <li className="step" data-done={done || undefined} aria-current={current ? 'step' : undefined}>
      <div className="step-words">
        <p className="step-text">{step.text}</p>
        {!done && step.detail && <p className="step-detail">{step.detail}</p>}
      </div>
      {done ? (
        <button
          type="button"
          className="step-back"
          aria-label={`Not done after all: ${step.text}`}
          onClick={() => tick(step, false)}
        >
          <Undo2 size={20} aria-hidden />
        </button>
      ) : (
        <button
          type="button"
          className="step-done"
          aria-label={`Done: ${step.text}`}
          onClick={() => tick(step, true)}
        >
          <Check size={current ? 28 : 20} aria-hidden />
          <span>{last ? 'Finish' : 'Done'}</span>
        </button>
      )}
    </li>
  );
});

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { Step } from '@incremen/core';
import { Check, Undo2 } from 'lucide-react';
import { useRef } from 'react';

/** What is shown of a step, of whichever plan it is. */
type Ticked = Pick<Step, 'id' | 'text' | 'detail' | 'doneOn'>;

/** Taps closer together than this are one tap. */
const DOUBLE_TAP_MS = 500;

/** The steps of a piece of work, the next one large enough for a glove. */
export function StepList({
  steps,
  tick,
}: {
  readonly steps: readonly Ticked[];
  readonly tick: (step: Ticked, done: boolean) => void;
}) {
  const current = steps.find((s) => s.doneOn === null);
  const done = steps.filter((s) => s.doneOn !== null);
  const lastTick = useRef(0);
  const tap = (step: Ticked, to: boolean) => {
    // The button that takes a tick back appears where the tick was: a gloved double tap must not hit it.
    if (!to && performance.now() - lastTick.current < DOUBLE_TAP_MS) return;
    if (to) lastTick.current = performance.now();
    tick(step, to);
  };
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
      <Box as="ol" listStyleType="none" display="grid" gap={2}>
        {steps.map((step) => (
          <StepRow
            key={step.id}
            step={step}
            current={step.id === current?.id}
            last={done.length === steps.length - 1}
            tick={tap}
          />
        ))}
      </Box>
    </>
  );
}

function StepRow({
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

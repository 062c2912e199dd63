import { Box, Grid, Text } from '@chakra-ui/react';
import type { Box as HiveBox, Problem } from '@incremen/core';
import { useEffect, type Dispatch } from 'react';
import { useSwipeable } from 'react-swipeable';
import type { CountAction, CountDraft } from './countDraft.ts';
import { actionOfKey } from './countKeys.ts';
import { FrameInHand } from './FrameInHand.tsx';
import { drawnCount, FramePicker } from './FramePicker.tsx';
import { Questions } from './Questions.tsx';

/** Frame by frame: three taps or keys each; swipe, arrow or button goes to the next. */
export function FrameMode({
  draft,
  act,
  boxes,
  boxLabel,
  problems,
}: {
  readonly draft: CountDraft;
  readonly act: Dispatch<CountAction>;
  readonly boxes: readonly HiveBox[];
  readonly boxLabel: (boxId: string) => string;
  readonly problems: readonly Problem[];
}) {
  useKeys(draft, act);
  const swipe = useSwipeable({
    onSwipedLeft: () => act({ do: 'go', to: draft.at + 1 }),
    onSwipedRight: () => act({ do: 'go', to: draft.at - 1 }),
    delta: 60,
  });
  return (
    <Box {...swipe} style={{ touchAction: 'pan-y' }}>
      <Grid
        columnGap={{ base: 3, lg: 7 }}
        rowGap={{ base: 2, lg: 3 }}
        templateColumns={{ base: '1fr 128px', md: '200px 300px 1fr', lg: '230px 330px 1fr' }}
        templateRows={{ md: 'auto 1fr' }}
        templateAreas={{
          base: '"strip faces" "marks marks" "ask ask"',
          md: '"strip faces ask" "strip marks ask"',
        }}
        alignItems="start"
      >
        <Box gridArea="strip">
          <FramePicker
            draft={draft}
            boxes={drawnCount(draft, boxes)}
            go={(to) => act({ do: 'go', to })}
            label={boxLabel}
          />
        </Box>
        <FrameInHand draft={draft} act={act} problems={problems} />
        <Questions draft={draft} act={act} />
      </Grid>
      <Text mt={4} color="inkSoft" fontSize="sm" display={{ base: 'none', md: 'block' }}>
        Keys: a letter for what it mostly is, then 1–4 for quarters of the frame, then 0–4 for quarters
        covered with bees. L takes the last reading, P the previous frame, S reads side by side, Q marks the
        queen, U undoes, arrows move.
      </Text>
    </Box>
  );
}

function useKeys(draft: CountDraft, act: Dispatch<CountAction>): void {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const typing =
        e.target instanceof HTMLElement &&
        e.target.closest('input:not([type=radio]), textarea, select, [role=dialog]');
      if (typing || e.ctrlKey || e.metaKey || e.altKey) return;
      const onControl = e.target instanceof HTMLElement && e.target.closest('button, a');
      if (onControl && (e.key === 'Enter' || (e.key.startsWith('Arrow') && onControl.role === 'tab'))) return;
      const action = actionOfKey(draft, e.key);
      if (!action) return;
      e.preventDefault();
      act(action);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [draft, act]);
}

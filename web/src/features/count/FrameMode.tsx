import { Text } from '@chakra-ui/react';
import type { Box as HiveBox } from '@incremen/core/records';
import type { Problem } from '@incremen/core/basics';
import { memo, useCallback, useDeferredValue, type Dispatch } from 'react';
import { useSwipeable } from 'react-swipeable';
import type { CountAction, CountDraft } from '../../shared/counting/countDraft.ts';
import { useCountKeys } from '../../shared/counting/useCountKeys.ts';
import { FrameInHand } from './FrameInHand.tsx';
import { drawnCount, FramePicker } from './FramePicker.tsx';
import { Questions } from '../../shared/counting/Questions.tsx';
import styles from './FrameMode.module.css';

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
  useCountKeys(draft, act);
  // The key that was tapped answers at once; the drawings follow in the next frame.
  const drawn = useDeferredValue(draft);
  const go = useCallback((to: number) => act({ do: 'go', to }), [act]);
  const swipe = useSwipeable({
    onSwipedLeft: () => act({ do: 'step', by: 1 }),
    onSwipedRight: () => act({ do: 'step', by: -1 }),
    delta: 60,
  });
  return (
    <div {...swipe} style={{ touchAction: 'pan-y' }}>
      <div className={styles.grid}>
        <div style={{ gridArea: 'strip' }}>
          <DrawnPicker draft={drawn} boxes={boxes} go={go} label={boxLabel} />
        </div>
        <FrameInHand draft={draft} drawn={drawn} act={act} problems={problems} />
        <Questions draft={draft} act={act} />
      </div>
      {KEYS}
    </div>
  );
}

const DrawnPicker = memo(function DrawnPicker({
  draft,
  boxes,
  go,
  label,
}: {
  readonly draft: CountDraft;
  readonly boxes: readonly HiveBox[];
  readonly go: (to: number) => void;
  readonly label: (boxId: string) => string;
}) {
  return <FramePicker draft={draft} boxes={drawnCount(draft, boxes)} go={go} label={label} />;
});

const KEYS = (
  <Text mt={4} color="inkSoft" fontSize="sm" display={{ base: 'none', md: 'block' }}>
    Keys: a letter for what it mostly is, then 1–4 for quarters of the frame, then 0–4 for quarters covered
    with bees. L takes the last reading, P the previous frame, S reads side by side, Q marks the queen, U
    undoes, arrows move.
  </Text>
);

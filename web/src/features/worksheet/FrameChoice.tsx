import { Box, Text } from '@chakra-ui/react';
import { boxesOfColony, boxName, framesOfColony, readingOf, type PlacedFrame } from '@incremen/core/records';
import { Slat } from '../../drawing/Slat.tsx';
import { useApiary } from '../../mirror/hooks.ts';
import styles from './FrameChoice.module.css';

/** Frames of a colony as they look by the last count, one or several to be chosen: large enough for a glove. */
export function FrameChoice({
  colonyId,
  chosen,
  onToggle,
}: {
  readonly colonyId: string;
  readonly chosen: readonly string[];
  readonly onToggle: (frameId: string) => void;
}) {
  const apiary = useApiary();
  const colony = apiary.colony[colonyId];
  if (!colony) return null;
  const boxes = boxesOfColony(apiary, colony);
  const frames = framesOfColony(apiary, colony);
  return (
    <Box display="grid" gap={2}>
      {boxes.toReversed().map((box) => (
        <Box key={box.id} role="group" aria-label={`Frames of ${colony.name}, ${boxName(boxes, box.id)}`}>
          {boxes.length > 1 && (
            <Text fontSize="sm" fontWeight="600">
              {boxName(boxes, box.id)}
            </Text>
          )}
          <Box display="flex" flexWrap="wrap" gap={1}>
            {frames
              .filter((f) => f.box.id === box.id)
              .map((f) => (
                <button
                  key={f.frame.id}
                  type="button"
                  className={styles.frameKey}
                  aria-pressed={chosen.includes(f.frame.id)}
                  aria-label={`Frame ${f.slot}`}
                  onClick={() => onToggle(f.frame.id)}
                >
                  <FramePicture frame={f} />
                  {f.slot}
                </button>
              ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

/** What was on the frame when it was last read. */
function FramePicture({ frame }: { readonly frame: PlacedFrame }) {
  return (
    <svg viewBox="0 0 20 54" width="20" height="54" aria-hidden>
      <Slat reading={readingOf(frame)} unread={frame.reading === null} x={3.5} y={4} height={42} />
    </svg>
  );
}

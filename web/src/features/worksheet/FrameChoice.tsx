import { Box, Text } from '@chakra-ui/react';
import { boxesOfColony, boxName, framesOfColony } from '@incremen/core';
import { useApiary } from '../../mirror/hooks.ts';

/** Frames of a colony by box and number, one or several of them to be chosen: large enough for a glove. */
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
                  className="frame-key"
                  aria-pressed={chosen.includes(f.frame.id)}
                  aria-label={`Frame ${f.slot}`}
                  onClick={() => onToggle(f.frame.id)}
                >
                  {f.slot}
                </button>
              ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

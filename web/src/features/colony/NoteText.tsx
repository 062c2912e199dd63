import { Box, Text } from '@chakra-ui/react';
import { parseShorthand } from '@incremen/core/shorthand';
import type { FrameReading } from '@incremen/core/comb';
import { HiveDrawing } from '../../drawing/HiveDrawing.tsx';

const PLACES = Array.from({ length: 12 }, (_, i) => ({ box: 1, slot: i + 1, last: null }));

/** A note; frames written in shorthand between square brackets are drawn. */
export function NoteText({ note }: { readonly note: string }) {
  return (
    <Text as="div" color="inkSoft" whiteSpace="pre-line" translate="no">
      {note.split(/(\[[^\]\n]{3,400}\])/).map((piece, i) => {
        const readings = piece.startsWith('[') ? framesIn(piece.slice(1, -1)) : null;
        return readings ? <Frames key={i} readings={readings} text={piece} /> : <span key={i}>{piece}</span>;
      })}
    </Text>
  );
}

/** The frames of a piece of shorthand, or null when it is none. */
function framesIn(text: string): readonly FrameReading[] | null {
  const { readings, problems } = parseShorthand(text, PLACES);
  const read = readings.flatMap((r) => r ?? []);
  return problems.length === 0 && read.length > 0 ? read : null;
}

function Frames({ readings, text }: { readonly readings: readonly FrameReading[]; readonly text: string }) {
  return (
    <Box as="span" display="inline-block" verticalAlign="middle" mx={1}>
      <HiveDrawing
        label={text}
        scale={0.7}
        boxes={[
          {
            id: 'note',
            slots: readings.length,
            sizeId: 'langstroth-deep',
            role: 'brood',
            frames: readings.map((reading, i) => ({ id: String(i), slot: i + 1, reading, blank: 'drawn' })),
          },
        ]}
      />
    </Box>
  );
}

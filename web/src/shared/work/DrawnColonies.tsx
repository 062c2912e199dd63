import { Box, Flex } from '@chakra-ui/react';
import type { Colony } from '@incremen/core/records';
import { Link } from 'react-router';
import { drawnBoxesOf } from '../../drawing/drawnBoxes.ts';
import { HiveDrawing, hiveInWords } from '../../drawing/HiveDrawing.tsx';
import { useApiary } from '../../mirror/hooks.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

/** Colonies as they now stand, side by side. */
export function DrawnColonies({ colonies }: { readonly colonies: readonly Colony[] }) {
  const apiary = useApiary();
  return (
    <Flex gap={8} wrap="wrap" align="flex-end" mb={6}>
      {colonies.map((c) => {
        const boxes = drawnBoxesOf(apiary, c);
        return (
          <Box key={c.id}>
            <SectionHeading mb={1}>
              <Link to={`/colonies/${c.id}`}>{c.name}</Link>
            </SectionHeading>
            <HiveDrawing boxes={boxes} label={hiveInWords(c.name, boxes)} scale={1.3} />
          </Box>
        );
      })}
    </Flex>
  );
}

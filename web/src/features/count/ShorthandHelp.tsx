import { Box, Grid, Text } from '@chakra-ui/react';
import { CELL_LETTERS, CONTENT_LETTERS } from '@incremen/core/shorthand';
import { CONTENT_NAMES } from '@incremen/core/comb';
import { Fragment } from 'react';
import { cellName } from '../../shared/evidence/CellsEditor.tsx';

const MARKS: readonly (readonly [string, string])[] = [
  ['h2 c6', '2 tenths of honey, 6 capped; what is not named is empty comb'],
  ['h2 c', 'a letter without a number takes the rest of the side'],
  ['m  y', 'mixed brood (eggs, open, capped as 3 : 6 : 12); eggs and larvae (1 : 2)'],
  ['*8', '8 tenths covered with bees; left out, as on the frame before'],
  ['h3 c *8 | x *4', 'the first side and the other one; without the bar both are alike'],
  ['q', 'the queen is on it'],
  ['k2c-b', 'two capped queen cells on the bottom edge; -s side edge, -f face'],
  ['k1j@2', 'a cup with a larva two days old'],
  ['=   "   -', 'as the frame before; as last time; not read'],
  [';   //', 'next frame; next box up'],
  ['7:   2/3:', 'go to slot 7; to slot 3 of the second box'],
];

/** The shorthand in one place: letters, marks, examples. */
export function ShorthandHelp() {
  return (
    <Box as="details" mt={2} {...{ open: true }}>
      <Box as="summary" minH="touch" cursor="pointer" fontWeight="600" alignContent="center">
        How to write it
      </Box>
      <Text mb={2}>
        {Object.entries(CONTENT_LETTERS).map(([letter, content]) => (
          <Box as="span" key={letter} mr={4} whiteSpace="nowrap" display="inline-block">
            <b>{letter}</b> {CONTENT_NAMES[content]}
          </Box>
        ))}
      </Text>
      <Grid as="dl" templateColumns="max-content 1fr" columnGap={4} rowGap={1}>
        {MARKS.map(([mark, meaning]) => (
          <Fragment key={mark}>
            <Box as="dt" fontWeight="700" whiteSpace="pre">
              {mark}
            </Box>
            <Box as="dd">{meaning}</Box>
          </Fragment>
        ))}
        <Box as="dt" fontWeight="700">
          {Object.keys(CELL_LETTERS).join(' ')}
        </Box>
        <Box as="dd">kinds of cell: {Object.values(CELL_LETTERS).map(cellName).join(', ')}</Box>
      </Grid>
    </Box>
  );
}

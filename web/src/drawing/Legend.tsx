import { Box, Flex, Text } from '@chakra-ui/react';
import { CONTENT_CLASSES, CONTENT_NAMES, type ContentClass } from '@incremen/core/comb';
import { COMB_INK, combColour, CONTENT_FILL } from './contentStyle.ts';
import { QueenMark } from './Slat.tsx';
import { Term } from './Term.tsx';

/** A patch of one content, for legends and buttons. */
export function Swatch({ content, size = 18 }: { readonly content: ContentClass; readonly size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 18 18" aria-hidden="true" style={{ flex: 'none' }}>
      <rect x="1" y="1" width="16" height="16" rx="3" fill={CONTENT_FILL[content]} stroke={COMB_INK} />
    </svg>
  );
}

/** What the patterns of the comb pictures mean; one legend for all views. */
export function Legend() {
  return (
    <Flex
      as="ul"
      listStyleType="none"
      wrap="wrap"
      columnGap={4}
      rowGap={1}
      aria-label="Legend"
      fontSize="sm"
      color="inkSoft"
    >
      {CONTENT_CLASSES.map((c) => (
        <Flex as="li" key={c} align="center" gap={1.5}>
          <Swatch content={c} />
          <Term word={CONTENT_NAMES[c]}>{CONTENT_NAMES[c]}</Term>
        </Flex>
      ))}
      <Flex as="li" align="center" gap={1.5}>
        <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden="true">
          <rect x="5" y="1" width="8" height="16" rx="3" fill="var(--chakra-colors-halo)" />
        </svg>
        <Text as="span">bees on the frame</Text>
      </Flex>
      <Flex as="li" align="center" gap={1.5}>
        <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden="true">
          <QueenMark x={9} y={9} colour="yellow" />
        </svg>
        <Text as="span">queen, in her year’s colour</Text>
      </Flex>
      <Flex as="li" align="center" gap={1.5}>
        <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden="true">
          <path
            d="M9 3c5 0 6 4.300 4 9c-1.200 2.800-2.500 4.300-4 4.300s-2.800-1.500-4-4.300c-2-4.700-1-9 4-9z"
            fill={combColour('cell')}
            stroke={combColour('cell-line')}
            strokeWidth="1.600"
          />
        </svg>
        <Text as="span">queen cell; filled when capped</Text>
      </Flex>
      <Box as="li" srOnly>
        Bands stand in the order of real comb: stores above, brood below.
      </Box>
    </Flex>
  );
}

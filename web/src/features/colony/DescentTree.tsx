import { Box, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { descentOf, type Descent } from '@incremen/core/colony';
import type { Colony } from '@incremen/core/records';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useApiary } from '../../mirror/hooks.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

const CELL = { width: 148, height: 52, gapX: 44, gapY: 10 } as const;

interface Spot {
  readonly x: number;
  readonly y: number;
}

/** The line of descent as a tree, the oldest at the left. Nothing is drawn for a colony without kin. */
export function DescentTree({ colony }: { readonly colony: Colony }) {
  const apiary = useApiary();
  const descent = useMemo(() => descentOf(apiary, colony), [apiary, colony]);
  if (descent.kin.length < 2) return null;
  const spots = layOut(descent);
  const all = [...spots.values()];
  const width = Math.max(...all.map((s) => s.x)) + CELL.width;
  const height = Math.max(...all.map((s) => s.y)) + CELL.height;
  return (
    <Box as="section">
      <SectionHeading>Descent</SectionHeading>
      <Box overflowX="auto" role="region" aria-label="Line of descent" tabIndex={0} p={1}>
        <Box position="relative" w={`${width}px`} h={`${height}px`}>
          <svg width={width} height={height} aria-hidden="true" style={{ position: 'absolute' }}>
            {descent.lines.map(({ from, to, how }) => {
              const a = spots.get(from);
              const b = spots.get(to);
              if (!a || !b) return null;
              const x1 = a.x + CELL.width;
              const y1 = a.y + CELL.height / 2;
              const y2 = b.y + CELL.height / 2;
              const bend = (b.x - x1) / 2;
              return (
                <path
                  key={`${from}${to}`}
                  d={`M${x1} ${y1}C${x1 + bend} ${y1} ${b.x - bend} ${y2} ${b.x} ${y2}`}
                  fill="none"
                  stroke="var(--chakra-colors-ink-soft)"
                  strokeWidth={1.8}
                  {...(how === 'union' && { strokeDasharray: '5 4' })}
                />
              );
            })}
          </svg>
          {descent.kin.map(({ colony: kin }) => {
            const spot = spots.get(kin.id);
            const here = kin.id === colony.id;
            return spot ? (
              <Box
                key={kin.id}
                asChild
                position="absolute"
                left={`${spot.x}px`}
                top={`${spot.y}px`}
                w={`${CELL.width}px`}
                h={`${CELL.height}px`}
                px={3}
                py={1}
                borderWidth={here ? '2px' : '1px'}
                borderColor={here ? 'accent' : 'line'}
                borderRadius="lg"
                bg={here ? 'accentSoft' : 'sheet'}
                lineHeight="1.25"
              >
                <Link to={`/colonies/${kin.id}`}>
                  <Text as="span" display="block" fontWeight="700" truncate>
                    {kin.name}
                  </Text>
                  <Text as="span" display="block" fontSize="sm" color="inkSoft" truncate>
                    {kin.endedOn
                      ? `ended ${dayInWords(kin.endedOn)}`
                      : `${kin.origin.how === 'split' ? 'split' : 'since'} ${dayInWords(kin.startedOn)}`}
                  </Text>
                </Link>
              </Box>
            ) : null;
          })}
        </Box>
      </Box>
    </Box>
  );
}

/** Generations from left to right, those of one generation under one another. */
function layOut(descent: Descent): Map<string, Spot> {
  const first = Math.min(...descent.kin.map((k) => k.generation));
  const taken = new Map<number, number>();
  return new Map(
    descent.kin.map(({ colony, generation }) => {
      const row = taken.get(generation) ?? 0;
      taken.set(generation, row + 1);
      return [
        colony.id,
        { x: (generation - first) * (CELL.width + CELL.gapX), y: row * (CELL.height + CELL.gapY) },
      ];
    }),
  );
}

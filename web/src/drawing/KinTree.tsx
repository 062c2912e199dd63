import { Box, Text } from '@chakra-ui/react';
import { Link } from 'react-router';

/** One in a line of descent; `generation` grows to the right. */
export interface Kin {
  readonly id: string;
  readonly generation: number;
  readonly title: string;
  readonly below: string;
  readonly to: string;
}

const CELL = { width: 148, height: 52, gapX: 44, gapY: 10 } as const;

interface Spot {
  readonly x: number;
  readonly y: number;
}

/** A line of descent as a tree, the oldest at the left; whose tree it is stands out. */
export function KinTree({
  kin,
  lines,
  hereId,
  label,
}: {
  readonly kin: readonly Kin[];
  readonly lines: readonly { readonly from: string; readonly to: string; readonly isDashed?: boolean }[];
  readonly hereId: string;
  readonly label: string;
}) {
  const spots = layOut(kin);
  const all = [...spots.values()];
  const width = Math.max(...all.map((s) => s.x)) + CELL.width;
  const height = Math.max(...all.map((s) => s.y)) + CELL.height;
  return (
    <Box overflowX="auto" role="region" aria-label={label} tabIndex={0} p={1}>
      <Box position="relative" w={`${width}px`} h={`${height}px`}>
        <svg width={width} height={height} aria-hidden="true" style={{ position: 'absolute' }}>
          {lines.map(({ from, to, isDashed }) => {
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
                {...(isDashed && { strokeDasharray: '5 4' })}
              />
            );
          })}
        </svg>
        {kin.map((one) => {
          const spot = spots.get(one.id);
          const here = one.id === hereId;
          return spot ? (
            <Box
              key={one.id}
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
              <Link to={one.to}>
                <Text as="span" display="block" fontWeight="700" truncate>
                  {one.title}
                </Text>
                <Text as="span" display="block" fontSize="sm" color="inkSoft" truncate>
                  {one.below}
                </Text>
              </Link>
            </Box>
          ) : null;
        })}
      </Box>
    </Box>
  );
}

/** Generations from left to right, those of one generation under one another. */
function layOut(kin: readonly Kin[]): Map<string, Spot> {
  const first = Math.min(...kin.map((k) => k.generation));
  const taken = new Map<number, number>();
  return new Map(
    kin.map(({ id, generation }) => {
      const row = taken.get(generation) ?? 0;
      taken.set(generation, row + 1);
      return [id, { x: (generation - first) * (CELL.width + CELL.gapX), y: row * (CELL.height + CELL.gapY) }];
    }),
  );
}

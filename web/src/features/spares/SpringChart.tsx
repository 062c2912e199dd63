import { Box, Text } from '@chakra-ui/react';
import { atLeast, quantileOf, type Distribution } from '@incremen/core/odds';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

const HIGH = 120;
const WIDE = 18;
const GAP = 4;
/** What is less likely than one in five hundred is not drawn. */
const LEAST = 0.002;

/** What spring may find: a hive for each number of living colonies, as high as it is likely. */
export function SpringChart({ alive, wanted }: { readonly alive: Distribution; readonly wanted: number }) {
  const shown = alive.flatMap((p, n) => (p >= LEAST ? [{ n, p }] : []));
  const most = Math.max(...alive);
  const width = shown.length * (WIDE + GAP);
  const low = quantileOf(alive, 0.1);
  const high = quantileOf(alive, 0.9);
  // Labels stand apart far enough to be read.
  const step = Math.max(1, Math.ceil(shown.length / 16));
  return (
    <Box as="section" aria-label="What spring finds" mt={6}>
      <SectionHeading mb={1}>What spring finds</SectionHeading>
      <Text mb={2}>
        Eight times in ten between {low} and {high} alive of either kind; {wanted} or more in{' '}
        {Math.round(100 * atLeast(alive, wanted))} % of winters.
      </Text>
      <Box overflowX="auto" tabIndex={0} role="group" aria-label="Chances by number alive">
        <svg
          width={width}
          height={HIGH + 26}
          role="img"
          aria-label={shown.map(({ n, p }) => `${n}: ${Math.round(100 * p)} %`).join(', ')}
        >
          {shown.map(({ n, p }, i) => {
            const h = (HIGH * p) / most;
            const x = i * (WIDE + GAP);
            const enough = n >= wanted;
            return (
              <g key={n}>
                <rect
                  x={x}
                  y={HIGH - h}
                  width={WIDE}
                  height={h}
                  rx={3}
                  fill={enough ? 'var(--chakra-colors-accent)' : 'var(--chakra-colors-near)'}
                />
                {/* A roof, so that a bar is a hive. */}
                <path
                  d={`M${x - 1} ${HIGH - h}h${WIDE + 2}`}
                  stroke="var(--chakra-colors-wood)"
                  strokeWidth="3"
                />
                {(i % step === 0 || n === wanted) && (
                  <text
                    x={x + WIDE / 2}
                    y={HIGH + 18}
                    fontSize="13"
                    textAnchor="middle"
                    fontWeight={n === wanted ? 700 : 400}
                    fill="var(--chakra-colors-ink)"
                  >
                    {n}
                  </text>
                )}
              </g>
            );
          })}
        </svg>
      </Box>
    </Box>
  );
}

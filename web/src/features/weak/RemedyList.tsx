import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { dayInWords, type Day } from '@incremen/core/basics';
import type { Remedy } from '@incremen/core/remedies';
import { Link } from 'react-router';
import styles from './RemedyList.module.css';
import common from '../../ui/common.module.css';

const one = (x: number) => x.toFixed(1);

/** "+0.4 colonies, +2.1 frames of bees". */
function gainInWords({ gain, moreBees }: Remedy): string {
  const sign = (x: number) => (x >= 0 ? '+' : '−');
  const colonies =
    Math.abs(gain) < 0.05 ? 'as many colonies' : `${sign(gain)}${one(Math.abs(gain))} colonies`;
  const bees =
    Math.abs(moreBees) < 0.05 ? 'as many bees' : `${sign(moreBees)}${one(Math.abs(moreBees))} frames of bees`;
  return `${colonies}, ${bees}`;
}

/** Ways to help a unit, the best first, each with what it leaves on the day; what must not be done is folded away. */
export function RemedyList({
  colonyId,
  remedies,
  on,
  watching,
  onWatch,
}: {
  readonly colonyId: string;
  readonly remedies: readonly Remedy[];
  readonly on: Day;
  readonly watching: boolean;
  readonly onWatch: () => void;
}) {
  const free = remedies.filter((r) => r.blocked === null);
  const blocked = remedies.filter((r) => r.blocked !== null);
  const most = Math.max(1, ...free.map((r) => r.bees));
  return (
    <Box>
      <Box as="ol" aria-label="What can be done" listStyleType="none" display="grid" gap={3}>
        {free.map((r, i) => (
          <li key={r.id} className={styles.remedy} data-best={i === 0 || undefined}>
            <Box flex="1" minW={0}>
              <Text fontWeight="700" fontSize={i === 0 ? '1.2rem' : '1.05rem'}>
                {r.title}
              </Text>
              <Text color="inkSoft">{r.why}</Text>
              <div className={styles.outcome}>
                <svg viewBox="0 0 100 12" preserveAspectRatio="none" height="12" aria-hidden>
                  <rect width="100" height="12" rx="2" fill="var(--chakra-colors-sunk)" />
                  <rect
                    width={(100 * r.bees) / most}
                    height="12"
                    rx="2"
                    fill={i === 0 ? 'var(--chakra-colors-accent)' : 'var(--chakra-colors-halo)'}
                  />
                </svg>
                <span>
                  {r.bees > 0
                    ? `${one(r.bees)} frames of bees on ${dayInWords(on)}`
                    : 'no longer a separate colony'}
                  ; {gainInWords(r)}
                </span>
              </div>
            </Box>
            {r.id === 'watch' ? (
              <Button
                {...(i === 0 ? {} : { variant: 'outline' as const, bg: 'sheet' })}
                disabled={watching}
                onClick={onWatch}
              >
                {watching ? 'On watch' : 'Put on watch'}
              </Button>
            ) : (
              <Button asChild {...(i === 0 ? {} : { variant: 'outline' as const, bg: 'sheet' })}>
                <Link to={`/colonies/${colonyId}/act/${r.id}`} aria-label={`Work out: ${r.title}`}>
                  Work it out
                </Link>
              </Button>
            )}
          </li>
        ))}
      </Box>
      {blocked.length > 0 && (
        <Box as="details" mt={4}>
          <summary className={common.summary}>Not now, and why ({blocked.length})</summary>
          <Box as="ul" listStyleType="none" display="grid" gap={2} mt={1}>
            {blocked.map((r) => (
              <Flex as="li" key={r.id} direction="column" borderLeftWidth="3px" borderColor="near" pl={3}>
                <Text fontWeight="600">{r.title}</Text>
                <Text color="inkSoft">{r.blocked}</Text>
              </Flex>
            ))}
          </Box>
        </Box>
      )}
    </Box>
  );
}

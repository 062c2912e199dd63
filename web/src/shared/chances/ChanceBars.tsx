import { Box } from '@chakra-ui/react';
import { QUEEN_STATE_WORDS, QUEEN_STATES } from '@incremen/core/rules';
import type { QueenBelief } from '@incremen/core/queen-odds';
import styles from './ChanceBars.module.css';

/** A chance in whole per cent. */
const percent = (p: number) => (p > 0 && p < 0.01 ? 'under 1 %' : `${Math.round(100 * p)} %`);

/** So sure that no further look is asked for. */
export const SETTLED = 0.95;

/** Chances below this are not told one by one. */
const TOLD = 0.03;

/** The chances of the states of a queen, the likeliest first. */
export function ChanceBars({ belief }: { readonly belief: QueenBelief }) {
  const told = QUEEN_STATES.filter((s) => belief.odds[s] >= TOLD).toSorted(
    (a, b) => belief.odds[b] - belief.odds[a],
  );
  return (
    <Box as="ul" aria-label="Chances" listStyleType="none" display="grid" gap={1}>
      {told.map((s) => (
        <li key={s} className={styles.row}>
          <span>{QUEEN_STATE_WORDS[s]}</span>
          <svg viewBox="0 0 100 12" preserveAspectRatio="none" width="100%" height="12" aria-hidden>
            <rect width="100" height="12" rx="2" fill="var(--chakra-colors-sunk)" />
            <rect
              width={100 * belief.odds[s]}
              height="12"
              rx="2"
              fill={s === belief.leading ? 'var(--chakra-colors-accent)' : 'var(--chakra-colors-halo)'}
            />
          </svg>
          <b>{percent(belief.odds[s])}</b>
        </li>
      ))}
    </Box>
  );
}

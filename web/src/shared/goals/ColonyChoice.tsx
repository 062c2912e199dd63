import { Box } from '@chakra-ui/react';
import type { Choosable } from './GoalCard.tsx';
import styles from './ColonyChoice.module.css';

/** Which colonies a goal is about: all that it fits, or those that are named one by one. */
export function ColonyChoice({
  label,
  all,
  colonies,
  chosen,
  onChange,
}: {
  readonly label: string;
  /** What is meant when none is named; null when one at least has to be. */
  readonly all: string | null;
  readonly colonies: readonly Choosable[];
  readonly chosen: readonly string[];
  readonly onChange: (ids: string[]) => void;
}) {
  const toggle = (id: string) => {
    // One that is gone has no button here: it is let go with the next choice.
    const there = chosen.filter((c) => colonies.some((known) => known.id === c));
    const next = there.includes(id) ? there.filter((c) => c !== id) : [...there, id];
    if (all !== null || next.length > 0) onChange(next);
  };
  return (
    <Box
      role="group"
      aria-label={label}
      display="flex"
      flexWrap="wrap"
      gap={1}
      maxH="max(20rem, 45vh)"
      overflowY="auto"
      p="3px"
      mx="-3px"
    >
      {all !== null && (
        <button
          type="button"
          className={styles.chip}
          aria-pressed={chosen.length === 0}
          onClick={() => onChange([])}
        >
          {all}
        </button>
      )}
      {colonies.map((c) => (
        <button
          key={c.id}
          type="button"
          className={styles.chip}
          aria-pressed={chosen.includes(c.id)}
          onClick={() => toggle(c.id)}
        >
          {c.name}
        </button>
      ))}
    </Box>
  );
}

import type { ReactNode } from 'react';
import { onTap } from './onTap.ts';
import clsx from 'clsx';
import styles from './Key.module.css';

/** A large plain button for the field; see Key.module.css. */
export function Key({
  label,
  on,
  expanded,
  lit = false,
  disabled = false,
  size = 'mark',
  onClick,
  children,
}: {
  /** Its name, where what it shows does not say enough. */
  readonly label?: string | undefined;
  /** Whether it is chosen; leave out for what is no choice. */
  readonly on?: boolean | undefined;
  /** Whether what it opens is open, for a button that opens something. */
  readonly expanded?: boolean | undefined;
  /** Whether it answers the question that is asked now. */
  readonly lit?: boolean;
  readonly disabled?: boolean;
  readonly size?: 'answer' | 'wide' | 'mark' | 'large';
  readonly onClick: () => void;
  readonly children: ReactNode;
}) {
  return (
    <button
      type="button"
      className={clsx(styles.key, styles[size])}
      data-lit={lit || undefined}
      data-on={(expanded !== undefined && on) || undefined}
      disabled={disabled}
      aria-label={label}
      aria-pressed={expanded === undefined ? on : undefined}
      aria-expanded={expanded}
      {...onTap(disabled ? undefined : onClick)}
    >
      {children}
    </button>
  );
}

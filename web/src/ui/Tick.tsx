import type { FocusEventHandler } from 'react';
import styles from './Tick.module.css';

/**
 * A thing to be ticked off.
 *
 * @param called - its name where the words alone leave open what they are about: `E1: lid on`
 * @param on - what it lies on where it is a field of its own, in large letters; a plain line if left out
 */
export function Tick({
  label,
  checked,
  onChange,
  onBlur,
  called,
  on,
}: {
  readonly label: string;
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly onBlur?: FocusEventHandler;
  readonly called?: string;
  readonly on?: 'sheet' | 'sunk';
}) {
  return (
    <label className={styles.row} data-on={on}>
      <input
        type="checkbox"
        aria-label={called}
        checked={checked}
        onChange={(e) => onChange(e.target.checked)}
        onBlur={onBlur}
      />
      {label}
    </label>
  );
}

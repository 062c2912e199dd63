import { Minus, Plus } from 'lucide-react';
import { useId } from 'react';
import clsx from 'clsx';
import common from './common.module.css';
import styles from './Stepper.module.css';
import keyStyles from './Key.module.css';

/** A number that goes up and down by steps, or is typed. */
export function Stepper({
  label,
  value,
  min,
  max,
  step = 1,
  unit,
  bare = false,
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step?: number;
  readonly unit?: string;
  /** Its name stands beside it already, and is for readers only. */
  readonly bare?: boolean;
  readonly onChange: (value: number) => void;
}) {
  const id = useId();
  const within = (n: number) => Math.min(max, Math.max(min, Math.round(n / step) * step));
  const set = (n: number) => {
    const next = Number(within(n).toFixed(2));
    if (Number.isFinite(next) && next !== value) onChange(next);
  };
  return (
    <div className={styles.stepper}>
      <label htmlFor={id} className={bare ? common.forReaders : undefined}>
        {label}
      </label>
      <span className={styles.keys}>
        <button
          type="button"
          className={clsx(keyStyles.key, keyStyles.keyMark, common.noPrint)}
          aria-label={`Less: ${label}`}
          disabled={value <= min}
          onClick={() => set(value - step)}
        >
          <Minus size={16} aria-hidden />
        </button>
        <input
          id={id}
          inputMode="decimal"
          className={styles.value}
          key={value}
          defaultValue={value}
          onBlur={(e) => {
            set(Number(e.target.value.replace(',', '.')));
            // What is no number, or one that is not allowed, does not stay in sight beside another that holds.
            e.target.value = String(value);
          }}
          onKeyDown={(e) => {
            if (e.key === 'Enter') set(Number(e.currentTarget.value.replace(',', '.')));
            if (e.key === 'ArrowUp') set(value + step);
            if (e.key === 'ArrowDown') set(value - step);
          }}
        />
        <button
          type="button"
          className={clsx(keyStyles.key, keyStyles.keyMark, common.noPrint)}
          aria-label={`More: ${label}`}
          disabled={value >= max}
          onClick={() => set(value + step)}
        >
          <Plus size={16} aria-hidden />
        </button>
        {unit && <span className={styles.unit}>{unit}</span>}
      </span>
    </div>
  );
}

import { useId, type ReactNode } from 'react';
import { fingers } from './onTap.ts';
import styles from './Choice.module.css';
import common from './common.module.css';

/** One of a few answers, all of them in sight. Arrow keys move between them as in any radio group. */
export function Choice<T extends string>({
  label,
  shown = label,
  options,
  value,
  onChange,
  hideLabel = false,
  columns = false,
}: {
  readonly label: string;
  /** What the label reads on screen, where its full name would repeat what stands above. */
  readonly shown?: string;
  readonly options: readonly {
    readonly id: T;
    readonly label: ReactNode;
    readonly hint?: string;
    /** Chosen without standing out: an answer that says nothing. */
    readonly quiet?: boolean;
  }[];
  readonly value: T | null;
  readonly onChange: (id: T) => void;
  readonly hideLabel?: boolean;
  readonly columns?: boolean;
}) {
  const name = useId();
  return (
    <fieldset aria-label={label}>
      <legend className={hideLabel ? common.forReaders : styles.choicesLegend}>{shown}</legend>
      <div className={styles.choices} data-columns={columns || undefined}>
        {options.map((o) => {
          const chosen = value === o.id;
          return (
            <label
              key={o.id}
              className={styles.choice}
              title={o.hint}
              {...fingers(() => onChange(o.id))}
              data-chosen={chosen ? (o.quiet ? 'quiet' : 'plain') : undefined}
            >
              <input type="radio" name={name} value={o.id} checked={chosen} onChange={() => onChange(o.id)} />
              {o.label}
            </label>
          );
        })}
      </div>
    </fieldset>
  );
}

import styles from './Select.module.css';
/** One of many, in the browser's own list. */
export function Select({
  label,
  value,
  options,
  onChange,
  fit = false,
}: {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [id: string, name: string])[];
  readonly onChange: (value: string) => void;
  /** Only as wide as its words. */
  readonly fit?: boolean;
}) {
  return (
    <select
      className={styles.select}
      data-fit={fit || undefined}
      aria-label={label}
      value={value}
      onChange={(e) => onChange(e.target.value)}
    >
      {options.map(([id, name]) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}

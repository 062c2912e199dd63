import type { LucideIcon } from 'lucide-react';
import styles from './IconKeys.module.css';

/** Large keys with a picture, of which one is chosen: what happened, what was done. */
export function IconKeys<T extends string>({
  label,
  keys,
  chosen,
  onChoose,
}: {
  readonly label: string;
  readonly keys: readonly { readonly id: T; readonly name: string; readonly icon: LucideIcon }[];
  readonly chosen: T | undefined;
  readonly onChoose: (id: T) => void;
}) {
  return (
    <div className={styles.keys} role="group" aria-label={label}>
      {keys.map(({ id, name, icon: Icon }) => (
        <button
          key={id}
          type="button"
          className={styles.key}
          aria-pressed={chosen === id}
          onClick={() => onChoose(id)}
        >
          <Icon size={24} aria-hidden />
          {name}
        </button>
      ))}
    </div>
  );
}

import type { ReactNode } from 'react';
import { Choice } from '../../ui/Choice.tsx';
import styles from './Question.module.css';

/** The three answers that are kept apart for everything that can be seen. */
export type Looked = 'notLooked' | 'notFound' | 'found';

const THREE: readonly { id: Looked; label: string; hint?: string; quiet?: boolean }[] = [
  { id: 'found', label: 'Found' },
  { id: 'notFound', label: 'None', hint: 'Looked for and not there' },
  { id: 'notLooked', label: 'Not looked', quiet: true },
];

/** A question with its answer and what more is asked when something was found. */
export function Question({
  title,
  hint,
  children,
}: {
  readonly title: string;
  readonly hint?: string;
  readonly children: ReactNode;
}) {
  return (
    <div>
      <div className={styles.title}>{title}</div>
      {hint && <div className={styles.hint}>{hint}</div>}
      {children}
    </div>
  );
}

/** Found, none, or not looked. */
export function ThreeAnswers({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: Looked;
  readonly onChange: (look: Looked) => void;
}) {
  return <Choice hideLabel label={label} value={value} onChange={onChange} options={THREE} />;
}

/** What more is asked once something was found. */
export function Further({ children }: { readonly children: ReactNode }) {
  return <div className={styles.further}>{children}</div>;
}

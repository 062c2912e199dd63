import { markOf } from './marks.ts';
import styles from './UnitMark.module.css';

/** The mark of a unit, as it also stands on its lid. */
export function UnitMark({ at, large = false }: { readonly at: number; readonly large?: boolean }) {
  const { letter, colour } = markOf(at);
  return (
    <span className={styles.mark} data-large={large || undefined} style={{ background: colour }} aria-hidden>
      {letter}
    </span>
  );
}

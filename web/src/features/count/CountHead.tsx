import { Save, Undo2 } from 'lucide-react';
import { memo, useEffect } from 'react';
import { Key } from '../../ui/Key.tsx';
import { ModeTabs, type Mode } from './ModeTabs.tsx';
import clsx from 'clsx';
import styles from './CountHead.module.css';
import keyStyles from '../../ui/Key.module.css';

const UNDO = <Undo2 size={20} aria-hidden />;
const SAVE = <Save size={20} aria-hidden />;

/** The head of the recorder: which frame is in hand, the ways to count, undo and save. Drawn at every tap. */
export const CountHead = memo(function CountHead({
  title,
  inHand,
  mode,
  onMode,
  onUndo,
  onSave,
  saveLabel,
  saveCount,
  canSave,
  busy,
}: {
  readonly title: string;
  readonly inHand: string | undefined;
  readonly mode: Mode;
  readonly onMode: (mode: Mode) => void;
  /** Null when there is nothing to go back to. */
  readonly onUndo: (() => void) | null;
  readonly onSave: () => void;
  readonly saveLabel: string;
  /** Stands for the label on a narrow screen. */
  readonly saveCount: number;
  readonly canSave: boolean;
  readonly busy: boolean;
}) {
  useEffect(() => {
    document.title = `${title} · Incremen`;
  }, [title]);
  return (
    <header className={styles.head}>
      <h1>{title}</h1>
      <div className={styles.verbs}>
        <Key label="Undo" disabled={onUndo === null} onClick={() => onUndo?.()}>
          {UNDO}
        </Key>
        <button
          type="button"
          className={clsx(keyStyles.key, styles.save)}
          aria-label={saveLabel}
          disabled={!canSave || busy}
          onClick={onSave}
        >
          {SAVE}
          <span className={styles.saveLabel}>{busy ? 'Saving…' : saveLabel}</span>
          <span className={styles.saveShort}>
            {busy ? 'Saving…' : saveCount > 0 ? `Save ${saveCount}` : 'Save'}
          </span>
        </button>
      </div>
      <ModeTabs mode={mode} onMode={onMode} />
      <span className={styles.inHand}>{inHand}</span>
    </header>
  );
});

import type { PadState } from '@incremen/core/callout';
import { Slat } from '../../drawing/Slat.tsx';
import styles from './FramesLeft.module.css';

const BLANK = {
  v: 1,
  sides: [
    { contents: {}, bees: 0 },
    { contents: {}, bees: 0 },
  ],
  queenSeen: false,
  cells: [],
  estimated: true,
} as const;

/** What is still in the boxes, by the last count; a tap takes another frame in hand. */
export function FramesLeft({
  state,
  inHand,
  onTake,
}: {
  readonly state: PadState;
  readonly inHand: string | null;
  readonly onTake: (frameId: string) => void;
}) {
  return (
    <ul className={styles.left} aria-label="Still to be called">
      {state.left.map((l) => (
        <li key={l.frameId}>
          <button
            type="button"
            aria-pressed={l.frameId === inHand}
            aria-label={l.label}
            title={l.label}
            onClick={() => onTake(l.frameId)}
          >
            <svg viewBox="0 0 20 62" width="20" height="62" aria-hidden>
              <Slat reading={l.counted ?? BLANK} unread={l.counted === null} x={3.5} y={4} height={50} />
            </svg>
          </button>
        </li>
      ))}
    </ul>
  );
}

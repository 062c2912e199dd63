import type { CallOut, CallOutChange } from '@incremen/core/records';
import type { PadState } from '@incremen/core/callout';
import { memo } from 'react';
import { CalledList } from './CalledList.tsx';
import { FramesLeft } from './FramesLeft.tsx';
import { QueenLine } from './QueenLine.tsx';
import { UnitTile } from './UnitTile.tsx';
import styles from './PadSide.module.css';
import quietKeyStyles from './quietKey.module.css';

/** Beside the frame in hand: units as they fill, queens, what is left and what was called. Taps on the frame leave it alone. */
export const PadSide = memo(function PadSide({
  callOut,
  state,
  inHand,
  onTake,
  onChange,
  onDrop,
}: {
  readonly callOut: CallOut;
  readonly state: PadState;
  readonly inHand: string | null;
  readonly onTake: (frameId: string) => void;
  readonly onChange: (change: CallOutChange) => void;
  readonly onDrop: () => void;
}) {
  const { units, givers, calls } = callOut.body;
  return (
    <section className={styles.side} aria-label="Units">
      <ul className={styles.units}>
        {units.map((u, i) => (
          <UnitTile
            key={u.key}
            callOut={callOut}
            unit={u}
            at={i}
            rules={state.rules}
            totals={state.totals[givers.length + i]}
            onClose={(closed) => onChange({ what: 'close-unit', key: u.key, closed })}
          />
        ))}
      </ul>
      <QueenLine callOut={callOut} onChange={onChange} />
      {state.left.length > 0 && (
        <>
          <h2 className={styles.heading}>Still in the boxes</h2>
          <FramesLeft state={state} inHand={inHand} onTake={onTake} />
        </>
      )}
      {calls.length > 0 && (
        <>
          <h2 className={styles.heading}>Called</h2>
          <CalledList callOut={callOut} state={state} onChange={onChange} />
        </>
      )}
      <button type="button" className={quietKeyStyles.quietKey} onClick={onDrop}>
        Give the break-up up: frames hang where they hung
      </button>
    </section>
  );
});

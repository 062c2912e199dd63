import type { CallOut, CallPlace } from '@incremen/core/records';
import type { PadAdvice } from '@incremen/core/callout';
import { memo } from 'react';
import { onTap } from '../../ui/onTap.ts';
import { UnitMark } from './UnitMark.tsx';
import clsx from 'clsx';
import styles from './PadAnswer.module.css';

/** Where the frame in hand goes: large, in the mark of the unit, with the other places beside it. */
export const PadAnswer = memo(function PadAnswer({
  callOut,
  advice,
  waiting,
  onPlace,
}: {
  readonly callOut: CallOut;
  readonly advice: readonly PadAdvice[];
  /** What to do while nothing is known of the frame. */
  readonly waiting: string;
  readonly onPlace: (to: CallPlace) => void;
}) {
  const [best, ...others] = advice;
  if (!best) return <p className={clsx(styles.answer, styles.waiting)}>{waiting}</p>;
  return (
    <div className={styles.answer} role="group" aria-label="Where it goes">
      <button type="button" className={styles.best} {...onTap(() => onPlace(best.to))}>
        <Where callOut={callOut} to={best.to} large />
        <span className={styles.why}>{best.why}</span>
        <KeyHint of="Enter" />
      </button>
      {others.length > 0 && (
        <div className={styles.others}>
          {others.map((o, i) => (
            <button
              key={keyOf(o.to)}
              type="button"
              className={styles.other}
              aria-label={wordsOf(callOut, o.to)}
              title={`${o.behind.toFixed(0)} points behind, of which 100 are a frame of brood. ${o.why}`}
              {...onTap(() => onPlace(o.to))}
            >
              <Where callOut={callOut} to={o.to} />
              {i < KEYS - 1 && <KeyHint of={`⇧ ${i + 2}`} />}
            </button>
          ))}
        </div>
      )}
    </div>
  );
});

/** So many places have a key of their own. */
const KEYS = 9;

/** The key on a keyboard that does the same; screen readers have the button. */
const KeyHint = ({ of }: { readonly of: string }) => (
  <kbd className={styles.key} aria-hidden>
    {of}
  </kbd>
);

function wordsOf(callOut: CallOut, to: CallPlace): string {
  if (to.at === 'home') return 'It stays';
  if (to.at === 'aside') return 'Lay it aside';
  return `To ${callOut.body.units.find((u) => u.key === to.key)?.name ?? ''}, slot ${to.slot}`;
}

const keyOf = (to: CallPlace) => (to.at === 'unit' ? to.key : to.at);

function Where({
  callOut,
  to,
  large = false,
}: {
  readonly callOut: CallOut;
  readonly to: CallPlace;
  readonly large?: boolean;
}) {
  if (to.at !== 'unit') return <b>{to.at === 'home' ? 'Stays' : 'Aside'}</b>;
  const at = callOut.body.units.findIndex((u) => u.key === to.key);
  const unit = callOut.body.units[at];
  return (
    <b className={styles.where}>
      <UnitMark at={at} large={large} />
      <span>
        {unit?.name}
        <span className={styles.slot}> · slot {to.slot}</span>
      </span>
    </b>
  );
}

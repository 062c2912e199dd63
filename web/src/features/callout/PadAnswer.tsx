import type { CallOut, CallPlace } from '@incremen/core/records';
import type { PadAdvice } from '@incremen/core/callout';
import { memo } from 'react';
import { onTap } from '../../ui/onTap.ts';
import { UnitMark } from './UnitMark.tsx';

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
  if (!best) return <p className="pad-answer pad-waiting">{waiting}</p>;
  return (
    <div className="pad-answer" role="group" aria-label="Where it goes">
      <button type="button" className="pad-best" {...onTap(() => onPlace(best.to))}>
        <Where callOut={callOut} to={best.to} large />
        <span className="pad-why">{best.why}</span>
      </button>
      {others.length > 0 && (
        <div className="pad-others">
          {others.map((o) => (
            <button
              key={keyOf(o.to)}
              type="button"
              className="pad-other"
              aria-label={wordsOf(callOut, o.to)}
              title={`${o.behind.toFixed(0)} points behind, of which 100 are a frame of brood. ${o.why}`}
              {...onTap(() => onPlace(o.to))}
            >
              <Where callOut={callOut} to={o.to} />
            </button>
          ))}
        </div>
      )}
    </div>
  );
});

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
    <b className="pad-where">
      <UnitMark at={at} large={large} />
      <span>
        {unit?.name}
        <span className="pad-slot"> · slot {to.slot}</span>
      </span>
    </b>
  );
}

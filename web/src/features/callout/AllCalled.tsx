import { Button } from '@chakra-ui/react';
import type { CallOut } from '@incremen/core';
import { padCorrection, type CallOutChange, type PadState } from '@incremen/core/callout';
import { count } from '../../ui/format.ts';

/** Nothing is left in the boxes: what lies aside, and the exchange that would help most. */
export function AllCalled({
  callOut,
  state,
  onChange,
}: {
  readonly callOut: CallOut;
  readonly state: PadState;
  readonly onChange: (change: CallOutChange) => void;
}) {
  const better = padCorrection(state);
  const nameOf = (callId: string) => {
    const to = callOut.body.calls.find((c) => c.id === callId)?.to;
    return to?.at === 'unit'
      ? `${callOut.body.units.find((u) => u.key === to.key)?.name ?? ''}, slot ${to.slot}`
      : 'a frame of the giver';
  };
  return (
    <div className="pad-answer pad-waiting">
      <p>
        {state.aside.length > 0
          ? `${count(state.aside.length, 'frame')} aside: give each a place in the list of what was called.`
          : 'Every frame is called.'}
      </p>
      {better && (
        <>
          <p>
            {better.withId
              ? `Exchange ${nameOf(better.callId)} and ${nameOf(better.withId)}`
              : `Move ${nameOf(better.callId)}`}
            : worth {(better.gain / 100).toFixed(1)} frames of brood.
          </p>
          <Button
            minH="52px"
            onClick={() =>
              onChange(
                better.withId
                  ? { what: 'exchange', callId: better.callId, withId: better.withId }
                  : { what: 'place', callId: better.callId, to: better.to },
              )
            }
          >
            Done so
          </Button>
        </>
      )}
    </div>
  );
}

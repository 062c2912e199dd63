import { Button } from '@chakra-ui/react';
import { frameInWords, type CallOut, type CallOutChange } from '@incremen/core/records';
import { advise, padCorrection, type PadState, untidyUnits } from '@incremen/core/callout';
import { useApiary } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { PadAnswer } from './PadAnswer.tsx';
import clsx from 'clsx';
import frameNameStyles from './frameName.module.css';
import padAnswerStyles from './PadAnswer.module.css';

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
  const apiary = useApiary();
  const better = padCorrection(state);
  const [aside] = state.aside;
  if (aside) {
    const places = advise(state, aside, aside.id).filter((a) => a.to.at !== 'aside');
    return (
      <>
        <h2 className={frameNameStyles.frameName}>{frameInWords(apiary, aside.frameId)}</h2>
        <p>{count(state.aside.length, 'frame')} aside. Now it is known who is short: this one goes to</p>
        <PadAnswer
          callOut={callOut}
          advice={places}
          waiting="There is room nowhere: take a call back."
          onPlace={(to) => onChange({ what: 'place', callId: aside.id, to })}
        />
      </>
    );
  }
  const nameOf = (callId: string) => {
    const to = callOut.body.calls.find((c) => c.id === callId)?.to;
    return to?.at === 'unit'
      ? `${callOut.body.units.find((u) => u.key === to.key)?.name ?? ''}, slot ${to.slot}`
      : 'a frame of the donor';
  };
  return (
    <div className={clsx(padAnswerStyles.answer, padAnswerStyles.waiting)}>
      <p>Every frame is called.</p>
      {untidyUnits(callOut.body).map(({ unit, order }) => (
        <p key={unit.key}>
          <b>{unit.name}: put its frames in order before the lid goes on.</b>{' '}
          {order
            .map((o) => `Slot ${o.slot}: ${o.slot === o.was ? 'stays' : `the frame from slot ${o.was}`}`)
            .join('; ')}
          . Brood together, food outside, no gap.
        </p>
      ))}
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

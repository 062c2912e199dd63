import type { CallOut } from '@incremen/core/records';
import { advise, padState, rehearse, type PadAdvice, type PadState } from '@incremen/core/callout';
import { useCallback, useDeferredValue, useEffect, useMemo, useReducer, useRef } from 'react';
import { useApiary } from '../../mirror/hooks.ts';
import { afterPaint } from '../../ui/afterPaint.ts';
import {
  countStep,
  startCount,
  type CountAction,
  type CountDraft,
} from '../../shared/counting/countDraft.ts';

/** The frame in hand. */
export interface InHand {
  readonly frameId: string;
  readonly giverId: string;
  readonly label: string;
  readonly draft: CountDraft;
}

type Act = { readonly do: 'take'; readonly frame: PadState['left'][number] } | CountAction;

function begin(frame: PadState['left'][number]): InHand {
  const { frameId, giverId, label, counted } = frame;
  const draft = startCount([{ frameId, boxId: '', slot: 1, last: counted, lastId: null }], []);
  return { frameId, giverId, label, draft };
}

/** No advice, always the same, so that what shows it is not drawn again. */
export const NONE: readonly PadAdvice[] = [];

/** A break-up as the records have it, the frame in hand, and what the pad says to it. */
export function usePad(callOut: CallOut): {
  readonly state: PadState;
  readonly hand: InHand | null;
  readonly advice: readonly PadAdvice[];
  readonly act: (action: CountAction) => void;
  readonly take: (frameId: string) => void;
} {
  const apiary = useApiary();
  const state = useMemo(() => padState(apiary, callOut), [apiary, callOut]);
  const [held, dispatch] = useReducer(
    (hand: InHand | null, action: Act): InHand | null =>
      action.do === 'take' ? begin(action.frame) : hand && { ...hand, draft: countStep(hand.draft, action) },
    null,
  );
  // While the first frame is still in the box.
  const opened = useRef(state);
  useEffect(() => afterPaint(() => rehearse(opened.current)), []);
  // What was called here or elsewhere is in hand no more: the next frame is.
  const stillLeft = held && state.left.some((l) => l.frameId === held.frameId);
  const [next] = state.left;
  const fresh = useMemo(() => (next ? begin(next) : null), [next]);
  const hand = stillLeft ? held : fresh;
  // The key that was tapped is painted first; the answer is worked out for the picture after it.
  const asked = useDeferredValue(hand);
  const askedReading = asked?.draft.frames[0]?.reading ?? null;
  const advice = useMemo(
    () =>
      asked && askedReading && state.left.some((l) => l.frameId === asked.frameId)
        ? advise(state, { frameId: asked.frameId, giverId: asked.giverId, reading: askedReading })
        : NONE,
    [state, asked, askedReading],
  );
  const act = useCallback(
    (action: CountAction) => {
      // The first tap on a frame that came up by itself takes it in hand.
      if (!stillLeft && next) dispatch({ do: 'take', frame: next });
      dispatch(action);
    },
    [stillLeft, next],
  );
  const take = useCallback(
    (frameId: string) => {
      const frame = state.left.find((l) => l.frameId === frameId);
      if (frame) dispatch({ do: 'take', frame });
    },
    [state],
  );
  return { state, hand, advice, act, take };
}

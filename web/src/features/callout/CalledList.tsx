import { frameInWords, type CallOut, type CallOutChange, type CallPlace } from '@incremen/core/records';
import { type PadState, otherPlaces } from '@incremen/core/callout';
import { Undo2 } from 'lucide-react';
import { useApiary } from '../../mirror/hooks.ts';
import { Select } from '../../ui/Select.tsx';
import styles from './CalledList.module.css';
import quietKeyStyles from './quietKey.module.css';

/** What was called, the last on top: each can be taken back or given another place. */
export function CalledList({
  callOut,
  state,
  onChange,
}: {
  readonly callOut: CallOut;
  readonly state: PadState;
  readonly onChange: (change: CallOutChange) => void;
}) {
  const apiary = useApiary();
  const unitName = (key: string) => callOut.body.units.find((u) => u.key === key)?.name ?? '';
  const words = (to: CallPlace) =>
    to.at === 'unit' ? `${unitName(to.key)}, slot ${to.slot}` : to.at === 'home' ? 'stays' : 'aside';
  return (
    <ol className={styles.calls} aria-label="Called so far">
      {callOut.body.calls.toReversed().map((c) => (
        <li key={c.id}>
          <span>
            {frameInWords(apiary, c.frameId)}
            {c.by !== undefined && <small className={styles.by}>{c.by}</small>}
          </span>
          <Select
            label={`Place of ${frameInWords(apiary, c.frameId)}`}
            value=""
            fit
            options={[
              ['', words(c.to)],
              ...otherPlaces(state, c).map((p, i) => [String(i), `to ${words(p)}`] as const),
            ]}
            onChange={(i) => {
              const to = otherPlaces(state, c)[Number(i)];
              if (to) onChange({ what: 'place', callId: c.id, to });
            }}
          />
          <button
            type="button"
            className={quietKeyStyles.quietKey}
            aria-label={`Undo: ${frameInWords(apiary, c.frameId)}`}
            onClick={() => onChange({ what: 'take-back', callId: c.id })}
          >
            <Undo2 size={18} aria-hidden />
          </button>
        </li>
      ))}
    </ol>
  );
}

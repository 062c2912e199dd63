import type { CallOut, CallOutChange } from '@incremen/core/records';
import { useApiary } from '../../mirror/hooks.ts';
import { Select } from '../../ui/Select.tsx';
import styles from './QueenLine.module.css';

/** Where the queen of each giver is, as far as it is known. */
export function QueenLine({
  callOut,
  onChange,
}: {
  readonly callOut: CallOut;
  readonly onChange: (change: CallOutChange) => void;
}) {
  const apiary = useApiary();
  const { givers, queens, units } = callOut.body;
  return (
    <div className={styles.queens}>
      {givers.map(({ colonyId }) => {
        const known = queens.find((q) => q.giverId === colonyId);
        const name = apiary.colony[colonyId]?.name ?? '';
        return (
          <label key={colonyId} className={styles.queen} data-open={!known || undefined}>
            <span>Queen of {name}</span>
            <Select
              label={`Queen of ${name}`}
              fit
              value={known?.now ?? ''}
              options={[
                ['', 'not found yet'],
                ['home', `in ${name}`],
                ['caged', 'in a cage'],
                ...units.map((u) => [u.key, `in ${u.name}`] as const),
                ['gone', 'taken away'],
              ]}
              onChange={(now) =>
                onChange(
                  now === ''
                    ? { what: 'queen-not-found', giverId: colonyId }
                    : { what: 'queen', queen: { giverId: colonyId, callId: known?.callId ?? null, now } },
                )
              }
            />
          </label>
        );
      })}
    </div>
  );
}

import { houseRules } from '@incremen/core/rules';
import { nextRain } from '@incremen/core/weather';
import type { WorkStep } from '@incremen/core/records';
import { stopBefore } from '@incremen/core/work';
import { CloudRain } from 'lucide-react';
import { useState } from 'react';
import { useOperation, useToday } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { useWeather } from '../../shared/weather/useWeather.ts';
import { duskOn } from './dusk.ts';
import styles from './UntilLine.module.css';
import workKeyStyles from './workKey.module.css';

const clockOf = (at: Date) => at.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

/** Rain, dark or the end of the day: whether work is done by then, and after which step to stop when it is not. */
export function UntilLine({
  steps,
  now,
  until,
  setUntil,
}: {
  readonly steps: readonly WorkStep[];
  /** Milliseconds since 1970. */
  readonly now: number;
  readonly until: number | null;
  readonly setUntil: (until: number | null) => void;
}) {
  const operation = useOperation();
  const [asking, setAsking] = useState(false);
  const { latitudeDeg } = houseRules(operation.houseRules.changes);
  const dusk = duskOn(new Date(now), operation.hemisphere === 'south' ? -latitudeDeg : latitudeDeg);
  const choose = (at: number | null) => {
    setUntil(at);
    setAsking(false);
  };
  if (asking) {
    return (
      <div className={styles.until} role="group" aria-label="Done by">
        {[15, 30, 60].map((min) => (
          <button
            key={min}
            type="button"
            className={workKeyStyles.workKey}
            onClick={() => choose(now + min * 60_000)}
          >
            in {min} min
          </button>
        ))}
        <RainKey now={now} choose={choose} />
        {dusk && dusk.getTime() > now && (
          <button type="button" className={workKeyStyles.workKey} onClick={() => choose(dusk.getTime())}>
            dark, about {clockOf(dusk)}
          </button>
        )}
        <button type="button" className={workKeyStyles.workKey} data-quiet onClick={() => choose(null)}>
          no end
        </button>
      </div>
    );
  }
  const words = until === null ? null : wordsOf(steps, now, until);
  return (
    <div className={styles.until} data-short={words?.short || undefined} role="status">
      <button type="button" className={workKeyStyles.workKey} onClick={() => setAsking(true)}>
        <CloudRain size={20} aria-hidden />
        {until === null ? 'When must you stop?' : `By ${clockOf(new Date(until))}`}
      </button>
      {words && <p>{words.text}</p>}
    </div>
  );
}

/** Rain that is foretold for today. The weather is asked for only when somebody wants to know. */
function RainKey({ now, choose }: { readonly now: number; readonly choose: (at: number) => void }) {
  const { report, now: known } = useWeather();
  const today = useToday();
  const hour = report && known !== null ? nextRain(report.forecast, known) : null;
  if (hour?.slice(0, 10) !== today) return null;
  const at = new Date(now).setHours(Number(hour.slice(11, 13)), 0, 0, 0);
  if (at <= now) return null;
  return (
    <button type="button" className={workKeyStyles.workKey} onClick={() => choose(at)}>
      rain, about {clockOf(new Date(at))}
    </button>
  );
}

function wordsOf(
  steps: readonly WorkStep[],
  now: number,
  until: number,
): { readonly short: boolean; readonly text: string } {
  const minutes = Math.max(0, Math.floor((until - now) / 60_000));
  const { fits, needed, after } = stopBefore(steps, minutes);
  const left = `${count(needed, 'minute')} needed, ${minutes} left`;
  if (fits) return { short: false, text: `${left}: it will be done.` };
  return {
    short: true,
    text: after
      ? `${left}: stop after “${after.text}”, the rest another day.`
      : `${left}: open no hive any more, close what is open.`,
  };
}

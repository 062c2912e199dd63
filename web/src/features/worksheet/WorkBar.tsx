import { listInWords } from '@incremen/core/basics';
import type { WorkStep, WorkUnit } from '@incremen/core/records';
import { workState } from '@incremen/core/work';
import { Hand, ShieldAlert, Split, Timer } from 'lucide-react';
import { useState } from 'react';
import { count } from '../../ui/format.ts';
import { ResumeCard } from './ResumeCard.tsx';
import { StopPanel } from './StopPanel.tsx';
import { UntilLine } from './UntilLine.tsx';
import { useWorkClock } from './useWorkClock.ts';
import workKeyStyles from './workKey.module.css';
import styles from './WorkBar.module.css';

/** Longer than this open, brood cools and robbers come (common practice, no source). */
const LONG_MINUTES = 20;

/** Above the steps: what stands open and for how long, what is left, and what to do when work has to stop. */
export function WorkBar({
  workId,
  steps,
  units,
  onReport,
}: {
  readonly workId: string;
  readonly steps: readonly WorkStep[];
  readonly units: readonly Pick<WorkUnit, 'key' | 'name'>[];
  /** Something was done, or turned out, other than planned. */
  readonly onReport: () => void;
}) {
  const state = workState(steps);
  const clock = useWorkClock(workId, state);
  const openName = listInWords(
    (state.open?.unitKeys ?? []).flatMap((key) => units.find((u) => u.key === key)?.name ?? []),
  );
  const [why, setWhy] = useState<'robbers' | 'stop' | null>(null);
  // Plain elements throughout: all of this is drawn anew with every tick.
  const report = (
    <button type="button" className={workKeyStyles.workKey} onClick={onReport}>
      <Split size={20} aria-hidden /> Something went differently
    </button>
  );
  const end = <UntilLine steps={steps} now={clock.now} until={clock.until} setUntil={clock.setUntil} />;
  if (state.done === 0 && state.open === null) {
    return (
      <div className={styles.before}>
        <p>About {count(state.minutesLeft, 'minute')} for one person.</p>
        {report}
        {end}
      </div>
    );
  }
  if (clock.pausedAt)
    return (
      <ResumeCard
        state={state}
        openName={openName}
        since={clock.pausedAt}
        closed={clock.closed}
        onGoOn={clock.goOn}
      />
    );
  if (why) {
    return (
      <StopPanel
        why={why}
        state={state}
        onBack={() => setWhy(null)}
        onStopped={(closed) => {
          clock.pause(closed);
          setWhy(null);
        }}
      />
    );
  }
  const isLong = clock.openMinutes >= LONG_MINUTES;
  return (
    <div
      className={styles.bar}
      data-long={(state.open && isLong) || undefined}
      role="group"
      aria-label="How the work stands"
    >
      <Timer size={26} aria-hidden />
      <p className={styles.clock}>
        <b>{state.open ? `${openName} open for ${clock.openMinutes} min` : 'No hive stands open'}</b>
        <span>
          {isLong && state.open
            ? 'Long enough: cover the frames that you do not work at.'
            : `About ${count(state.minutesLeft, 'minute')} left, done about ${clock.endsAt.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`}
        </span>
      </p>
      {report}
      <button type="button" className={workKeyStyles.workKey} data-alarm onClick={() => setWhy('robbers')}>
        <ShieldAlert size={20} aria-hidden /> Robbing
      </button>
      <button type="button" className={workKeyStyles.workKey} onClick={() => setWhy('stop')}>
        <Hand size={20} aria-hidden /> Stop for now
      </button>
      {end}
    </div>
  );
}

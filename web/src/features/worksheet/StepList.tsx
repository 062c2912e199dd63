import { mayTakeHiveNext, type StepBox } from '@incremen/core/work';
import type { WorkStep } from '@incremen/core/records';
import { Check, Undo2 } from 'lucide-react';
import { memo, startTransition, useDeferredValue, useMemo, useRef, useState } from 'react';
import { afterPaint } from '../../ui/afterPaint.ts';
import { onTap } from '../../ui/onTap.ts';
import { useLatest } from '../../ui/useLatest.ts';
import { StepPicture } from '../../drawing/StepPicture.tsx';
import styles from './StepList.module.css';

/** Steps that are drawn at once; those further down follow. */
const AT_ONCE = 7;

/** Taps closer together than this are one tap. */
const DOUBLE_TAP_MS = 500;

/** The steps of a piece of work, the next one large enough for a glove. */
export function StepList({
  steps,
  pictures,
  tick,
  onLast,
  onNext,
}: {
  readonly steps: readonly WorkStep[];
  /** By step, the boxes and slots that it is about. */
  readonly pictures: ReadonlyMap<string, readonly StepBox[]>;
  /** Resolves when the records have taken it in, or refused it. */
  readonly tick: (step: WorkStep, done: boolean) => Promise<unknown>;
  /** The last step is to be ticked: the visit is closed first. */
  readonly onLast: (step: WorkStep) => void;
  /** Another hive is to be taken before the others; left out where there is only one. */
  readonly onNext?: ((step: WorkStep) => void) | undefined;
}) {
  // Ticks that the records have not taken in yet: as they are drawn, and as they are.
  const [early, setEarly] = useState<Readonly<Record<string, boolean>>>({});
  const ticked = useRef(early);
  const note = (next: Readonly<Record<string, boolean>>) => {
    ticked.current = next;
    // The row answers the glove by itself; the bar and the next step follow once it is painted.
    afterPaint(() => startTransition(() => setEarly(ticked.current)));
  };
  const isDone = (s: WorkStep) => early[s.id] ?? s.doneOn !== null;
  const current = steps.find((s) => !isDone(s));
  const doneCount = steps.filter(isDone).length;
  const all = useDeferredValue(true, false);
  const shown = all ? steps : steps.slice(0, doneCount + AT_ONCE);
  const lastTick = useRef(0);
  const isLast = doneCount === steps.length - 1;
  const canBeNext = useMemo(
    () => new Set(steps.flatMap((s) => (s.kind === 'open' && mayTakeHiveNext(steps, s.id) ? [s.id] : []))),
    [steps],
  );
  const next = useLatest((step: WorkStep) => onNext?.(step));
  // The same for every tick, so that only the rows that change are drawn anew.
  const tap = useLatest((step: WorkStep, to: boolean): Promise<unknown> | null => {
    // The button that takes a tick back appears where the tick was: a gloved double tap must not hit it.
    if (!to && performance.now() - lastTick.current < DOUBLE_TAP_MS) return null;
    if (to) lastTick.current = performance.now();
    const open = steps.filter((s) => !(ticked.current[s.id] ?? s.doneOn !== null));
    if (to && open.length === 1) {
      onLast(step);
      return null;
    }
    note({ ...ticked.current, [step.id]: to });
    // Taken in or refused: then the records say how it stands.
    const settled = () =>
      note(Object.fromEntries(Object.entries(ticked.current).filter(([id]) => id !== step.id)));
    return tick(step, to).finally(settled);
  });
  return (
    <>
      <Signs />
      <div className={styles.progress}>
        <div
          className={styles.bar}
          role="progressbar"
          aria-label="Steps done"
          aria-valuemin={0}
          aria-valuemax={steps.length}
          aria-valuenow={doneCount}
        >
          <div style={{ width: `${(100 * doneCount) / steps.length}%` }} />
        </div>
        <b>
          {doneCount} of {steps.length}
        </b>
      </div>
      <ol className={styles.steps}>
        {shown.map((step) => (
          <StepRow
            key={step.id}
            step={step}
            boxes={pictures.get(step.id)}
            done={isDone(step)}
            current={step.id === current?.id}
            last={isLast}
            tick={tap}
            takeNext={onNext && canBeNext.has(step.id) ? next : undefined}
          />
        ))}
      </ol>
    </>
  );
}

const StepRow = memo(function StepRow({
  step,
  boxes,
  done: doneByList,
  current,
  last,
  tick,
  takeNext,
}: {
  readonly step: WorkStep;
  readonly boxes: readonly StepBox[] | undefined;
  readonly done: boolean;
  readonly current: boolean;
  readonly last: boolean;
  /** Null: it does nothing now. */
  readonly tick: (step: WorkStep, to: boolean) => Promise<unknown> | null;
  readonly takeNext: ((step: WorkStep) => void) | undefined;
}) {
  const [pressed, setPressed] = useState<boolean | null>(null);
  const done = pressed ?? doneByList;
  const press = (to: boolean) => {
    const taken = tick(step, to);
    if (!taken) return;
    setPressed(to);
    void taken.finally(() => setPressed(null));
  };
  // Plain elements: a work of a hundred steps has to open at once on a slow phone.
  return (
    <li className={styles.step} data-done={done || undefined} aria-current={current ? 'step' : undefined}>
      <div className={styles.words}>
        <p className={styles.text} data-testid="step-text">
          {step.text}
        </p>
        {step.detail && <p className={styles.detail}>{step.detail}</p>}
        {boxes && boxes.length > 0 && <StepPicture boxes={boxes} />}
        {takeNext && (
          <button type="button" className={styles.next} {...onTap(() => takeNext(step))}>
            Take this hive next
          </button>
        )}
      </div>
      {/* One button and both its pictures: a tick only colours anew, nothing is made or laid out for it. */}
      <button
        type="button"
        className={styles.key}
        aria-label={`${done ? 'Not done after all' : 'Done'}: ${step.text}`}
        {...onTap(() => press(!done))}
      >
        <Sign of="undo" size={20} />
        <Sign of="check" size={26} />
        <span>{last ? 'Finish' : 'Done'}</span>
      </button>
    </li>
  );
});

/** The pictures on the buttons, drawn once: each row only points at them. */
const Signs = memo(function Signs() {
  return (
    <svg width={0} height={0} style={{ position: 'absolute' }} aria-hidden>
      <symbol id="step-check" viewBox="0 0 24 24">
        <Check />
      </symbol>
      <symbol id="step-undo" viewBox="0 0 24 24">
        <Undo2 />
      </symbol>
    </svg>
  );
});

function Sign({ of, size }: { readonly of: 'check' | 'undo'; readonly size: number }) {
  return (
    <svg className={styles[of]} width={size} height={size} aria-hidden>
      <use href={`#step-${of}`} />
    </svg>
  );
}

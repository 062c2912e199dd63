import type { KitLine, WorkStep } from '@incremen/core/records';
import type { StepBox } from '@incremen/core/work';
import { Gear } from '../../drawing/Gear.tsx';
import { StepPicture } from '../../drawing/StepPicture.tsx';
import styles from './PrintedWork.module.css';

/** Lines that are left for a pencil. */
const LINES = 4;

/** The work on paper: what to load first, then each step with its boxes, a square to tick and room to write. */
export function PrintedWork({
  kit,
  cautions,
  steps,
  pictures,
}: {
  readonly kit: readonly KitLine[];
  readonly cautions: readonly string[];
  readonly steps: readonly WorkStep[];
  readonly pictures: ReadonlyMap<string, readonly StepBox[]>;
}) {
  return (
    <div className={styles.sheet}>
      <section aria-label="Bring">
        <h2>Bring</h2>
        <ul className={styles.kit}>
          {kit.map((k) => (
            <li key={k.what}>
              <i className={styles.square} />
              <b>{k.count}</b>
              <Gear what={k.what} />
              <span>
                {k.what}
                {k.size && `, ${k.size}`}
              </span>
            </li>
          ))}
        </ul>
      </section>
      <ul className={styles.care} aria-label="Take care">
        {cautions.map((c) => (
          <li key={c}>{c}</li>
        ))}
      </ul>
      <ol className={styles.steps} aria-label="Steps on paper">
        {steps.map((step, i) => (
          <li key={step.id} data-done={step.doneOn !== null || undefined}>
            <i className={styles.square}>{step.doneOn === null ? '' : '✓'}</i>
            <b className={styles.number}>{i + 1}</b>
            <div>
              <p>{step.text}</p>
              {step.detail && <p className={styles.detail}>{step.detail}</p>}
            </div>
            <StepPicture boxes={pictures.get(step.id) ?? []} />
          </li>
        ))}
      </ol>
      <section aria-label="Notes">
        <h2>What was different</h2>
        {Array.from({ length: LINES }, (_, i) => (
          <div key={i} className={styles.line} />
        ))}
      </section>
    </div>
  );
}

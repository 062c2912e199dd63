import type { StepBox } from '@incremen/core/work';
import styles from './StepPicture.module.css';

const BAR = 5;
const GAP = 3;
const HIGH = 20;
const PAD = 4;

/** The boxes of a step from above the top bars: dashed where a comb comes out, full where one goes in. The words say the same. */
export function StepPicture({ boxes }: { readonly boxes: readonly StepBox[] }) {
  return (
    <span className={styles.boxes} aria-hidden>
      {boxes.map((box, i) => {
        const width = 2 * PAD + box.slots * (BAR + GAP) - GAP;
        return (
          <span key={box.boxId} className={styles.one}>
            {i > 0 && <span className={styles.arrow}>→</span>}
            <svg width={width} height={HIGH + 2 * PAD} viewBox={`0 0 ${width} ${HIGH + 2 * PAD}`}>
              <rect
                className={styles.box}
                x={0.5}
                y={0.5}
                width={width - 1}
                height={HIGH + 2 * PAD - 1}
                rx={3}
              />
              {Array.from({ length: box.slots }, (_, s) => (
                <rect
                  key={s}
                  className={
                    box.into.includes(s + 1)
                      ? styles.into
                      : box.out.includes(s + 1)
                        ? styles.out
                        : styles.comb
                  }
                  x={PAD + s * (BAR + GAP)}
                  y={PAD}
                  width={BAR}
                  height={HIGH}
                  rx={1}
                />
              ))}
            </svg>
          </span>
        );
      })}
    </span>
  );
}

import { noEvidence } from '@incremen/core';
import { calibration, nextObservation, queenBelief } from '@incremen/core/queenstate';
import { median, ms, quantile } from './statistics.ts';

const PARTS = 5000;
const VERDICTS = 200;

/** Whether the chances of queen states come true as often as they say, and how long a verdict takes. */
export function queenBench(): void {
  const c = calibration(PARTS);
  console.log(
    `\nqueen states of ${PARTS} simulated parts: leading state so in ${(100 * c.right).toFixed(1)} %, Brier score ${c.brier.toFixed(3)} (always the shares of the whole: ${c.brierOfShares.toFixed(3)})`,
  );
  for (const b of c.bins) {
    console.log(
      `  said ${b.from.toFixed(1)}–${(b.from + 0.1).toFixed(1)}: ${b.count} times, on average ${b.said.toFixed(2)}, came true ${b.came.toFixed(2)}`,
    );
  }
  const took: number[] = [];
  const seen = {
    ...noEvidence(10),
    framesRead: 10,
    eggs: { look: 'notFound' } as const,
    cells: { look: 'notFound' } as const,
  };
  for (let i = 0; i < VERDICTS; i++) {
    const started = performance.now();
    const looks = ['2026-05-08', '2026-05-11', '2026-05-25', '2026-06-01'].map((day) => ({ day, seen }));
    const belief = queenBelief(
      { separatedOn: '2026-05-04', emergence: null, queenHere: 0.5 },
      looks,
      '2026-06-01',
    );
    nextObservation(belief.courses, '2026-06-01');
    took.push(performance.now() - started);
  }
  console.log(
    `verdict on a part from four looks, with the observation that would settle it: median ${ms(median(took))}, p95 ${ms(quantile(took, 0.95))} (target 20 ms)`,
  );
}

import {
  outlookOf,
  type Outlook,
  type Schedule,
  type SeasonBatch,
  type SeasonProblem,
} from '@incremen/core/seasonplan';
import { useEffect, useState } from 'react';
import { manySeasons, outlookIn, SEASONS_AT_FIRST, type Halt } from '../../workers/seasonPool.ts';

/** So many seasons are run for a plan that is looked at. */
export const SEASONS = 10_000;
/** What is drawn is drawn anew after so many more. */
const DRAWN_EVERY = 2500;

/**
 * Runs thousands of seasons of a plan in the workers; the first picture is there after a hundred.
 *
 * @param seasons - fewer while plans are still searched: the search needs the cores
 */
export function useOutlook(
  problem: SeasonProblem | null,
  schedule: Schedule | null,
  seasons = SEASONS,
): Outlook | null {
  const [known, setKnown] = useState<{ readonly key: string; readonly outlook: Outlook } | null>(null);
  const key = problem && schedule ? JSON.stringify([problem, schedule, seasons]) : '';
  useEffect(() => {
    if (key === '') return undefined;
    const [p, s, many] = JSON.parse(key) as [SeasonProblem, Schedule, number];
    // No limit is none, which JSON does not know.
    const whole = { ...p, yards: p.yards.map((y) => ({ ...y, most: y.most ?? Infinity })) };
    const halt: Halt = { stopped: false };
    const batches: SeasonBatch[] = [];
    let drawn = 0;
    let sum = 0;
    const draw = (over: boolean) => {
      drawn = sum;
      // A hundred seasons are quickly told, and the first picture waits for no worker.
      const told =
        sum <= SEASONS_AT_FIRST
          ? Promise.resolve(outlookOf(whole, s, batches, over))
          : outlookIn(whole, s, batches, over);
      void told.then((outlook) => {
        // What was asked for first may come last.
        if (!halt.stopped)
          setKnown((k) => (k?.key === key && k.outlook.seasons > outlook.seasons ? k : { key, outlook }));
      });
    };
    void manySeasons(whole, s, many, halt, (batch) => {
      batches.push(batch);
      sum += batch.seasons;
      if (batches.length === 1 || sum - drawn >= DRAWN_EVERY) draw(false);
    }).then(() => {
      if (!halt.stopped && batches.length > 0) draw(true);
    });
    return () => {
      halt.stopped = true;
    };
  }, [key]);
  return known?.key === key ? known.outlook : null;
}

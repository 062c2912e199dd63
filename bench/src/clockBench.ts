import { randomUUID } from 'node:crypto';
import { assess } from '@incremen/core/assessment';
import { colonyState } from '@incremen/core/colony';
import { courseOf } from '@incremen/core/forecast';
import { fromBundle } from '@incremen/core/formats';
import { addDays } from '@incremen/core/basics';
import { largeYard } from './largeYard.ts';
import { median } from './statistics.ts';

const TODAY = '2026-05-15';

/** The clock: a large yard brought to a day and assessed, and the six weeks to come of a usual one. */
export function clockBench(): void {
  const large = apiaryOf(150);
  const usual = apiaryOf(30);
  const time = (run: () => void, runs: number) => {
    const times: number[] = [];
    for (let i = 0; i < runs; i++) {
      const started = performance.now();
      run();
      times.push(performance.now() - started);
    }
    return median(times);
  };
  // A copy each time: what is known of an apiary is kept with it.
  const toADay = (ahead: number) =>
    time(() => {
      const fresh = { ...large };
      for (const c of Object.values(fresh.colony)) colonyState(fresh, c, addDays(TODAY, ahead));
    }, 9);
  const weeks = time(() => {
    for (const c of Object.values(usual.colony)) courseOf(usual, c, TODAY, 42);
  }, 9);
  const assessed = time(() => {
    const fresh = { ...large };
    for (const c of Object.values(fresh.colony)) assess(fresh, c, TODAY);
  }, 9);
  console.log(`assessment: 150 colonies, clock included, in ${assessed.toFixed(0)} ms (median of 9)`);
  console.log(
    `clock: 150 colonies (3,000 combs) brought to today in ${toADay(0).toFixed(0)} ms, to four weeks ahead in ${toADay(28).toFixed(0)} ms; 42 days of 30 colonies in ${weeks.toFixed(0)} ms (medians of 9)`,
  );
}

function apiaryOf(colonies: number) {
  const read = fromBundle(largeYard(colonies, randomUUID()));
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value.apiary;
}

import { colonyState } from '@incremen/core/colony';
import { coloniesOfYard } from '@incremen/core/records';
import { DEMO_DAY, demoScenario, seededIds } from '@incremen/core/demo';
import { makePlan, METHODS } from '@incremen/core/split';
import { median, ms, quantile } from './statistics.ts';

const RUNS = 30;

/** Plans and board summaries in Node, after warm-up. */
export function planBench(): void {
  const { apiary } = demoScenario();
  for (const method of METHODS) {
    const colony = Object.values(apiary.colony).find(
      (c) => c.name === (method.id === 'queen-to-nuc' ? 'Sorrel' : 'Tansy'),
    );
    if (!colony) throw new Error('the demonstration lacks a colony');
    const times: number[] = [];
    let tried = 0;
    for (let run = 0; run < RUNS + 5; run++) {
      const started = performance.now();
      const plan = makePlan(
        apiary,
        { colonyId: colony.id, methodId: method.id, day: DEMO_DAY, newName: 'New', options: {} },
        seededIds(run),
      );
      if (run >= 5) times.push(performance.now() - started);
      if (plan.ok) tried = plan.value.tried;
    }
    console.log(
      `plan for one colony of 20 frames, ${method.name.toLowerCase()}: median ${ms(median(times))}, p95 ${ms(quantile(times, 0.95))}, ${tried} choices`,
    );
  }
  const times: number[] = [];
  for (let run = 0; run < RUNS; run++) {
    const started = performance.now();
    for (const yard of Object.values(apiary.yard)) {
      for (const c of coloniesOfYard(apiary, yard.id)) colonyState(apiary, c, DEMO_DAY);
    }
    times.push(performance.now() - started);
  }
  console.log(`board summed up, ${Object.keys(apiary.colony).length} colonies: median ${ms(median(times))}`);
}

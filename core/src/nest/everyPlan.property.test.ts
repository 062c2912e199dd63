import { describe, expect, it } from 'vitest';
import { seededIds } from '../demo/seededIds.ts';
import { ACTION_IDS } from '../records/bodies/actionId.ts';
import type { YardGoal, YardGoalOf } from '../records/bodies/request.ts';
import { workOfAction, type ActionChoice } from '../remedies/actions/actionPlan.ts';
import { planAction } from '../remedies/actions/actions.ts';
import { allFacts } from '../remedies/remedies.ts';
import { METHODS } from '../split/methods/registry.ts';
import { makePlan } from '../split/plan/makePlan.ts';
import { generatedYards } from '../testing/generatedYards.ts';
import { nestsAfter } from '../testing/nestsAfter.ts';
import { replaySteps } from '../testing/replaySteps.ts';
import { sampleSize } from '../testing/sampleSize.ts';
import { fiveFrames, nucs, planned, problemOf, requestFor } from '../testing/yardRequests.ts';
import { makeYardPlan } from '../yardplan/layout/makeYardPlan.ts';

// How a nest hangs: common practice, no source. Every plan of every method and goal is carried out in the records, and
// every brood box that it touched is looked at, donors included.

const DAY = '2026-05-15';
/** Drawn comb and foundation in the store: none, too little, enough. */
const STORES = [
  { drawn: 0, foundation: 0 },
  { drawn: 0, foundation: 10 },
  { drawn: 10, foundation: 0 },
  { drawn: 3, foundation: 8 },
] as const;
const yardOf = (seed: number, colonies: number) =>
  generatedYards({ colonies, seed, ...STORES[seed % STORES.length]! });

const seeds = (sample: number, full: number) =>
  Array.from({ length: sampleSize(sample, full) }, (_, i) => i + 1);

/** Yards in which the soak has found what was wrong: they stay in the sample. */
const FOUND = [32, 46, 68];

describe.each(METHODS.map((m) => [m.name, m] as const))('%s', (_, method) => {
  it('leaves a nest in every box that it touches', () => {
    let boxes = 0;
    for (const seed of new Set([...seeds(30, 400), ...FOUND])) {
      const apiary = yardOf(seed, 1);
      const [colony] = Object.values(apiary.colony);
      const options = Object.fromEntries(
        method.options.map((o, k) => [o.id, o.schools[(seed + k) % o.schools.length]!.id]),
      );
      const plan = makePlan(
        apiary,
        { colonyId: colony!.id, methodId: method.id, day: DAY, newName: 'New', options },
        seededIds(3),
      );
      if (!plan.ok) throw new Error(plan.problems[0]?.message);
      const { work, steps } = plan.value.command;
      expect(replaySteps(apiary, work, steps), `${method.id}, yard ${seed}`).toEqual([]);
      for (const nest of nestsAfter(apiary, work)) {
        boxes++;
        // In the cool nobody puts into order what the bees have made; but nothing is made worse.
        const wrong = options['nights'] === 'cold' ? nest.made : nest.faults;
        expect(wrong, `${method.id}, yard ${seed}: ${nest.unit} ${nest.hangs}`).toEqual([]);
      }
    }
    expect(boxes).toBeGreaterThan(30);
  });
});

const GOALS: Readonly<Record<string, (ids: readonly string[]) => YardGoal[]>> = {
  'two nucs that raise': () => [nucs(2)],
  'two nucs with a mated queen': () => [nucs(2, fiveFrames({ queen: 'mated' }))],
  'levelled by brood': () => [{ id: 'l', kind: 'level', by: 'brood', importance: 2 }],
  'levelled by capped brood': () => [{ id: 'l', kind: 'level', by: 'capped', importance: 2 }],
  'a colony broken up whole': (ids) => [
    { ...nucs(null, fiveFrames({ queen: 'cell' })), kind: 'makeNucs', wholeOfId: ids[0] ?? '' } as YardGoal,
  ],
  'two colonies broken up whole, carried away': (ids) =>
    ids.slice(0, 2).map((id, i) => ({
      ...(nucs(2, fiveFrames({ queen: 'mated', distance: 'away' })) as YardGoalOf<'makeNucs'>),
      id: `n${i}`,
      wholeOfId: id,
    })),
  'a colony brought down to one box': (ids) => [
    { id: 's', kind: 'shrink', colonyId: ids[0] ?? '', boxes: 1, importance: 2 },
  ],
};

describe.each(Object.entries(GOALS))('a yard plan, %s', (_, goals) => {
  it('leaves a nest in every box that it touches', () => {
    let plans = 0;
    for (const seed of seeds(8, 100)) {
      const apiary = yardOf(seed, 4);
      const cold = seed % 3 === 0;
      const asked = requestFor(apiary, goals(Object.keys(apiary.colony)), {
        nights: cold ? 'cold' : 'mild',
        order: seed % 2 === 0 ? 'keep' : 'nest',
      });
      let problem;
      try {
        problem = problemOf(apiary, asked);
      } catch {
        // Asked for what is there already.
        continue;
      }
      const { plan } = planned(problem, 2);
      const { work, steps } = makeYardPlan(
        apiary,
        problem,
        plan,
        { names: {}, bound: null, name: 'p' },
        seededIds(9),
      );
      plans++;
      expect(replaySteps(apiary, work, steps), `yard ${seed}`).toEqual([]);
      for (const nest of nestsAfter(apiary, work)) {
        const wrong = cold || asked.order === 'keep' ? nest.made : nest.faults;
        expect(wrong, `yard ${seed}: ${nest.unit} ${nest.hangs}`).toEqual([]);
      }
    }
    expect(plans).toBeGreaterThan(3);
  });
});

/** The ways in which an action is done, where there are several. */
const CHOICES: Partial<Record<(typeof ACTION_IDS)[number], readonly ActionChoice[]>> = {
  combine: [{ how: 'paper' }, { how: 'sheet' }, { how: 'direct' }],
  'boost-nurses': [{ nurses: 'shaken' }, { nurses: 'on-comb' }],
};

describe('what is done with one colony', () => {
  it('leaves a nest in every box that it touches', () => {
    let boxes = 0;
    for (const seed of seeds(6, 80)) {
      const apiary = yardOf(seed, 5);
      const coldNights = seed % 4 === 0;
      const all = allFacts(apiary, DAY, { coldNights });
      const newId = seededIds(5);
      for (const facts of all) {
        for (const id of ACTION_IDS) {
          for (const choice of CHOICES[id] ?? [{}]) {
            const how = JSON.stringify(choice);
            const plan = planAction(id, facts, all, choice, newId);
            if (!plan) continue;
            const { work, steps } = workOfAction(apiary, plan, DAY, newId);
            expect(replaySteps(apiary, work, steps), `${id} ${how}, yard ${seed}`).toEqual([]);
            // A nest that goes over into clean boxes stays as the bees have made it.
            for (const nest of id === 'clean-boxes' ? [] : nestsAfter(apiary, work)) {
              boxes++;
              // Beyond a sheet of newspaper the guest's food stands at its own wall only, until the sheet is gone.
              const sheet = choice.how === 'sheet';
              const wrong = (coldNights ? nest.made : nest.faults).filter(
                (f) => !sheet || f !== 'brood-at-wall',
              );
              expect(wrong, `${id} ${how}, yard ${seed}: ${nest.unit} ${nest.hangs}`).toEqual([]);
            }
          }
        }
      }
    }
    expect(boxes).toBeGreaterThan(20);
  });
});

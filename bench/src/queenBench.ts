import { noEvidence } from '@incremen/core/records';
import { planBOf, queenLane } from '@incremen/core/followup';
import { weakDesk } from '@incremen/core/remedies';
import { nextObservation, queenBelief } from '@incremen/core/queen-odds';
import { calibration, generatedYards, PARTS_WORLD, PartYard, WIDE_WORLD } from '@incremen/core/testing';
import { median, ms, quantile } from './statistics.ts';

const COLONIES_JUDGED = 10_000;
/** Lives by which the observer who knows a world weighs what was seen. */
const LIVES = 3000;
const VERDICTS = 200;

/** Colonies whose lanes are dated anew at once. */
const COLONIES = 150;
const ROUNDS = 15;
/** Weather that lets virgins fly on two of the days ahead. */
const FLYING = new Map([
  ['2026-05-30', true],
  ['2026-06-02', true],
]);

/** How long it takes to date every part of a large operation anew, and to judge every unit of it. */
export function datingBench(): void {
  const seed = new PartYard('2026-05-09');
  seed.see('2026-05-15', {
    cells: { look: 'found', cells: [{ kind: 'charged', count: 1, larvaAgeDays: 4 }] },
  });
  const { part } = seed;
  const visits = Object.values(seed.apiary.visit).filter((v) => v.colonyId === part.id);
  const copies = Array.from({ length: COLONIES }, (_, i) => ({ ...part, id: `part-${i}` }));
  const apiary = {
    ...seed.apiary,
    colony: { ...seed.apiary.colony, ...Object.fromEntries(copies.map((c) => [c.id, c])) },
    visit: {
      ...seed.apiary.visit,
      ...Object.fromEntries(
        copies.flatMap((c) =>
          visits.map((v, k) => [`${c.id}-${k}`, { ...v, id: `${c.id}-${k}`, colonyId: c.id }]),
        ),
      ),
    },
  };
  const lanes: number[] = [];
  for (let n = 0; n < ROUNDS; n++) {
    // Another object each time: nothing kept from the round before helps.
    const fresh = { ...apiary, colony: { ...apiary.colony }, visit: { ...apiary.visit } };
    const started = performance.now();
    for (const c of copies) {
      const lane = queenLane(fresh, c, '2026-05-20', FLYING);
      if (lane) planBOf(fresh, lane, '2026-05-20');
    }
    lanes.push(performance.now() - started);
  }
  console.log(
    `dating ${COLONIES} parts anew, with plan B: median ${ms(median(lanes))}, p95 ${ms(quantile(lanes, 0.95))} (target 200 ms)`,
  );
  const yards = generatedYards({ colonies: COLONIES, yards: 3 });
  const day = Object.values(yards.visit)[0]?.day ?? '';
  const outside = { coldNights: false };
  const desks: number[] = [];
  for (let n = 0; n < ROUNDS; n++) {
    const fresh = { ...yards, colony: { ...yards.colony } };
    const started = performance.now();
    weakDesk(fresh, day, outside);
    desks.push(performance.now() - started);
  }
  console.log(
    `desk for weak units of ${COLONIES} colonies: median ${ms(median(desks))}, p95 ${ms(quantile(desks, 0.95))}`,
  );
}

/** Whether the chances of queen states come true as often as they say, and how long a verdict takes. */
export function queenBench(): void {
  for (const [name, world, settings] of [
    ['parts of one split', PARTS_WORLD, 20],
    ['a season of parts, whole colonies, queens that came and careless keepers', WIDE_WORLD, 200],
  ] as const) {
    const c = calibration(world, { settings, each: COLONIES_JUDGED / settings, lives: LIVES });
    console.log(
      `\nqueen states of ${c.colonies} simulated colonies, ${name}: Brier score ${c.brier.toFixed(3)}; of an observer who knows that world ${c.brierOfIdeal.toFixed(3)} (ratio ${(c.brier / c.brierOfIdeal).toFixed(2)}, target 1.1); always the shares of the whole ${c.brierOfShares.toFixed(3)}. Leading state so in ${(100 * c.right).toFixed(1)} % (${(100 * c.rightOfIdeal).toFixed(1)} %)`,
    );
    for (const b of c.bins)
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
    nextObservation(belief, '2026-06-01');
    took.push(performance.now() - started);
  }
  console.log(
    `verdict on a part from four looks, with the observation that would settle it: median ${ms(median(took))}, p95 ${ms(quantile(took, 0.95))} (target 20 ms)`,
  );
}

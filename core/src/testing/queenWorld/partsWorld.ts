import { laid, bell, type Life, type Laying, type Question, type World } from './world.ts';
import type { QueenStateName } from '../../rules/index.ts';

const LOST_ON = '2026-05-04';

/** How often brood, of whomever, is found. */
const sees = ({ skill, slips }: Life, there: boolean) => (there ? skill : slips);

/** Eggs, larvae, capped brood, cells and the queen, as they are found in a world of parts. */
export const QUESTIONS: readonly Question[] = [
  {
    asked: 1,
    answers: [
      (e) => (e.eggs = { look: 'notFound' }),
      (e) => (e.eggs = { look: 'found', perCell: 'one', place: 'unsure' }),
      (e) => (e.eggs = { look: 'found', perCell: 'several', place: 'unsure' }),
    ],
    chances: (life, t) => {
      const p = sees(life, laid(life, t - 3, t));
      const state = life.stateAt(t);
      const several = laid(life, t, t, 'workers') ? 0.85 : state === 'newly-laying' ? 0.12 : 0.02;
      return [1 - p, p * (1 - several), p * several];
    },
  },
  {
    asked: 0.7,
    answers: [(e) => (e.olderLarvae = { look: 'notFound' }), (e) => (e.olderLarvae = { look: 'found' })],
    chances: (life, t) => {
      const p = sees(life, laid(life, t - 9, t - 4));
      return [1 - p, p];
    },
  },
  {
    asked: 0.7,
    answers: [
      (e) => (e.cappedBrood = { look: 'notFound' }),
      ...(['flat', 'domed', 'both'] as const).map(
        (cappings) => (e: Parameters<Question['answers'][number]>[0]) => {
          e.cappedBrood = { look: 'found', cappings, patch: 'unsure' };
        },
      ),
    ],
    chances: (life, t) => {
      const flat = laid(life, t - 21, t - 9, 'queen');
      const domed = laid(life, t - 24, t - 10, 'drone') || laid(life, t - 24, t - 10, 'workers');
      const p = sees(life, flat || domed);
      const caps = flat && domed ? [0, 0, 1] : domed ? [0, 1, 0] : [0.92, 0, 0.08];
      return [1 - p, ...caps.map((c) => p * c)];
    },
  },
  {
    asked: 1,
    answers: [
      (e) => (e.cells = { look: 'notFound' }),
      (e, t) => (e.cells = { look: 'found', cells: [{ kind: t > 5 ? 'capped' : 'open', count: 3 }] }),
    ],
    chances: (life, t) => {
      const there = life.cells !== null && t > life.cells.from && t < life.cells.to;
      const p = there ? Math.min(0.99, life.skill + 0.05) : 0.05;
      return [1 - p, p];
    },
  },
  {
    asked: 0.5,
    answers: [(e) => (e.queen = { look: 'notFound' }), (e) => (e.queen = { look: 'found', build: 'unsure' })],
    chances: (life, t) => {
      const state = life.stateAt(t);
      const there = !QUEENLESS.has(state);
      const p = there ? (state === 'virgin' ? 0.18 : 0.5) : 0;
      return [1 - p, p];
    },
  },
];

const QUEENLESS: ReadonlySet<QueenStateName> = new Set(['cells', 'hopeless', 'laying-workers']);

/**
 * Parts of one split in May that raise a queen from emergency cells, or have the old one. Days are continuous, keepers
 * differ, and mating waits for weather.
 */
export const PARTS_WORLD: World = {
  questions: QUESTIONS,
  setting: (random) => ({
    from: LOST_ON,
    before: { separatedOn: LOST_ON, emergence: null, queenHere: random() < 0.5 ? 0.5 : 0 },
  }),
  looks: (random) => {
    const days = [
      4 + Math.floor(random() * 6),
      14 + Math.floor(random() * 14),
      28 + Math.floor(random() * 24),
    ]
      .filter(() => random() < 0.75)
      .toSorted((a, b) => a - b);
    return (days.length === 0 ? [7] : days).map((day) => ({ day, share: 1 }));
  },
  life: (random, { before }) => {
    const isHere = random() < before.queenHere;
    const emerges = Math.min(16.4, Math.max(9.8, 12.4 + 1.9 * bell(random)));
    const raises = random() < 0.92;
    const fate = random();
    const eggs = emerges + 8 + 4.5 * Math.abs(bell(random)) + 5 * random() ** 2;
    const drones = emerges + 20 + 9 * random();
    const workers = 23 + 10 * random();
    const lostAt = emerges + 6 + 6 * random();
    const skill = 0.86 + 0.12 * random();
    const old: Laying = { from: -Infinity, to: isHere ? Infinity : 0, by: 'queen' };
    const base = {
      skill,
      slips: 0.015,
      cells: !isHere && raises ? { from: 2.5, to: emerges } : null,
    };
    const then = (from: number, by: Laying['by']): readonly Laying[] => [old, { from, to: Infinity, by }];
    if (isHere) return { ...base, laying: [old], stateAt: () => 'laying' };
    if (!raises)
      return {
        ...base,
        laying: then(workers, 'workers'),
        stateAt: (t) => (t < 7 ? 'cells' : t < workers ? 'hopeless' : 'laying-workers'),
      };
    if (fate < 0.84)
      return {
        ...base,
        laying: then(eggs, 'queen'),
        stateAt: (t) =>
          t < emerges ? 'cells' : t < eggs ? 'virgin' : t < eggs + 10 ? 'newly-laying' : 'laying',
      };
    if (fate < 0.89)
      return {
        ...base,
        laying: then(drones, 'drone'),
        stateAt: (t) => (t < emerges ? 'cells' : t < drones ? 'virgin' : 'drone-layer'),
      };
    if (fate < 0.925) return { ...base, laying: [old], stateAt: (t) => (t < emerges ? 'cells' : 'virgin') };
    const lay = Math.max(workers, lostAt + 8);
    return {
      ...base,
      laying: then(lay, 'workers'),
      stateAt: (t) =>
        t < emerges ? 'cells' : t < lostAt ? 'virgin' : t < lay ? 'hopeless' : 'laying-workers',
    };
  },
};

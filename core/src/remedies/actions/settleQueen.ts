import { hasLiveCell } from '../../comb/index.ts';
import { queenOf, readingOf, type StepDraft } from '../../records/index.ts';
import { yearOf, windowAfter } from '../../basics/index.ts';
import { newUnitLooks, ripeCellEmergence } from '../../followup/index.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';
import { EMPTY_PLAN, type ActionChoice, type ActionPlan } from './actionPlan.ts';

/** Chance from which one counts on a queen of any kind being in it, to be found before another is given. */
const PERHAPS_THERE = 0.2;

/** Whether a queen of whatever kind may be in a unit that gets another. */
const oldOneThere = ({ apiary, colony, belief: { odds } }: UnitFacts): boolean =>
  queenOf(apiary, colony.id) !== undefined ||
  odds.laying + odds['newly-laying'] + odds.virgin + odds['drone-layer'] + odds['not-laying'] > PERHAPS_THERE;

function findAndTakeOut(facts: UnitFacts): StepDraft[] {
  const { colony, belief } = facts;
  if (!oldOneThere(facts)) return [];
  const drones = belief.leading === 'drone-layer';
  return [
    {
      kind: 'find',
      task: 'find-queen',
      text: `Find the queen of ${colony.name} and take her out`,
      detail: `${drones ? 'She is small, or old, and lays drones only.' : 'An old or unmated queen kills the one that is given, or is killed with her.'} Not found: shake all through an excluder, or give none today.`,
    },
  ];
}

/** Every cell that the bees have begun goes: they would rather raise their own. */
const cellsOff = (name: string): StepDraft => ({
  kind: 'check',
  text: `Take every queen cell out of ${name}`,
  detail: 'Part the bees on each comb. Bees that have a cell of their own do not take what is given.',
});

/** A mated queen comes in, in the place of a bad one or of none. */
export function giveQueen(facts: UnitFacts, choice: ActionChoice, newId: () => string): ActionPlan {
  const { colony, day, unit, belief } = facts;
  const queen = choice.queen ?? { name: null, birthYear: yearOf(day), dot: null };
  const replaces = belief.leading === 'drone-layer';
  return {
    ...EMPTY_PLAN,
    name: replaces ? `replace the drone layer of ${colony.name}` : `give ${colony.name} a mated queen`,
    units: [{ facts, after: unit }],
    effects: [
      { kind: 'queen-out', colonyId: colony.id },
      { kind: 'queen-in', colonyId: colony.id, queenId: newId(), ...queen },
    ],
    steps: [
      {
        kind: 'open',
        units: [colony.id],
        text: `Open ${colony.name}`,
        detail: 'In the cool of the evening, little smoke.',
      },
      ...findAndTakeOut(facts),
      cellsOff(colony.name),
      {
        kind: 'move',
        text: 'Hang the cage between two brood combs, candy end up',
        detail: 'Mesh towards the bees, so that they feed her. Attendants out first where that is the habit.',
      },
      {
        kind: 'close',
        units: [colony.id],
        text: `Close ${colony.name}; small entrance`,
        detail: 'Feed 1:1 while she is introduced if nothing comes in. Watch for robbing.',
      },
    ],
    looks: newUnitLooks('mated', day).map((l) => ({ colonyIds: [colony.id], ...l })),
    cautions: ['Do not open before the fourth day: bees ball a queen that runs.'],
    kit: [{ what: 'queen in a cage', count: 1 }],
  };
}

/** A ripe cell is given to a unit without a queen. */
export function giveCell(facts: UnitFacts): ActionPlan {
  const { colony, day, unit } = facts;
  return {
    ...EMPTY_PLAN,
    name: `give ${colony.name} a ripe cell`,
    units: [{ facts, after: unit }],
    effects: [
      { kind: 'queen-out', colonyId: colony.id },
      { kind: 'cell-in', colonyId: colony.id, emergence: { window: ripeCellEmergence(day), anchor: 'work' } },
    ],
    steps: [
      {
        kind: 'open',
        units: [colony.id],
        text: `Open ${colony.name}`,
        detail: 'A warm hour; the cell stays warm in your pocket, upright.',
      },
      ...findAndTakeOut(facts),
      cellsOff(colony.name),
      {
        kind: 'move',
        text: 'Press the cell into the comb between the brood, point down',
        detail: 'Never jarred, never on its side: the pupa’s wings are soft.',
      },
      {
        kind: 'close',
        units: [colony.id],
        text: `Close ${colony.name} gently`,
        detail: 'Tag it: cell, date, hands off.',
      },
    ],
    looks: newUnitLooks('cell', day).map((l) => ({ colonyIds: [colony.id], ...l })),
    cautions: [],
    kit: [{ what: 'ripe queen cell', count: 1 }],
  };
}

/** Cells are gone through: those capped too early on day 3, or all but one on days 7 to 9. */
export function cutCells(facts: UnitFacts, early: boolean, newId: () => string): ActionPlan {
  const { colony, day, unit, frames } = facts;
  const onCombs = frames.filter((f) => hasLiveCell(readingOf(f)));
  const best = onCombs.find((f) => f.reading?.body.cells.some((c) => c.kind === 'capped')) ?? onCombs[0];
  // Beside a queen that was given no cell is left; of a part that raises its own the best one is.
  const raises = colony.separation !== null;
  const steps: StepDraft[] =
    !early && !raises
      ? [{ ...cellsOff(colony.name), task: 'cut-cells' }]
      : early
        ? [
            {
              kind: 'check',
              text: 'Break every cell that is capped; leave the open ones',
              detail:
                'Capped by day 3 or 4 they came from larvae two days old or more: small queens that emerge first.',
            },
          ]
        : [
            {
              kind: 'check',
              text: 'Look at the chosen cell first: capped, smooth, whole',
              detail: 'Open, dry or chewed: stop here and keep the best of the others.',
            },
            {
              kind: 'check',
              text: 'Shake and cut comb by comb, all but the chosen comb',
              detail:
                'Its comb is never shaken: part its bees with a finger. Every other cell goes, small ones in corners too. No more can be made now.',
            },
          ];
  return {
    ...EMPTY_PLAN,
    name: early ? `early cells of ${colony.name}` : `surplus cells of ${colony.name}`,
    units: [{ facts, after: unit }],
    effects: onCombs.map((f) => ({
      kind: 'cells-cut',
      colonyId: colony.id,
      frameId: f.frame.id,
      readingId: newId(),
      what: early ? 'capped' : f === best && raises ? 'all-but-best' : 'all',
    })),
    steps: [
      {
        kind: 'open',
        units: [colony.id],
        text: `Open ${colony.name}`,
        detail: 'Read every comb on both sides; cells hide on the lower edge.',
      },
      ...steps,
      {
        kind: 'close',
        units: [colony.id],
        text: `Close ${colony.name}`,
        detail: 'Hands off until eggs are due.',
      },
    ],
    looks: [
      {
        colonyIds: [colony.id],
        topic: 'eggs-due',
        // They hang on the cells, not on the day on which they are gone through.
        anchor: 'cells',
        window: windowAfter(day, early ? 18 : 14, early ? 21 : 18, early ? 30 : 27),
        expect: 'Eggs of the queen that was left to emerge.',
      },
    ],
    cautions: early
      ? ['Nobody looked by day 4: do not cut blind. A cell capped on day 5 is a good one.']
      : ['After day 9 a queen may be out: if any cell is open or chewed, leave all and wait for eggs.'],
  };
}

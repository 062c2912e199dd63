import { placeInWords } from '../../records/index.ts';
import { nurseGift } from '../unit/partners.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';
import { EMPTY_PLAN, inAWeek, type ActionPlan } from './actionPlan.ts';

/** Nurse bees, shaken off open brood of a strong colony, poured before a weak queenright one. */
export function boostNurses(facts: UnitFacts, all: readonly UnitFacts[]): ActionPlan | null {
  const gift = nurseGift(facts, all);
  if (!gift) return null;
  const { colony, unit } = facts;
  const { giver, frames, bees } = gift;
  const where = frames.map((f) => placeInWords(giver.apiary, giver.colony, f.box, f.slot));
  return {
    ...EMPTY_PLAN,
    name: `boost ${colony.name} with nurse bees`,
    units: [
      { facts: giver, after: { ...giver.unit, bees: giver.unit.bees - bees } },
      { facts, after: { ...unit, bees: unit.bees + bees } },
    ],
    shakes: frames.map((f) => ({
      frameId: f.frame.id,
      fromKey: giver.colony.id,
      toKey: colony.id,
      reason: 'Bees on open brood are nurses, and nurses stay.',
    })),
    steps: [
      {
        kind: 'prepare',
        text: 'Set a box with a lid in the shade, a sheet before the weak hive',
        detail: 'A spray of water keeps the bees down.',
      },
      { kind: 'open', units: [giver.colony.id], text: `Open ${giver.colony.name}`, detail: 'Little smoke.' },
      {
        kind: 'find',
        task: 'find-queen',
        text: `Find the queen of ${giver.colony.name} and set her comb aside`,
        detail: 'Not found in ten minutes: shake nothing today.',
      },
      {
        kind: 'shake',
        text: `Shake ${where.join(', ')} into the box`,
        detail: 'Open brood, both sides; then hang each comb back where it was.',
        frameIds: frames.map((f) => f.frame.id),
      },
      { kind: 'close', units: [giver.colony.id], text: `Close ${giver.colony.name}`, detail: '' },
      {
        kind: 'check',
        text: 'Let the box stand in the shade for 5 to 10 minutes',
        detail: 'Field bees fly home; the nurses stay and hang together.',
      },
      {
        kind: 'open',
        units: [colony.id],
        text: `Open ${colony.name}: an empty drawn comb beside its brood`,
        detail: 'So that she can lay where the new nurses are.',
      },
      {
        kind: 'shake',
        text: `Pour the nurses before the entrance of ${colony.name}`,
        detail: 'They walk in. Small entrance afterwards.',
      },
      {
        kind: 'close',
        units: [colony.id],
        text: `Close ${colony.name}`,
        detail: 'Feed if it has no stores; entrance to a finger’s width.',
      },
    ],
    looks: [inAWeek(facts, 'Larvae lie in jelly, and the nest has grown.')],
    cautions: [
      'Stings: a box of shaken bees is restless. Veil and gloves; watch for signs of allergy.',
      'Drying larvae look like sick ones: rule disease out before bees are given.',
    ],
    kit: [{ what: 'box to shake into', count: 1 }],
  };
}

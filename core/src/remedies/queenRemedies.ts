import { addDays, dayInWords } from '../basics/index.ts';
import { DAYS_TO_EGGS } from '../brood/index.ts';
import { expectationOf, type Expectation } from './unit/expectation.ts';
import { bestUnion, eggGift, giversFor } from './unit/partners.ts';
import type { QueenMeasure } from './unit/queenOutcomes.ts';
import type { RemedyId } from './remedies.ts';
import { broodSizeOf, inWords, type RemedyMaker } from './remedyDraft.ts';
import { layingChance, type UnitFacts } from './unit/unitFacts.ts';
import { broodOf } from './unit/unitProspect.ts';

/** Nothing is left of it. */
const NOTHING: Expectation = { colonies: 0, bees: 0, strength: 0 };

/** A measure that is about the queen alone. */
function aboutQueen(
  id: RemedyId,
  measure: QueenMeasure,
  title: string,
  tell: (
    facts: UnitFacts,
    all: readonly UnitFacts[],
  ) => { why: string; blocked: string | null; partner?: UnitFacts | undefined },
): RemedyMaker {
  return (facts, all, on) => {
    const { partner, ...told } = tell(facts, all);
    return {
      id,
      title,
      ...told,
      then: expectationOf(facts, measure, on),
      // A comb with eggs is not missed by whoever gives it.
      ...(partner && { partner, partnerThen: expectationOf(partner, 'leave', on) }),
    };
  };
}

const LAYS = 'A queen most likely lays: nothing is to be given.';
/** With such a chance that workers lay nothing dear is given before an inspection has told. */
const WORKERS_PERHAPS = 0.2;
const killed = (chance: number) =>
  chance > 0.5
    ? 'Laying workers kill a queen that is put straight in, and tear cells.'
    : 'Laying workers, perhaps: they kill a queen that is put straight in, and tear cells. Settle that first.';

/** A queen who is there and does not lay gets empty comb near her. */
export const freeQueen = aboutQueen(
  'free-queen',
  'free-queen',
  'Free the barred queen: empty comb beside the brood, honey out',
  ({ belief, drawn }) => ({
    why: 'A queen without an empty cell near her does not lay; give drawn comb beside the brood, move her and the brood down.',
    blocked:
      belief.odds['not-laying'] < 0.2 && drawn > 1
        ? 'She has empty comb, or nothing says that she is barred.'
        : null,
  }),
);

/** A comb with eggs tells whether a queen is there, and buys time. */
export const testFrame = aboutQueen(
  'test-frame',
  'test-frame',
  'Give it a test comb with eggs',
  (facts, all) => {
    const gift = eggGift(facts, all, broodSizeOf(facts));
    return {
      why: gift
        ? `From ${gift.giver.colony.name}: cells on it within three to five days mean no queen; none mean that one is there. It buys time meanwhile.`
        : 'No healthy colony has a comb of eggs to spare.',
      blocked:
        layingChance(facts) > 0.6
          ? LAYS
          : facts.belief.odds['laying-workers'] > 0.5
            ? 'One comb does not turn laying workers: that takes a comb of open brood weekly, about three, and then a queen.'
            : gift
              ? null
              : 'No comb with eggs of the same size can be spared.',
      partner: gift?.giver,
    };
  },
);

/** A ripe cell, while there is season enough for her to lay. */
export const giveCell = aboutQueen('give-cell', 'give-cell', 'Give it a ripe cell', (facts) => {
  const { belief, season, day } = facts;
  const lays = addDays(day, DAYS_TO_EGGS['give-cell']);
  return {
    why: `A queen from a ripe cell lays from about ${dayInWords(lays)}.`,
    blocked:
      layingChance(facts) > 0.5
        ? LAYS
        : lays > season.lastForWinterBees
          ? `She would lay after ${dayInWords(season.lastForWinterBees)}: too late for winter bees.`
          : belief.odds['laying-workers'] > WORKERS_PERHAPS
            ? killed(belief.odds['laying-workers'])
            : null,
  };
});

/** A mated queen, where none lays. */
export const giveQueen = aboutQueen('give-queen', 'give-queen', 'Give it a mated queen', (facts) => {
  const { belief } = facts;
  const old = belief.odds['drone-layer'] + belief.odds['not-laying'] + belief.odds.virgin > 0.4;
  return {
    why: `She lays within a week${old || facts.pastSeason !== null ? '; the one that is there must be found and taken out first' : ''}.`,
    blocked:
      layingChance(facts) > 0.5 && facts.pastSeason === null
        ? LAYS
        : belief.odds['laying-workers'] > WORKERS_PERHAPS
          ? killed(belief.odds['laying-workers'])
          : null,
  };
});

/** Where others lay in boxes of their own, those are shaken out, and hers stays. */
export const shakeOutPart = aboutQueen(
  'shake-out-part',
  'free-queen',
  'Shake out the boxes with drone brood; her box stays on the stand',
  ({ theirBoxes }) => ({
    why: 'Workers lay beyond what she does not cross. Her field bees fly home to her, the others stay behind; what barred her is taken away.',
    blocked:
      theirBoxes.length > 0
        ? null
        : 'Nobody has seen worker brood in one box and only drones in another: look box by box.',
  }),
);

/** A unit past help is given up, its bees to neighbours. */
export const shakeOut: RemedyMaker = (facts, all, on) => {
  const [strong] = giversFor(facts, all).filter(
    (g) => g.yardId === facts.yardId && g.unit.bees >= STRONG_BEES,
  );
  const more = facts.unit.bees * BEGGED_IN;
  const hopeless = facts.belief.odds['laying-workers'] + facts.belief.odds.hopeless;
  return {
    id: 'shake-out',
    title: 'Shake it out in front of strong hives',
    why: 'Away from its stand, on a warm day: bees beg their way in, workers that lay stay behind or are stopped at the entrances.',
    blocked:
      hopeless < 0.5
        ? 'Only a colony without a queen, past help, is shaken out.'
        : strong
          ? null
          : `No strong hive stands in its yard: ${STRONG_BEES} frames of bees or more, with a laying queen. Weak ones are overrun, or take the workers that lay.`,
    partner: strong,
    then: NOTHING,
    ...(strong && {
      partnerThen: expectationOf(strong, 'leave', on, { ...strong.unit, bees: strong.unit.bees + more }),
    }),
  };
};

/** A colony takes strangers in without harm from so many frames of bees on (common practice, no source). */
const STRONG_BEES = 8;

/** Of bees that are shaken out so many find another hive. Judgement, no source. */
const BEGGED_IN = 0.6;

/** A colony is united under the better queen. */
export const combine: RemedyMaker = (facts, all, on) => {
  const union = bestUnion(facts, all, on);
  const workers = facts.belief.odds['laying-workers'] > 0.5;
  const weak = union !== null && workers && union.partner.unit.bees < STRONG_BEES;
  return {
    id: 'combine',
    title: union ? `Unite it with ${union.partner.colony.name}` : 'Unite it',
    why: union
      ? `${inWords(union.unit.bees)} frames of bees on ${inWords(broodOf(union.unit))} of brood under ${union.queenOf ? `the queen of ${union.queenOf.colony.name}` : 'no queen yet'}.`
      : 'There is no healthy colony with a laying queen to unite it with.',
    blocked: !union
      ? 'No healthy colony with a laying queen is there.'
      : weak
        ? 'Laying workers are united to a very strong queenright colony only.'
        : null,
    partner: union?.partner,
    then: union?.then ?? expectationOf(facts, 'leave', on),
  };
};

/** A unit is ended and its combs are kept. */
export const letGo: RemedyMaker = (facts) => ({
  id: 'let-go',
  title: 'Let it go: end it and keep its combs',
  why: facts.sick
    ? 'Have it examined first; combs of a sick colony are not reused.'
    : 'Its bees die out or drift off; close it before it is robbed.',
  blocked:
    layingChance(facts) > 0.7 && facts.unit.bees > 1.5
      ? 'It has a laying queen and bees: unite it rather.'
      : null,
  then: NOTHING,
});

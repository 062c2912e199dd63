import { QUEEN_STATE_WORDS } from '../rules/index.ts';
import { expectationOf } from './unit/expectation.ts';
import { cappedGift, giversFor, nurseGift } from './unit/partners.ts';
import { outcomesOf } from './unit/queenOutcomes.ts';
import { broodSizeOf, inWords, type RemedyMaker } from './remedyDraft.ts';
import { boundsOf, layingChance, type UnitFacts } from './unit/unitFacts.ts';
import { broodOf, type UnitBees } from './unit/unitProspect.ts';
import { watchInWords } from './watchOn.ts';

/** Nothing is done for a week, with a test that decides then. */
export const watch: RemedyMaker = (facts, _, on) => {
  const { belief } = facts;
  const chance = outcomesOf(belief.odds, 'leave').reduce((s, o) => s + o.weight * o.chance, 0);
  return {
    id: 'watch',
    title: 'Watch it, with a test and a date',
    why: watchInWords(facts),
    blocked:
      chance < LEAST_HOPE
        ? `Nothing can come of waiting (${QUEEN_STATE_WORDS[belief.leading]}): each week costs a fifth of its bees.`
        : null,
    then: expectationOf(facts, 'leave', on),
  };
};

/** Below this chance that a queen lays in the end, waiting is no plan. */
const LEAST_HOPE = 0.25;

/** Chance that no worker brood of its own will come as it stands. */
const doomed = ({ belief: { odds } }: UnitFacts) =>
  odds.hopeless + odds['laying-workers'] + odds['drone-layer'];

/** Why nothing is spent on a unit: it has a queen past her time, or cannot build up any more before winter; null where it may be. */
function notWorthIt({ day, season, rules, unit, pastSeason }: UnitFacts): string | null {
  if (pastSeason !== null)
    return `Its queen is in season ${pastSeason}: replace her, or unite it under a young one, before bees or brood are spent on it.`;
  return day > season.lastForWinterBees && unit.bees < rules.winterBees
    ? `It can no longer build up before winter: ${inWords(rules.winterBees)} frames of bees are wanted then. Unite it.`
    : null;
}

/** A comb of capped brood of a giver, as far as bees cover it. */
export const boostBrood: RemedyMaker = (facts, all, on) => {
  const { unit } = facts;
  const gift = cappedGift(facts, all, broodSizeOf(facts));
  const { cover } = boundsOf(facts);
  const after: UnitBees = { ...unit, capped: unit.capped + (gift?.amount ?? 0) };
  const covered = unit.bees * cover;
  return {
    id: 'boost-brood',
    title: 'Give it a comb of capped or emerging brood',
    why: gift
      ? `${gift.giver.colony.name} can spare one; its bees emerge within twelve days. ${inWords(broodOf(after))} frames of brood, ${inWords(covered)} are covered.`
      : 'No donor is above its floor.',
    blocked: !gift
      ? 'No healthy colony can spare a comb of the same size.'
      : facts.drying
        ? 'Its brood is drying out: it has too few bees for what it has. Bees first.'
        : broodOf(after) > covered + 0.25
          ? `Bees ${inWords(unit.bees)}, brood ${inWords(broodOf(unit))}: one more comb makes ${inWords(broodOf(after))} on ${inWords(unit.bees)}, and ${facts.outside.coldNights ? 'cold nights are to come' : 'they do not cover it'}. Bees first.`
          : doomed(facts) + facts.belief.odds['not-laying'] > 0.5
            ? 'Settle its queen first: without one, brood given now only ages with it.'
            : notWorthIt(facts),
    partner: gift?.giver,
    then: expectationOf(facts, 'leave', on, after),
    ...(gift && { partnerThen: expectationOf(gift.giver, 'leave', on, gift.left) }),
  };
};

/** Nurse bees of a giver: no brood to chill. */
export const boostNurses: RemedyMaker = (facts, all, on) => {
  const { unit } = facts;
  const gift = nurseGift(facts, all);
  const after: UnitBees = { ...unit, bees: unit.bees + (gift?.bees ?? 0) };
  const giverLeft = gift && { ...gift.giver.unit, bees: gift.giver.unit.bees - gift.bees };
  return {
    id: 'boost-nurses',
    title: 'Give it nurse bees, shaken off open brood',
    why: gift
      ? `${gift.frames.length} combs of ${gift.giver.colony.name} shaken give about ${inWords(gift.bees)} frames of nurses at once: ${inWords(after.bees)} on ${inWords(broodOf(unit))} of brood. No brood to chill.`
      : 'No colony is strong enough to be shaken.',
    blocked: !gift
      ? 'No healthy colony is strong enough to give bees.'
      : layingChance(facts) < 0.5
        ? 'Bees are given to a colony with a laying queen: settle her first.'
        : notWorthIt(facts),
    partner: gift?.giver,
    then: expectationOf(facts, 'leave', on, after),
    ...(gift && giverLeft && { partnerThen: expectationOf(gift.giver, 'leave', on, giverLeft) }),
  };
};

/** Field bees of a colony in a flow, as a share (common practice, no source). */
const FIELD_SHARE = 0.33;

/** Field bees of a strong hive, by its stand. */
export const swapStands: RemedyMaker = (facts, all, on) => {
  const [strong] = giversFor(facts, all).filter(
    (g) =>
      g.yardId === facts.yardId &&
      g.colony.hiveId !== facts.colony.hiveId &&
      g.unit.bees > facts.unit.bees + 3 &&
      layingChance(g) > 0.75,
  );
  const shift = strong ? (strong.unit.bees - facts.unit.bees) * FIELD_SHARE : 0;
  const after: UnitBees = { ...facts.unit, bees: facts.unit.bees + shift };
  return {
    id: 'swap-stands',
    title: 'Change its stand with a strong hive',
    why: strong
      ? `Field bees of ${strong.colony.name} fly to it: about ${inWords(shift)} frames.`
      : 'No strong hive in its yard.',
    blocked: !strong
      ? 'No much stronger hive with a safe queen stands in its yard.'
      : !facts.flow
        ? 'Only in a flow: otherwise strangers are fought and the queen may be lost.'
        : layingChance(facts) < 0.75
          ? 'Both queens must be safe, and hers is in doubt.'
          : null,
    partner: strong,
    then: expectationOf(facts, 'leave', on, after),
    ...(strong && {
      partnerThen: expectationOf(strong, 'leave', on, { ...strong.unit, bees: strong.unit.bees - shift }),
    }),
  };
};

/** Warmth that a fitting box saves, as brood covered more by each frame of bees. Judgement, no source. */
const SAVED_BY_SHRINKING = 0.1;

/** Less room, kept warmer. */
export const shrink: RemedyMaker = (facts, _, on) => {
  const { unit, slots } = facts;
  const roomy = slots > 5 && unit.bees * 1.6 < slots;
  const warmer = {
    ...facts,
    rules: {
      ...facts.rules,
      coverWarm: facts.rules.coverWarm + SAVED_BY_SHRINKING,
      coverCold: facts.rules.coverCold + SAVED_BY_SHRINKING,
    },
  };
  return {
    id: 'shrink',
    title: 'Shrink its room to what its bees cover',
    why: `${inWords(unit.bees)} frames of bees keep ${Math.max(3, Math.ceil(unit.bees + 1))} combs warm; the rest goes to the store.`,
    blocked: !roomy
      ? 'Its room is no larger than its bees cover.'
      : doomed(facts) > 0.5
        ? 'Settle its queen first: less room saves nothing without one.'
        : null,
    then: expectationOf(warmer, 'leave', on),
  };
};

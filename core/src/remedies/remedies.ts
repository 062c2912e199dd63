import type { ActionId, Apiary, BoxAction, Colony } from '../records/index.ts';
import { lowerFirst, capital, dayInWords, type Day } from '../basics/index.ts';
import { assess, type Opening } from '../assessment/index.ts';
import { QUEEN_STATE_WORDS } from '../rules/index.ts';
import { usualHorizon } from './unit/usualHorizon.ts';
import { expectationOf, type Expectation } from './unit/expectation.ts';
import {
  combine,
  freeQueen,
  giveCell,
  giveQueen,
  letGo,
  shakeOut,
  shakeOutPart,
  testFrame,
} from './queenRemedies.ts';
import type { RemedyMaker } from './remedyDraft.ts';
import { boostBrood, boostNurses, shrink, swapStands, watch } from './strengthRemedies.ts';
import { unitFacts, type Outside, type UnitFacts } from './unit/unitFacts.ts';
import { whyWeak, type WeakCause } from './unit/whyWeak.ts';

/** What can be done about a weak or doubtful unit: any action but those about single cells, or to watch it. */
export type RemedyId = Exclude<ActionId, 'cut-early-cells' | 'cut-cells' | BoxAction> | 'watch';

/** One thing that can be done, with what it is expected to come to. */
export interface Remedy {
  readonly id: RemedyId;
  readonly title: string;
  readonly why: string;
  /** Why it must not be done; null when it may. */
  readonly blocked: string | null;
  /** The unit that gives, or with which it is united. */
  readonly partner: { readonly colonyId: string; readonly name: string } | null;
  /** Colonies with a laying queen and bees enough on the day, of all units that it touches. */
  readonly colonies: number;
  /** The same less what they are expected to be when left alone. */
  readonly gain: number;
  /** Frames of bees in living colonies more than when left alone, of all units that it touches. */
  readonly moreBees: number;
  /** Frames of bees of this unit, or of the united one, on the day. */
  readonly bees: number;
}

/** A unit judged: why it is weak, and what can be done, the best first. */
export interface Remedies {
  readonly facts: UnitFacts;
  readonly causes: readonly WeakCause[];
  readonly on: Day;
  /** What is expected when it is left alone. */
  readonly left: Expectation;
  readonly remedies: readonly Remedy[];
}

/** Facts of every unit that is alive. */
export function allFacts(apiary: Apiary, day: Day, outside: Outside): UnitFacts[] {
  return Object.values(apiary.colony)
    .filter((c) => c.endedOn === null && c.hiveId !== null)
    .map((c) => unitFacts(apiary, c, day, outside));
}

/** What can be done about a unit, ranked by what it does to the number of colonies on a day, then to their bees. */
export function remediesFor(
  apiary: Apiary,
  colony: Colony,
  day: Day,
  outside: Outside,
  on?: Day,
  all: readonly UnitFacts[] = allFacts(apiary, day, outside),
): Remedies {
  const facts = all.find((f) => f.colony.id === colony.id) ?? unitFacts(apiary, colony, day, outside);
  const horizon = on ?? usualHorizon(facts);
  const left = expectationOf(facts, 'leave', horizon);
  const drafts = MAKERS.map((make) => make(facts, all, horizon));
  const { needs, opening, queenAct } = assess(apiary, colony, day);
  const { leading, rival, chance } = facts.belief;
  // Of two stories that are open none is acted on for good.
  const open =
    facts.theirBoxes.length > 0
      ? 'Others lay in boxes of their own: those are shaken out first, and her brood is judged a week later.'
      : facts.looks.length > 0 && queenAct.id === 'look' && chance < ACT_FROM
        ? `${capital(QUEEN_STATE_WORDS[leading])} or ${QUEEN_STATE_WORDS[rival.state]}, nobody knows yet. First: ${lowerFirst(queenAct.what)}.`
        : null;
  const flies =
    (leading === 'virgin' || leading === 'cells') && chance >= ACT_FROM && queenAct.id === 'leave'
      ? 'A young queen is coming, or out, and has her time before her: nothing is put in her place.'
      : null;
  const asked = new Set<string | null>(needs.map((n) => n.action));
  if (facts.pastSeason !== null) asked.add('give-queen');
  const shut = opening.may || opening.because === 'health' ? null : shutInWords(opening);
  const remedies = drafts
    .map(({ then, partner, partnerThen, ...d }): Remedy => {
      const before = partner && expectationOf(partner, 'leave', horizon);
      const colonies = then.colonies + (partnerThen?.colonies ?? 0);
      return {
        ...d,
        colonies,
        bees: then.bees,
        moreBees: then.strength + (partnerThen?.strength ?? 0) - left.strength - (before?.strength ?? 0),
        blocked: facts.sick
          ? 'It may be sick: nothing goes in or out, and it is united with nobody, until it was examined.'
          : shut !== null && !STAYS_SHUT.has(d.id)
            ? shut
            : (d.blocked ?? (FOR_GOOD.has(d.id) ? (open ?? (d.id === 'let-go' ? null : flies)) : null)),
        partner: partner ? { colonyId: partner.colony.id, name: partner.colony.name } : null,
        gain: colonies - left.colonies - (before?.colonies ?? 0),
      };
    })
    .toSorted(
      (a, b) =>
        Number(a.blocked !== null) - Number(b.blocked !== null) ||
        // What the assessment calls for is the first choice here as well.
        Number(asked.has(b.id)) - Number(asked.has(a.id)) ||
        worthOf(b) - worthOf(a) ||
        b.bees - a.bees,
    );
  return { facts, causes: whyWeak(facts), on: horizon, left, remedies };
}

/** What does not open the hive of the unit, or ends it. */
const STAYS_SHUT: ReadonlySet<RemedyId> = new Set(['watch', 'let-go']);

/** Below this chance of the likeliest story nothing is done that cannot be undone. Judgement, no source. */
const ACT_FROM = 0.6;
const FOR_GOOD: ReadonlySet<RemedyId> = new Set([
  'give-queen',
  'give-cell',
  'combine',
  'shake-out',
  'let-go',
]);

/** Why it is not opened today, as every page says it. */
const shutInWords = ({ because, until, why }: Opening): string =>
  because === 'queen'
    ? `Hands off${until ? ` until ${dayInWords(until)}` : ''}: a queen on her flights is easily lost when her hive is opened.`
    : why;

/** A frame of bees more in living colonies, in colonies. Judgement, no source. */
const FRAME_WORTH = 0.03;

/** What a remedy is worth, in colonies. */
const worthOf = (r: Remedy) => r.gain + FRAME_WORTH * r.moreBees - TROUBLE[r.id];

/** What a remedy must gain to be worth its trouble, in colonies; letting go comes last of what is as good. */
const TROUBLE: Readonly<Record<RemedyId, number>> = {
  watch: 0,
  'boost-brood': 0.02,
  'boost-nurses': 0.02,
  'swap-stands': 0.02,
  shrink: 0.005,
  'free-queen': 0.01,
  'test-frame': 0.01,
  'give-cell': 0.03,
  'give-queen': 0.04,
  'shake-out': 0.03,
  'shake-out-part': 0.02,
  combine: 0.03,
  'let-go': 0.1,
};

const MAKERS: readonly RemedyMaker[] = [
  watch,
  boostBrood,
  boostNurses,
  swapStands,
  shrink,
  freeQueen,
  testFrame,
  giveCell,
  giveQueen,
  shakeOut,
  shakeOutPart,
  combine,
  letGo,
];

import { operationOf } from '../../records/index.ts';
import { capital, dayInWords, massInWords } from '../../basics/index.ts';
import { QUEEN_STATE_WORDS } from '../../rules/index.ts';
import { broodOf } from './unitProspect.ts';
import { boundsOf, layingChance, type UnitFacts } from './unitFacts.ts';

/** What may be behind it that a unit is weak. */
const WEAK_CAUSES = ['disease', 'queen', 'bees', 'food', 'room', 'space', 'season', 'young'] as const;
type WeakCauseId = (typeof WEAK_CAUSES)[number];

/** One cause, with what in the records speaks for it. */
export interface WeakCause {
  readonly cause: WeakCauseId;
  readonly words: string;
}

/** Less than this chance of a laying queen is told. */
const QUEEN_DOUBT = 0.7;
/** Brood may exceed what is covered by so much before it is told, in frames. */
const COVER_SLACK = 0.4;
/** A box with so many slots for each frame of bees is too large for them. */
const TOO_LARGE = 2.2;

const share = (x: number) => `${Math.round(x * 100)} %`;
const frames = (x: number) => `${x.toFixed(1)} frames`;

/**
 * Why a unit is weak, from the record, the gravest first. Disease, queen and food are asked before brood is spent on
 * it. A small unit with a young queen's compact nest is no failure: it comes last and says so.
 */
export function whyWeak(facts: UnitFacts): WeakCause[] {
  const { belief, unit, rules, storesKg, drawn, slots, season, day, looks, sick, drying } = facts;
  const { units } = operationOf(facts.apiary);
  const causes: WeakCause[] = [];
  const add = (cause: WeakCauseId, words: string) => causes.push({ cause, words });
  if (sick) {
    add(
      'disease',
      drying
        ? 'Brood dries out, and neglect and disease look alike: check for smell, ropiness, sunken or holed caps and mites before anything goes in or out.'
        : 'Signs of disease or many mites were seen: have it examined before anything goes in or out.',
    );
  }
  const laying = layingChance(facts);
  if (laying < QUEEN_DOUBT) {
    add('queen', `${capital(QUEEN_STATE_WORDS[belief.leading])} (${share(belief.chance)}).`);
  }
  if (!facts.counted) return causes;
  const brood = broodOf(unit);
  const { cover } = boundsOf(facts);
  if (brood > unit.bees * cover + COVER_SLACK) {
    add(
      'bees',
      `${frames(brood)} of brood, and its ${frames(unit.bees)} of bees cover ${frames(unit.bees * cover)}: it needs bees, not brood. Neglect and disease look alike: check the larvae first.`,
    );
  } else if (unit.bees < rules.weakBees) {
    add('bees', `${frames(unit.bees)} of bees; a colony of its own has ${rules.weakBees} or more.`);
  }
  const needsKg = unit.bees * rules.feedPerBeesFrame * rules.feedDays + rules.feedReserveKg;
  if (!facts.flow && storesKg < needsKg) {
    add(
      'food',
      `${massInWords(storesKg, units)} of stores; ${massInWords(needsKg, units)} last ${rules.feedDays} days.`,
    );
  }
  if (laying >= QUEEN_DOUBT && drawn < 0.3 && brood < unit.bees * cover - 0.5) {
    add('room', 'Hardly an empty cell for her eggs: give drawn comb beside the brood.');
  }
  if (slots > TOO_LARGE * unit.bees && slots > 5) {
    add('space', `${slots} combs for ${frames(unit.bees)} of bees: too much to keep warm.`);
  }
  if (day > season.lastForWinterBees && unit.bees < rules.winterBees) {
    add(
      'season',
      `Winter bees are raised by queens that lay before ${dayInWords(season.lastForWinterBees)}; first hard frosts about ${dayInWords(season.frost)}.`,
    );
  }
  const compact = looks.some(
    (l) => l.seen.cappedBrood.look === 'found' && l.seen.cappedBrood.patch === 'compact',
  );
  if (causes.every((c) => c.cause === 'bees') && (compact || belief.odds['newly-laying'] > 0.5)) {
    add('young', 'A compact nest: pattern comes before quantity. It needs time and food, not a merger.');
  }
  return causes;
}

import {
  cagedAtHome,
  type FollowUpTopic,
  openFollowUps,
  queenCame,
  speaksOfQueenFrom,
  type AskedOfEvidence,
  type Apiary,
  type Colony,
  type Visit,
  visitsOf,
  type PlacedFrame,
  DISEASE_SIGN_NAMES,
  type Evidence,
} from '../records/index.ts';
import { addDays, dayInWords, daysBetween, type Day } from '../basics/index.ts';
import { WORKER_STAGE_DAYS } from '../brood/index.ts';
import { shareOf } from '../comb/index.ts';
import { calmly, urgently, type Notice, type NoticeId } from './notice.ts';
import type { Strength } from '../forecast/index.ts';

/** Something about a colony that outweighs its strength. */
export interface Doubt {
  /** Unfit: gives nothing and gets nothing until it is settled. Watch: a stated look settles it. */
  readonly lane: 'unfit' | 'watch';
  readonly notice: Notice;
}

/** What was seen so long ago no longer speaks for the colony (judgement). */
const SEEN_COUNTS_DAYS = 30;
/** A look that should settle a doubt comes a week later: eggs of a laying queen are open brood by then. */
const LOOK_AGAIN_DAYS = 7;
/** For eggs one looks again sooner, on the day that the verdict of the inspection has named. */
const EGGS_AGAIN_DAYS = 5;

/**
 * What the last looks say against a colony, the gravest first: signs of disease, laying workers, a drone
 * layer; then what a further look should settle.
 */
export function doubtOf(
  apiary: Apiary,
  colony: Colony,
  frames: readonly PlacedFrame[],
  strength: Strength,
  today: Day,
): Doubt | undefined {
  const disease = suspectedDisease(apiary, colony, today);
  if (disease !== null) {
    return {
      lane: 'unfit',
      notice: urgently(
        'disease-suspected',
        `Disease suspected${disease ? ` (${disease})` : ''}: move nothing in or out, have it examined`,
      ),
    };
  }
  const drying = dryingBrood(apiary, colony, today);
  if (drying !== null) {
    return drying === 'unexamined'
      ? {
          lane: 'unfit',
          notice: urgently('brood-drying', 'Brood drying out: check it for signs of disease first'),
        }
      : { lane: 'watch', notice: urgently('brood-drying', 'Brood drying out: give it nurse bees') };
  }
  const looks = recentLooks(apiary, colony, today);
  const brood = unfit(looks);
  // She lays nothing yet, and everybody knows why.
  const awaited = queenCame(apiary, colony, today) ?? cagedAtHome(apiary, colony, today);
  return brood ?? (awaited ? undefined : toWatch(looks, frames, strength, lookDue(apiary, colony, today)));
}

function recentLooks(apiary: Apiary, colony: Colony, today: Day): Visit[] {
  const from = speaksOfQueenFrom(apiary, colony, today);
  return visitsOf(apiary, colony.id).filter(
    (v) =>
      v.evidence &&
      v.day <= today &&
      daysBetween(v.day, today) <= SEEN_COUNTS_DAYS &&
      // What was seen before she came says nothing of a queen.
      (from === null || v.day >= from),
  );
}

/** The latest answer to a question: a later look that did not ask leaves the earlier one standing. */
function latest<K extends AskedOfEvidence>(
  looks: readonly Visit[],
  key: K,
): { readonly day: Day; readonly answer: Evidence[K] } | undefined {
  const visit = looks.find((v) => v.evidence && v.evidence[key].look !== 'notLooked');
  return visit?.evidence ? { day: visit.day, answer: visit.evidence[key] } : undefined;
}

/**
 * Signs of brood disease that the last inspection which looked for them has found; null when it found none. They do not
 * lapse: a suspicion stands until somebody has looked again and found nothing.
 */
export function suspectedDisease(apiary: Apiary, colony: Colony, today: Day): string | null {
  const asked = visitsOf(apiary, colony.id).flatMap(({ day, evidence: e }) =>
    e && day <= today && e.diseaseSigns.look !== 'notLooked' ? [{ day, answer: e.diseaseSigns }] : [],
  );
  // Whichever inspection of a day came first: signs that one of them found are there.
  const ofDay = asked.filter((v) => v.day === asked[0]?.day);
  const sick = ofDay.find((v) => v.answer.look === 'found') ?? ofDay[0];
  if (sick?.answer.look !== 'found') return null;
  return (sick.answer.signs ?? []).map((s) => DISEASE_SIGN_NAMES[s]).join(', ');
}

/** Open brood that dried out so long ago is capped, or gone. */
const DRIES_DAYS = WORKER_STAGE_DAYS.open;

/**
 * Brood that was seen drying out, and whether it was looked over for signs of disease since: neglected and sick brood look
 * alike. Null where none was seen lately, or a later inspection found none.
 */
export function dryingBrood(apiary: Apiary, colony: Colony, today: Day): 'unexamined' | 'clean' | null {
  const looks = recentLooks(apiary, colony, today);
  const dry = latest(looks, 'dryingBrood');
  if (dry?.answer.look !== 'found' || daysBetween(dry.day, today) > DRIES_DAYS) return null;
  const signs = latest(looks, 'diseaseSigns');
  return signs?.answer.look === 'notFound' && signs.day >= dry.day ? 'clean' : 'unexamined';
}

/** Looks that tell how it stands with a queen. */
const OF_ITS_QUEEN: ReadonlySet<FollowUpTopic> = new Set(['which-part', 'eggs-due', 'capped-due']);

/** The day of the next inspection that is filed about its queen; null for none. */
function lookDue(apiary: Apiary, colony: Colony, today: Day): Day | null {
  const days = openFollowUps(apiary)
    .filter((f) => OF_ITS_QUEEN.has(f.topic) && f.colonyIds.includes(colony.id) && f.window.likely > today)
    .map((f) => f.window.likely)
    .toSorted((a, b) => a.localeCompare(b));
  return days[0] ?? null;
}

/** Robbers come back for so many days (judgement). */
export const ROBBED_DAYS = 2;

/** The day on which robbers were seen at it, as long as they are to be reckoned with; null for none. */
export function robbedOn(apiary: Apiary, colony: Colony, today: Day): Day | null {
  const robbed = latest(recentLooks(apiary, colony, today), 'robbing');
  return robbed?.answer.look === 'found' && daysBetween(robbed.day, today) <= ROBBED_DAYS ? robbed.day : null;
}

function unfit(looks: readonly Visit[]): Doubt | undefined {
  const eggs = latest(looks, 'eggs');
  if (eggs?.answer.look === 'found' && eggs.answer.perCell === 'several' && eggs.answer.place === 'walls') {
    return {
      lane: 'unfit',
      notice: calmly('laying-workers-likely', 'Several eggs a cell, on the walls: laying workers likely'),
    };
  }
  const capped = latest(looks, 'cappedBrood');
  if (capped?.answer.look === 'found' && capped.answer.cappings === 'domed') {
    return {
      lane: 'unfit',
      notice: calmly('domed-caps-only', 'Only domed caps: drone layer or laying workers'),
    };
  }
  return undefined;
}

function toWatch(
  looks: readonly Visit[],
  frames: readonly PlacedFrame[],
  strength: Strength,
  due: Day | null,
): Doubt | undefined {
  const watch = (id: NoticeId, words: string): Doubt => ({ lane: 'watch', notice: calmly(id, words) });
  // What an inspection has put into the calendar is the day for it.
  const again = (day: Day, days = LOOK_AGAIN_DAYS) => dayInWords(due ?? addDays(day, days));
  const read = frames.filter((f) => f.reading && !f.reading.body.estimated);
  const eggs = latest(looks, 'eggs');
  const young = latest(looks, 'youngLarvae');
  if (eggs?.answer.look === 'notFound' && young?.answer.look !== 'found') {
    return watch(
      'no-eggs-seen',
      `No eggs seen on ${dayInWords(eggs.day)}: inspect again on ${again(eggs.day, EGGS_AGAIN_DAYS)}`,
    );
  }
  const whole = read.length > 0 && read.length === frames.length;
  const counted = read.reduce<Day>((d, f) => (f.reading && f.reading.day > d ? f.reading.day : d), '');
  const has = (...classes: Parameters<typeof shareOf>[1][]) =>
    read.some((f) => f.reading && shareOf(f.reading.body, ...classes) > 0);
  // Eggs alone are easily missed; without larvae too she has not laid for days.
  if (whole && !has('eggs', 'open') && has('capped') && eggs?.answer.look !== 'found') {
    return watch('no-brood-counted', `No eggs or larvae counted: inspect again on ${again(counted)}`);
  }
  const capped = latest(looks, 'cappedBrood');
  if (capped?.answer.look === 'found' && capped.answer.patch === 'scattered') {
    return watch(
      'scattered-brood',
      `Scattered brood on ${dayInWords(capped.day)}: inspect again on ${again(capped.day)}`,
    );
  }
  const compact = capped?.answer.look === 'found' && capped.answer.patch === 'compact';
  if (compact && strength.framesOfBees.likely < SMALL_BEES && has('eggs')) {
    return watch(
      'small-but-compact',
      `Small, with compact brood: give it time and food, count on ${again(counted)}`,
    );
  }
  return undefined;
}

/** Three frames of bees with a tight, small nest need time, not a merger (common practice, no source). */
const SMALL_BEES = 3.5;

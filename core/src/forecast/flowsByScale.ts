import { daysBetween, type Day } from '../basics/index.ts';
import { placeOf, type Apiary, type Colony, type CommandOf, type Yard } from '../records/index.ts';
import { scaleDays, scaleVerdict, type ScaleDay, type ScaleHour } from '../weather/index.ts';
import { colonyOn } from './colonyOn.ts';
import { flowOn } from './flowOn.ts';

/** A kilogram gained is nectar in part: so much of it is honey when it is ripe (common practice, our estimate). */
const RIPE = 0.7;
/** A gain is of a colony of about this many frames of bees at least: one on a scale is no nuc. */
const LEAST_FRAMES = 4;
/** A gain by which the one on record is corrected, in kg a day for ten frames of bees. */
const TELLING_KG = 0.3;
/** Where the keeper has said that a flow is over, the scale says nothing for so many days. */
const KEEPER_RULES_DAYS = 7;
/** Mean gain over so many days at most. */
const MEAN_DAYS = 7;

/**
 * What scales say about flows, as commands: a flow that begins, one that brings more or less than is on record, and one
 * that is over. What the keeper has said is left alone.
 *
 * @param hours - weights of all hives on scales, named as their colonies
 * @param day - the day of the records; weights of it and before count
 */
export function flowsByScale(apiary: Apiary, hours: readonly ScaleHour[], day: Day): CommandOf<'noteFlow'>[] {
  const byHive = new Map<string, ScaleHour[]>();
  for (const h of hours) {
    const hive = h.hive.toLowerCase();
    byHive.set(hive, [...(byHive.get(hive) ?? []), h]);
  }
  const done = new Set<string>();
  return [...byHive].flatMap(([hive, own]) => {
    const colony = Object.values(apiary.colony).find(
      (c) => c.endedOn === null && c.name.toLowerCase() === hive,
    );
    const yard = colony && placeOf(apiary, colony).yard;
    if (!colony || !yard || done.has(yard.id)) return [];
    const days = scaleDays(own).filter((d) => d.day <= day);
    const said = saidBy(apiary, colony, yard, days, day);
    // Two scales in one yard: the first that says something.
    if (said) done.add(yard.id);
    return said ?? [];
  });
}

function saidBy(
  apiary: Apiary,
  colony: Colony,
  yard: Yard,
  days: readonly ScaleDay[],
  day: Day,
): CommandOf<'noteFlow'> | null {
  const last = days.at(-1)?.day;
  const { says } = scaleVerdict(days);
  // A scale that has been silent for days says nothing of today.
  if (last === undefined || daysBetween(last, day) > 2 || says === 'too-little-known') return null;
  const now = flowOn(yard, last);
  const base = { type: 'noteFlow' as const, yardId: yard.id, by: 'scale' as const };
  if (says !== 'flow') {
    return now?.by === 'scale' && now.to === null
      ? { ...base, what: 'ends', day: last, kgPerDay: null }
      : null;
  }
  if (now?.by === 'keeper') return null;
  const stopped = (yard.season?.flows ?? []).some(
    (f) => f.to !== null && f.by === 'keeper' && f.to <= last && daysBetween(f.to, last) < KEEPER_RULES_DAYS,
  );
  if (stopped) return null;
  const from = now?.from ?? days.slice(-3)[0]?.day ?? last;
  const gained = days.filter((d) => d.day >= from).slice(-MEAN_DAYS);
  const mean = gained.reduce((n, d) => n + d.gainKg, 0) / gained.length;
  const { model } = colonyOn(apiary, colony, last);
  const kgPerDay = model
    ? Math.round((10 * Math.max(0, mean) * RIPE * 10) / Math.max(LEAST_FRAMES, model.framesOfBees)) / 10
    : null;
  if (now && Math.abs((now.kgPerDay ?? 0) - (kgPerDay ?? 0)) < TELLING_KG) return null;
  return { ...base, what: 'begins', day: from, kgPerDay };
}

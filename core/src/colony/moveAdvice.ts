import { daysBetween, type Day, distanceInWords } from '../basics/index.ts';
import { coloniesOfHive, type Apiary, type Hive, type Yard, operationOf } from '../records/index.ts';

/** Beyond this way field bees know no landmark and stay (common practice, no source). */
export const FLYING_RANGE_KM = 3;
/** A hive may be shifted by so much a day within its yard (common practice, no source). */
export const METRES_A_DAY = 1;

/** One thing to know before a hive is moved. */
export interface MoveNote {
  readonly id: 'fly-back' | 'dusk-near' | 'in-the-air' | 'near-yard' | 'virgin' | 'shut' | 'drive';
  readonly tone: 'alarm' | 'plain';
  readonly words: string;
}

/** The way between two yards as a bee flies it, in kilometres; null where one of them has no position. */
export function kilometresBetween(a: Yard | undefined, b: Yard | undefined): number | null {
  if (!a?.position || !b?.position) return null;
  const rad = (d: number) => (d * Math.PI) / 180;
  const [p, q] = [a.position, b.position];
  const h =
    Math.sin(rad(q.latitude - p.latitude) / 2) ** 2 +
    Math.cos(rad(p.latitude)) * Math.cos(rad(q.latitude)) * Math.sin(rad(q.longitude - p.longitude) / 2) ** 2;
  // Mean radius of the earth (IUGG).
  return 2 * 6371.0088 * Math.asin(Math.sqrt(h));
}

/** What a move does to field bees and queens, worst first. */
export function adviceOnMove(
  apiary: Apiary,
  hive: Hive,
  to: { readonly yardId: string; readonly hour: 'day' | 'dusk'; readonly entrance: 'open' | 'shut' },
  day: Day,
): MoveNote[] {
  const from = hive.standId === null ? undefined : apiary.stand[hive.standId];
  const isNear = from?.yardId === to.yardId;
  const km = kilometresBetween(apiary.yard[from?.yardId ?? ''], apiary.yard[to.yardId]);
  const { units } = operationOf(apiary);
  const notes: MoveNote[] = [];
  if (isNear && to.hour === 'day')
    notes.push({
      id: 'fly-back',
      tone: 'alarm',
      words: `Field bees fly back to the old stand. Move it by about ${METRES_A_DAY} metre a day, or at dusk with something before the entrance, or for three weeks to a yard more than ${distanceInWords(FLYING_RANGE_KM, units, 0)} away.`,
    });
  if (isNear && to.hour === 'dusk')
    notes.push({
      id: 'dusk-near',
      tone: 'plain',
      words:
        'Set a branch before the entrance, so that they learn the new place, and count the bees in two days: some fly back all the same.',
    });
  if (!isNear && to.hour === 'day')
    notes.push({
      id: 'in-the-air',
      tone: 'alarm',
      words:
        'By day the bees in the air are left behind. Leave a box with a comb on the old stand and carry it after at dusk, or wait for the evening.',
    });
  if (!isNear && km !== null && km < FLYING_RANGE_KM)
    notes.push({
      id: 'near-yard',
      tone: 'alarm',
      words: `The two yards are ${distanceInWords(km, units)} apart: within flying range many field bees return to the old stand.`,
    });
  for (const colony of coloniesOfHive(apiary, hive.id)) {
    const emergence = colony.separation?.emergence;
    const since = emergence ? daysBetween(emergence.likely, day) : null;
    if (since !== null && since > 5 && since < 28)
      notes.push({
        id: 'virgin',
        tone: 'alarm',
        words: `${colony.name} may have a young queen on her mating flights: she would not find home. Move it within five days of her emerging, or when she lays.`,
      });
  }
  if (to.entrance === 'shut')
    notes.push({
      id: 'shut',
      tone: 'plain',
      words: 'Shut in, bees need a mesh to breathe through. Open the entrance as soon as the hive stands.',
    });
  if (!isNear)
    notes.push({
      id: 'drive',
      tone: 'plain',
      words:
        'Strap it, combs along the way of driving, and keep to local rules on moving bees and on disease.',
    });
  return notes.toSorted((a, b) => Number(b.tone === 'alarm') - Number(a.tone === 'alarm'));
}

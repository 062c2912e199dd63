import { type Problem, distanceInWords } from '../basics/index.ts';
import { type Apiary, type Yard, operationOf } from '../records/index.ts';
import { FLYING_RANGE_KM, kilometresBetween } from './moveAdvice.ts';

/** The open yards to which what is made in one may be carried, those out of flying range or of unknown place first. */
export function otherYards(apiary: Apiary, fromYardId: string): Yard[] {
  const from = apiary.yard[fromYardId];
  const near = (y: Yard) => Number(isNear(kilometresBetween(from, y)));
  return Object.values(apiary.yard)
    .filter((y) => y.id !== fromYardId && y.closedOn === null)
    .toSorted((a, b) => near(a) - near(b) || a.name.localeCompare(b.name));
}

/** Where it is carried: the yard that is chosen, else the only other there is; undefined where that is told on arrival. */
export function carriedTo(apiary: Apiary, fromYardId: string, chosen?: string): Yard | undefined {
  const yards = otherYards(apiary, fromYardId);
  return yards.find((y) => y.id === chosen) ?? (yards.length === 1 ? yards[0] : undefined);
}

/** What is wrong with carrying what is made in one yard to another; null for nothing, or where no place is known. */
export function tooNear(apiary: Apiary, fromYardId: string, toYardId: string): Omit<Problem, 'path'> | null {
  const [from, to] = [apiary.yard[fromYardId], apiary.yard[toYardId]];
  const km = kilometresBetween(from, to);
  if (km === null || !from || !to || !isNear(km)) return null;
  const { units } = operationOf(apiary);
  return {
    code: 'yard-too-near',
    message: `${to.name} is ${distanceInWords(km, units)} from ${from.name}: within flying range the field bees return to the old stand.`,
    remedy: `Choose a yard more than ${distanceInWords(FLYING_RANGE_KM, units, 0)} away, or let it stay in its yard and accept the loss.`,
  };
}

const isNear = (km: number | null) => km !== null && km < FLYING_RANGE_KM;

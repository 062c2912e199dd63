import type { CombSide } from './combSide.ts';

/** Combs without bees are emptied last: they count like so many tenths of bees. */
const AWAY_FROM_BEES = 0.3;

/** Food in combs, in kg of honey. */
export function foodInCombs(sides: readonly CombSide[]): number {
  let kg = 0;
  for (const s of sides) kg += s.foodKg;
  return kg;
}

/** Puts food into empty cells, evenly over the combs that have some. @returns the kilograms that found room */
export function storeInCombs(sides: readonly CombSide[], kg: number): number {
  let room = 0;
  for (const s of sides) room += s.rest.drawn * s.honeyKg;
  if (room <= 0) return 0;
  const share = Math.min(1, kg / room);
  let stored = 0;
  for (const s of sides) stored += s.store(s.rest.drawn * s.honeyKg * share);
  return stored;
}

/** Takes food out of combs. @returns the kilograms that were there to take */
export function takeFromCombs(sides: readonly CombSide[], kg: number): number {
  // They eat where they sit: combs that many cover lose most. What is short is taken from all.
  let weighed = 0;
  for (const s of sides) weighed += s.foodKg * (s.bees + AWAY_FROM_BEES);
  if (weighed <= 0) return 0;
  let eaten = 0;
  for (const s of sides)
    eaten += s.eat(Math.min(s.foodKg, (kg * s.foodKg * (s.bees + AWAY_FROM_BEES)) / weighed));
  const there = foodInCombs(sides);
  const short = Math.min(kg - eaten, there);
  if (short > 1e-9) for (const s of sides) eaten += s.eat((s.foodKg * short) / there);
  return eaten;
}

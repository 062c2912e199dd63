import type { Day } from '../basics/day.ts';
import type { FrameReading } from '../comb/contents.ts';
import type { Evidence } from '../records/bodies/evidence.ts';
import { newQueen } from '../records/kinds/queen.ts';
import { remediesFor } from '../remedies/remedies.ts';
import { DEFAULT_HOUSE_RULES } from '../rules/houseRules.ts';
import { situationOf } from '../split/base/situation.ts';
import { findMethods } from '../split/methods/findMethods.ts';
import { NEST, Scene } from './scene.ts';

/**
 * What was seen, and what must come of it on the page of the inspection, the board, the colony page, the hives of the day,
 * the desk and the finder. Day numbers count from the day on which a part was left without its queen.
 */
export interface Judgement {
  readonly name: string;
  readonly combs?: readonly FrameReading[];
  /** The day of the count. */
  readonly counted?: Day;
  readonly lostOn?: Day | null;
  readonly queenIs?: 'elsewhere' | 'unknown';
  /** Whether one cell was chosen when it was parted. */
  readonly chosen?: boolean;
  /** A strong, healthy colony stands beside it. */
  readonly strong?: boolean;
  /** A queen of that year is on record. */
  readonly bornIn?: number;
  readonly coldNights?: boolean;
  /** Inspections in their order, the last one judged: a day since the loss or a date, what was seen, frames read of all. */
  readonly looks: readonly (readonly [number | Day, Partial<Evidence>, (readonly [number, number])?])[];
  /** The day on which the pages are read, where it is not that of the last inspection. */
  readonly on?: Day;
  readonly finding?: readonly string[];
  /** What the page of the inspection says. */
  readonly says?: RegExp;
  readonly board?: RegExp;
  readonly list?: readonly ('must' | 'may' | 'mustNot')[];
  /** What no page may say on that day. */
  readonly never?: RegExp;
  /** What the desk must not offer. */
  readonly notOffered?: readonly string[];
  /** What may stand first at the desk. */
  readonly first?: readonly string[];
  /** Whether the finder may offer a way to divide it. */
  readonly divides?: boolean;
}

/** Plays a case through. @returns what the pages say that they must not, a line each */
export function wrongIn(c: Judgement): string[] {
  const s = new Scene(c.combs ?? NEST, c.lostOn ?? null, c.queenIs ?? 'elsewhere', c.counted);
  if (c.chosen) s.choose({ earliest: '2026-05-12', likely: '2026-05-14', latest: '2026-05-16' });
  if (c.strong) {
    const combs = [...NEST, ...NEST.slice(1, 5)];
    s.hive('Strong', [combs, combs], c.counted ?? c.lostOn ?? '2026-05-09');
  }
  if (c.bornIn !== undefined)
    s.run({
      type: 'putQueen',
      queen: newQueen({
        id: s.newId(),
        birthYear: c.bornIn,
        mating: 'mated',
        whereabouts: { known: 'colony', colonyId: s.here.id },
      }),
    });
  const last = c.looks.at(-1);
  if (!last) throw new Error('no inspection');
  for (const [when, seen, part] of c.looks.slice(0, -1)) s.see(when, seen, 'Here', part);
  const [when, seen, part] = last;
  const verdict = s.verdict(when, seen, part);
  const day = c.on ?? s.see(when, seen, 'Here', part);
  if (c.on) s.see(when, seen, 'Here', part);
  const told = s.said(day);
  const desk = remediesFor(s.apiary, s.here, day, { coldNights: c.coldNights ?? false })
    .remedies.filter((r) => r.blocked === null)
    .map((r) => r.id);
  const said = [verdict.text, ...verdict.contradictions].join('\n');
  const all = [verdict.text, told.board, told.next].join('\n');
  const { ranked } = findMethods(situationOf(s.apiary, s.here, day), DEFAULT_HOUSE_RULES);
  const divides = ranked.some((r) => r.fit.cannot === null && r.fit.score >= 40);
  const offered = desk.filter((d) => c.notOffered?.includes(d));
  return [
    c.finding?.includes(verdict.finding) === false && `finding ${verdict.finding}`,
    c.says?.test(said) === false && `the inspection says: ${said}`,
    c.board?.test(told.board) === false && `the board says: ${told.board}`,
    told.list && c.list?.includes(told.list) === false && `it is in the list ${told.list}`,
    c.never?.test(all) === true && `some page says: ${all}`,
    offered.length > 0 && `the desk offers ${offered.join(', ')}`,
    c.first?.includes(desk[0] ?? 'nothing') === false && `the desk begins with ${desk[0]}`,
    c.divides !== undefined && c.divides !== divides && `the finder ${divides ? 'offers a' : 'knows no'} way`,
  ].filter((w): w is string => typeof w === 'string');
}

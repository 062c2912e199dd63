import { dayInWords, daysBetween, yearOf, type Day } from '../basics/index.ts';
import { queenOf, type Apiary, type Colony, type PlacedFrame } from '../records/index.ts';

/** A reason to trust a forecast less than its count alone would let one, with the least by which its bees may be off. */
export interface CountDoubt {
  readonly words: string;
  /** As a share of what is forecast. */
  readonly doubt: number;
}

/** A count older than this says nothing of today. */
const A_YEAR = 365;
/** How far off a forecast may be on such a ground (our judgement, no source). */
const DOUBTS = { old: 0.9, clash: 0.4, queen: 0.3, mostUnexpected: 0.7 } as const;

/** What speaks against the counts that a forecast rests on. All is kept as it was told; the forecast widens. */
export function countDoubts(
  apiary: Apiary,
  colony: Colony,
  frames: readonly PlacedFrame[],
  day: Day,
): CountDoubt[] {
  const readings = frames.flatMap((f) => f.reading ?? []);
  const latest = readings.reduce<Day>((d, r) => (r.day > d ? r.day : d), '');
  if (latest === '') return [];
  const doubts: CountDoubt[] = [];
  if (daysBetween(latest, day) > A_YEAR)
    doubts.push({
      words: `Last counted on ${dayInWords(latest)} ${yearOf(latest)}: that says little of today. Count it.`,
      doubt: DOUBTS.old,
    });
  const visits = new Set(readings.flatMap((r) => (r.day === latest ? (r.visitId ?? []) : [])));
  for (const id of visits) {
    const visit = apiary.visit[id];
    if (visit?.unexpected) {
      const { expected, counted } = visit.unexpected;
      doubts.push({
        words: `The count of ${dayInWords(visit.day)} found ${counted.toFixed(1)} frames of bees where the one before let ${expected.toFixed(1)} expect. Count again, or enter what happened between them.`,
        doubt: Math.min(DOUBTS.mostUnexpected, Math.abs(Math.log((counted + 0.1) / (expected + 0.1))) / 2),
      });
    }
    if (visit?.clash)
      doubts.push({
        words: `Two counts of ${dayInWords(visit.day)} differ on the same frames.`,
        doubt: DOUBTS.clash,
      });
  }
  const early = queenOf(apiary, colony.id)?.history.find(
    (h) => h.colonyId === colony.id && h.day < colony.startedOn,
  );
  if (early)
    doubts.push({
      words: `Something of its queen is dated ${dayInWords(early.day)} ${yearOf(early.day)}, before the colony began on ${dayInWords(colony.startedOn)} ${yearOf(colony.startedOn)}. Correct one of the two.`,
      doubt: DOUBTS.queen,
    });
  return doubts;
}

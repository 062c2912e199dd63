import { adviceOnMove } from '@incremen/core/colony';
import type { Day } from '@incremen/core/basics';
import {
  framesOfColony,
  noEvidence,
  openFollowUps,
  placeOf,
  type Apiary,
  type Colony,
  type Command,
  type Evidence,
} from '@incremen/core/records';
import { isInspection } from '@incremen/core/followup';

type NewId = () => string;

/** What was true of each hive that was looked into; only what somebody looked for counts as seen. */
export interface AllFine {
  readonly eggs: boolean;
  readonly brood: boolean;
  readonly noCells: boolean;
  readonly healthy: boolean;
  readonly calm: boolean;
}

/** What one hive in which all is well shows. */
export function fineEvidence(frames: number, fine: AllFine): Evidence {
  const nothing = noEvidence(frames);
  return {
    ...nothing,
    ...(fine.eggs && { eggs: { look: 'found' as const, perCell: 'one' as const, place: 'unsure' as const } }),
    ...(fine.brood && {
      cappedBrood: { look: 'found' as const, cappings: 'flat' as const, patch: 'compact' as const },
    }),
    ...(fine.noCells && { cells: { look: 'notFound' as const } }),
    ...(fine.healthy && { diseaseSigns: { look: 'notFound' as const } }),
    ...(fine.calm && { mood: 'calm' as const }),
  };
}

/** Each was inspected and the same was seen: an inspection that is due of it alone is done with that. */
export function inspectedEach(
  apiary: Apiary,
  colonies: readonly Colony[],
  day: Day,
  fine: AllFine,
  newId: NewId,
): Command[] {
  const due = openFollowUps(apiary).filter((f) => isInspection(f) && f.window.earliest <= day);
  return colonies.map((c) => ({
    type: 'recordLook',
    followUpId: due.find((f) => f.colonyIds.length === 1 && f.colonyIds[0] === c.id)?.id ?? null,
    day,
    note: '',
    parts: [
      { visitId: newId(), colonyId: c.id, evidence: fineEvidence(framesOfColony(apiary, c).length, fine) },
    ],
    newIds: Array.from({ length: 12 }, newId),
  }));
}

/** Each hive was carried to a stand of its own in a yard; the stand is called as the hive. */
export function movedEach(
  apiary: Apiary,
  colonies: readonly Colony[],
  move: { readonly day: Day; readonly yardId: string; readonly hour: 'day' | 'dusk' },
  newId: NewId,
): Command[] {
  return hivesOf(apiary, colonies).map((hive) => ({
    type: 'moveHive',
    hiveId: hive.id,
    day: move.day,
    hour: move.hour,
    to: { standId: newId(), fresh: { yardId: move.yardId, name: hive.name } },
    entrance: 'open',
    obstacleUntil: null,
    newIds: Array.from({ length: 12 }, newId),
  }));
}

/** The hives of colonies, each once: two colonies may share one. */
export const hivesOf = (apiary: Apiary, colonies: readonly Colony[]) => [
  ...new Map(
    colonies.flatMap((c) => {
      const { hive } = placeOf(apiary, c);
      return hive ? [[hive.id, hive] as const] : [];
    }),
  ).values(),
];

/** What is to be thought of when these hives are carried, each thing once, with the hives that it concerns. */
export function adviceOnMoves(
  apiary: Apiary,
  colonies: readonly Colony[],
  move: { readonly day: Day; readonly yardId: string; readonly hour: 'day' | 'dusk' },
): {
  readonly id: string;
  readonly words: string;
  readonly tone: string;
  readonly hives: readonly string[];
}[] {
  const byWords = new Map<string, { id: string; words: string; tone: string; hives: string[] }>();
  for (const hive of hivesOf(apiary, colonies)) {
    for (const n of adviceOnMove(apiary, hive, { ...move, entrance: 'open' }, move.day)) {
      const known = byWords.get(n.words);
      if (known) known.hives.push(hive.name);
      else byWords.set(n.words, { id: n.id, words: n.words, tone: n.tone, hives: [hive.name] });
    }
  }
  return [...byWords.values()];
}

import { dayInWords, type Day } from '../../../basics/index.ts';
import {
  BARE_STAND,
  hivesOnStand,
  standsOfYard,
  type Colony,
  type CommandOf,
  type Hive,
} from '../../../records/index.ts';
import type { Draft } from '../draft.ts';
import { isOpenYard } from './yards.ts';

type Path = readonly (string | number)[];

/** A stand that a hive can be put on; a new one is added. Undefined, with a problem, where something stands already. */
export function freeStand(
  draft: Draft,
  to: CommandOf<'moveHive'>['to'],
  hiveId: string,
  path: Path,
): string | undefined {
  if (to.fresh) {
    const at = [...path, 'fresh', 'yardId'];
    if (!isOpenYard(draft, to.fresh.yardId, at)) return undefined;
    const order = standsOfYard(draft.apiary, to.fresh.yardId).reduce((n, s) => Math.max(n, s.order + 1), 0);
    draft.add(
      'stand',
      { ...BARE_STAND, id: to.standId, yardId: to.fresh.yardId, name: to.fresh.name, order },
      [...path, 'standId'],
    );
    return to.standId;
  }
  const at = [...path, 'standId'];
  const stand = draft.need('stand', to.standId, at);
  if (!stand || !isOpenYard(draft, stand.yardId, at)) return undefined;
  const there = hivesOnStand(draft.apiary, stand.id).find((h) => h.id !== hiveId);
  if (there) {
    draft.problem(
      'stand-taken',
      at,
      `${there.name} stands on ${stand.name} already.`,
      'Choose a free stand or a new one, or move the other hive first.',
    );
    return undefined;
  }
  return stand.id;
}

/** A hive that stands somewhere; else a problem. */
export function standingHive(draft: Draft, hiveId: string, path: Path): Hive | undefined {
  const hive = draft.need('hive', hiveId, path);
  if (!hive) return undefined;
  if (hive.standId !== null) return hive;
  draft.problem(
    'no-stand',
    path,
    `${hive.name} stands nowhere: it is in the store.`,
    'Choose a hive in a yard.',
  );
  return undefined;
}

/** Nothing happens to a colony before it exists. */
export function notBefore(draft: Draft, colony: Colony, day: Day, path: Path): void {
  if (day >= colony.startedOn) return;
  draft.problem(
    'before-colony',
    path,
    `${colony.name} is on record since ${dayInWords(colony.startedOn)}; this is dated ${dayInWords(day)}.`,
    'Correct the day.',
  );
}

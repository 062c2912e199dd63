import { coloniesOfHive, type CommandOf } from '../../../records/index.ts';
import type { Draft } from '../draft.ts';
import { dropLooks } from '../droppingLooks.ts';
import { fileJob } from '../fileJob.ts';
import { freeStand, notBefore, standingHive } from './places.ts';
import { isOpenYard } from './yards.ts';

type Path = readonly (string | number)[];

/** Puts a hive on another stand, with everything that lives in it. What is left to do there is filed. */
export function decideMoveHive(draft: Draft, command: CommandOf<'moveHive'>, path: Path): void {
  const { day, hour, entrance, obstacleUntil } = command;
  const hive = standingHive(draft, command.hiveId, [...path, 'hiveId']);
  if (!hive) return;
  const standId = freeStand(draft, command.to, hive.id, [...path, 'to']);
  if (standId === undefined) return;
  if (standId === hive.standId) {
    draft.problem(
      'stand-taken',
      [...path, 'to', 'standId'],
      `${hive.name} stands there already.`,
      'Choose another stand.',
    );
    return;
  }
  const colonies = coloniesOfHive(draft.apiary, hive.id);
  const ids = [...command.newIds];
  for (const colony of colonies) {
    notBefore(draft, colony, day, [...path, 'day']);
    const id = ids.shift();
    if (id === undefined) continue;
    const body = { what: 'moved' as const, fromStandId: hive.standId, toStandId: standId, hour };
    draft.add('event', { id, colonyId: colony.id, day, body }, [...path, 'newIds']);
  }
  draft.put('hive', {
    ...hive,
    standId,
    entrance: entrance === 'shut' ? { state: 'shut', since: day } : { state: 'open', since: null },
    wears:
      obstacleUntil === null
        ? hive.wears
        : [
            ...hive.wears.filter((w) => w.what !== 'obstacle'),
            { what: 'obstacle', since: day, until: obstacleUntil },
          ],
  });
  const colonyIds = colonies.map((c) => c.id);
  for (const id of colonyIds) dropLooks(draft, id, (f) => f.topic === 'carry');
  if (entrance === 'shut') fileOpening(draft, ids, colonyIds, hive.name, day);
  if (obstacleUntil !== null) {
    fileJob(draft, ids, {
      colonyIds,
      topic: 'take-off',
      window: { earliest: obstacleUntil, likely: obstacleUntil, latest: obstacleUntil },
      expect: `Take away what stands before the entrance of ${hive.name}.`,
    });
  }
}

/**
 * Files the appointment on which a hive is to be carried. Whether the stand is free shows on that day: another hive may
 * have left it by then.
 */
export function decidePlanMove(draft: Draft, command: CommandOf<'planMove'>, path: Path): void {
  const { day, hour, to } = command;
  const hive = standingHive(draft, command.hiveId, [...path, 'hiveId']);
  if (!hive) return;
  const stand = to.fresh ? null : draft.need('stand', to.standId, [...path, 'to', 'standId']);
  if (stand === undefined) return;
  const yardId = to.fresh?.yardId ?? stand?.yardId ?? '';
  if (!isOpenYard(draft, yardId, [...path, 'to'])) return;
  const colonies = coloniesOfHive(draft.apiary, hive.id);
  for (const colony of colonies) {
    notBefore(draft, colony, day, [...path, 'day']);
    dropLooks(draft, colony.id, (f) => f.topic === 'carry');
  }
  const from = hive.standId === null ? undefined : draft.apiary.stand[hive.standId];
  const away = from !== undefined && from.yardId !== yardId;
  fileJob(draft, [command.followUpId], {
    colonyIds: colonies.map((c) => c.id),
    topic: 'carry',
    window: { earliest: day, likely: day, latest: day },
    expect: `${hour === 'dusk' ? 'At dusk, carry' : 'Carry'} ${hive.name} to ${to.fresh?.name ?? stand?.name}${away ? ` in ${draft.apiary.yard[yardId]?.name}: strapped, its entrance shut and aired, and opened as soon as it stands` : ''}.`,
    move: { to, hour },
  });
}

function fileOpening(draft: Draft, ids: string[], colonyIds: string[], name: string, day: string): void {
  fileJob(draft, ids, {
    colonyIds,
    topic: 'entrance',
    window: { earliest: day, likely: day, latest: day },
    expect: `Open the entrance of ${name} as soon as it stands: shut up, bees overheat within hours.`,
  });
}

/** Shuts an entrance, which is to be opened the same day, or opens it. */
export function decideSetEntrance(draft: Draft, command: CommandOf<'setEntrance'>, path: Path): void {
  const { day, state } = command;
  const hive = standingHive(draft, command.hiveId, [...path, 'hiveId']);
  if (!hive || hive.entrance.state === state) return;
  const colonies = coloniesOfHive(draft.apiary, hive.id);
  const ids = [...command.newIds];
  for (const colony of colonies) {
    notBefore(draft, colony, day, [...path, 'day']);
    const id = ids.shift();
    if (id !== undefined)
      draft.add('event', { id, colonyId: colony.id, day, body: { what: 'entrance', state } }, [
        ...path,
        'newIds',
      ]);
  }
  draft.put('hive', {
    ...hive,
    entrance: state === 'shut' ? { state, since: day } : { state, since: null },
  });
  if (state === 'shut')
    fileOpening(
      draft,
      ids,
      colonies.map((c) => c.id),
      hive.name,
      day,
    );
  else for (const c of colonies) dropLooks(draft, c.id, (f) => f.topic === 'entrance');
}

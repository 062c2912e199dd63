import {
  coloniesOfHive,
  framesOfBox,
  INSERT_WORDS,
  WEAR_WORDS,
  type CommandOf,
} from '../../../records/index.ts';
import type { Draft } from '../draft.ts';
import { dropLooks } from '../droppingLooks.ts';
import { fileJob } from '../fileJob.ts';

type Path = readonly (string | number)[];

/** What a hive wears from now on; what is to go on a day is filed for that day. */
export function decideDressHive(draft: Draft, command: CommandOf<'dressHive'>, path: Path): void {
  const hive = draft.need('hive', command.hiveId, [...path, 'hiveId']);
  if (!hive) return;
  command.wears.forEach((w, i) => {
    if (w.until !== null && w.until < w.since)
      draft.problem(
        'window-reversed',
        [...path, 'wears', i, 'until'],
        `The ${WEAR_WORDS[w.what]} would go before it came.`,
        'Correct one of the two days.',
      );
  });
  const colonyIds = coloniesOfHive(draft.apiary, hive.id).map((c) => c.id);
  const ids = [...command.newIds];
  for (const id of colonyIds) dropLooks(draft, id, (f) => f.topic === 'take-off');
  for (const { what, until } of command.wears) {
    if (until === null) continue;
    fileJob(draft, ids, {
      colonyIds,
      topic: 'take-off',
      window: { earliest: until, likely: until, latest: until },
      expect: `Take the ${WEAR_WORDS[what]} off ${hive.name}.`,
    });
  }
  draft.put('hive', { ...hive, wears: command.wears });
}

/** Feeders, dummy and division boards: each takes a slot that no comb hangs in. */
export function decideSetInserts(draft: Draft, command: CommandOf<'setInserts'>, path: Path): void {
  const box = draft.need('box', command.boxId, [...path, 'boxId']);
  if (!box) return;
  const taken = new Set(framesOfBox(draft.apiary, box.id).map((f) => f.slot));
  command.inserts.forEach(({ what, slot }, i) => {
    const at = [...path, 'inserts', i, 'slot'];
    if (slot > box.slots)
      draft.problem(
        'no-such-slot',
        at,
        `Slot ${slot} does not exist: the box has ${box.slots}.`,
        `Choose a slot from 1 to ${box.slots}.`,
      );
    if (taken.has(slot))
      draft.problem(
        'slot-taken',
        at,
        `Slot ${slot} is taken: a ${INSERT_WORDS[what]} needs it for itself.`,
        'Take the comb out first, or choose a free slot.',
      );
    taken.add(slot);
  });
  draft.put('box', { ...box, inserts: command.inserts });
}

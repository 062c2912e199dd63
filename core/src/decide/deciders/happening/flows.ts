import { addDays, dayInWords } from '../../../basics/index.ts';
import { settingOf } from '../../../forecast/index.ts';
import type { CommandOf } from '../../../records/index.ts';
import type { FlowSpell } from '../../../season/index.ts';
import type { Draft } from '../draft.ts';

/** Begins a flow in a yard, corrects what the present one brings, or ends it. */
export function decideNoteFlow(
  draft: Draft,
  { yardId, what, day, by, kgPerDay }: CommandOf<'noteFlow'>,
  path: readonly (string | number)[],
): void {
  const yard = draft.need('yard', yardId, [...path, 'yardId']);
  if (!yard) return;
  const setting = settingOf(draft.apiary, yard);
  const open = setting.flows.find((f) => f.to === null);
  const put = (flows: FlowSpell[]) => draft.put('yard', { ...yard, season: { ...setting, flows } });
  const change = (changed: FlowSpell) => put(setting.flows.map((f) => (f === open ? changed : f)));
  if (what === 'begins') {
    const inside = setting.flows.find((f) => f.to !== null && f.from <= day && day < f.to);
    if (inside) {
      draft.problem(
        'flow-overlaps',
        [...path, 'day'],
        `A flow from ${dayInWords(inside.from)} to ${dayInWords(inside.to ?? day)} is on record.`,
        'Give a later day.',
      );
    } else if (open) change({ ...open, from: day < open.from ? day : open.from, by, kgPerDay });
    else put([...setting.flows, { from: day, to: null, by, kgPerDay }]);
  } else if (!open) {
    draft.problem('no-flow', path, `No flow is on record at ${yard.name}.`, 'There is nothing to end.');
  } else if (day < open.from) {
    draft.problem(
      'window-reversed',
      [...path, 'day'],
      `This flow began on ${dayInWords(open.from)}.`,
      'Give that day or a later one.',
    );
  } else if (day === open.from) put(setting.flows.filter((f) => f !== open));
  else change({ ...open, to: addDays(day, -1), by });
}

/** A flow as the journal says it. */
export function flowInWords({ what, by, kgPerDay }: CommandOf<'noteFlow'>, yard: string): string {
  const told = by === 'scale' ? ', says the scale' : '';
  if (what === 'ends') return `${yard}: no more nectar comes in${told}`;
  const gain = kgPerDay === null ? '' : `, ${kgPerDay} kg a day for ten frames of bees`;
  return `${yard}: nectar comes in${told}${gain}`;
}

import { usedUp } from '../../work/index.ts';
import type { KitLine, CommandOf } from '../../records/index.ts';
import type { Draft } from './draft.ts';

type Path = readonly (string | number)[];

/** Takes over how much of each kind of equipment there is. One kind has one line. */
export function decideSetKit(draft: Draft, command: CommandOf<'setKit'>, path: Path): void {
  command.items.forEach((item, i) => {
    const same = Object.values(draft.apiary.kit).find((k) => k.what === item.what && k.id !== item.id);
    if (same) {
      draft.problem(
        'kit-twice',
        [...path, 'items', i, 'what'],
        `The store counts “${item.what}” already.`,
        'Change that line.',
      );
      return;
    }
    draft.put('kit', item);
  });
}

/** What work leaves in the yard is in the store no more. What was not counted stays uncounted. */
export function takeKit(draft: Draft, kit: readonly KitLine[]): void {
  for (const { what, count } of usedUp(kit)) {
    const line = Object.values(draft.apiary.kit).find((k) => k.what === what);
    if (line) draft.put('kit', { ...line, count: Math.max(0, line.count - count) });
  }
}

import type { Quarters, StampKind } from '@incremen/core/comb';
import type { CountAction, CountDraft, SideChoice } from './countDraft.ts';

/** Keys for the kinds of frame: the first letter where it is free. */
export const KIND_KEYS: Readonly<Record<StampKind, string>> = {
  mixed: 'm',
  capped: 'c',
  young: 'y',
  emerging: 'e',
  drone: 'd',
  honey: 'h',
  nectar: 'n',
  beeBread: 'b',
  drawn: 'x',
  foundation: 'f',
};

const NEXT_SIDE = new Map<SideChoice, SideChoice>([
  ['both', 0],
  [0, 1],
  [1, 'both'],
]);

/** What a key does at this point of a count, or nothing. */
export function actionOfKey(draft: CountDraft, key: string): CountAction | undefined {
  const kind = (Object.keys(KIND_KEYS) as StampKind[]).find((k) => KIND_KEYS[k] === key.toLowerCase());
  if (kind) return { do: 'kind', kind };
  if (/^[0-4]$/.test(key)) {
    const n = Number(key) as 0 | Quarters;
    if (draft.stage === 'amount' && n > 0) return { do: 'amount', quarters: n as Quarters };
    return draft.stage === 'kind' ? undefined : { do: 'bees', quarters: n };
  }
  switch (key) {
    case 'q':
      return { do: 'queen' };
    case 'l':
      return { do: 'sameAsLast' };
    case 'p':
      return { do: 'sameAsNeighbour' };
    case 's':
      return { do: 'side', side: NEXT_SIDE.get(draft.side) ?? 'both' };
    case 'u':
      return { do: 'undo' };
    case 'ArrowRight':
    case 'Enter':
      return { do: 'step', by: 1 };
    case 'ArrowLeft':
      return { do: 'step', by: -1 };
    default:
      return undefined;
  }
}

import type { Draft } from './draft.ts';
import type { Box } from '../../records/index.ts';

/** The sides of a box that were one colony's are another's from now on, or free. */
export function handChambers(draft: Draft, box: Box, fromId: string, toId: string | null): void {
  if (!box.chambers.some((c) => c.colonyId === fromId)) return;
  draft.put('box', {
    ...box,
    chambers: box.chambers.map((c) => (c.colonyId === fromId ? { ...c, colonyId: toId } : c)),
  });
}

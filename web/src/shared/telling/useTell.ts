import type { Command } from '@incremen/core/records';
import type { Problem } from '@incremen/core/basics';
import { takeBack } from '../../mirror/actions.ts';
import { useSend } from '../../mirror/hooks.ts';
import { useAppDispatch } from '../../state/store.ts';
import { toaster } from '../../ui/toaster.tsx';

/** Tells the records what happened: once it is kept a note says so and offers to undo it. */
export function useTell(): {
  readonly tell: (command: Command, kept: string) => Promise<boolean>;
  readonly problems: readonly Problem[];
  readonly busy: boolean;
} {
  const { send, problems, busy } = useSend();
  const dispatch = useAppDispatch();
  const tell = async (command: Command, kept: string) => {
    const sent = await send(command);
    if (sent.ok)
      toaster.create({
        title: kept,
        action: { label: 'Undo', onClick: () => void dispatch(takeBack(sent.entryId)) },
      });
    return sent.ok;
  };
  return { tell, problems, busy };
}

/** So many new identifiers. */
export const newIds = (n: number): string[] => Array.from({ length: n }, () => crypto.randomUUID());

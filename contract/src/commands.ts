import { changeSchema, command, type Change, type Command } from '@incremen/core/records';
import { z } from 'zod';

/** An instant in UTC that a database can keep. */
const instant = z.iso.datetime().refine((at) => at >= '1980', { error: 'The clock of the sender is wrong.' });

/**
 * A command on its way to the server. The id is made by the client: however often an envelope is sent, it
 * is carried out once.
 */
export const commandEnvelope = z.strictObject({
  id: z.uuid(),
  madeAt: instant,
  command,
  /** Who is at the hive, where several share a device. */
  hands: z.string().trim().min(1).max(40).optional(),
});
export interface CommandEnvelope {
  readonly id: string;
  readonly madeAt: string;
  readonly command: Command;
  readonly hands?: string | undefined;
}

/** Takes back an earlier entry of the journal. */
export const undoRequest = z.strictObject({ id: z.uuid(), madeAt: instant, entryId: z.uuid() });

/** What a command did. `replayed` says that it had been carried out before. */
export const commandResult = z.strictObject({
  entryId: z.uuid(),
  revision: z.int().min(0),
  summary: z.string(),
  changes: z.array(changeSchema),
  replayed: z.boolean(),
});
export interface CommandResult {
  readonly entryId: string;
  readonly revision: number;
  readonly summary: string;
  readonly changes: readonly Change[];
  readonly replayed: boolean;
}

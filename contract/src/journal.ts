import { z } from 'zod';

/** A page of the journal, latest first, without the changes themselves. */
export const journalPage = z.strictObject({
  entries: z.array(
    z.strictObject({
      id: z.uuid(),
      seq: z.int(),
      doneAt: z.iso.datetime(),
      type: z.string(),
      summary: z.string(),
      /** Who did it; null for the machine itself, and for what was done before there were accounts. */
      by: z.string().nullable(),
      undoneBy: z.uuid().nullable(),
    }),
  ),
  /** Pass as `before` for the next page; null at the end. */
  next: z.int().nullable(),
});
export type JournalPage = z.infer<typeof journalPage>;

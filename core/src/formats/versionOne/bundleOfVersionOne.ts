import { z } from 'zod';
import { JournalUpgrade, upgradeRecords } from './upgrade.ts';

/** What is looked at of a file of version 1; the rest of it is checked as a file of today. */
const outline = z.looseObject({
  version: z.literal(1),
  records: z.record(z.string(), z.array(z.unknown())),
  journal: z
    .array(
      z.looseObject({
        seq: z.int(),
        body: z.looseObject({
          changes: z.array(
            z.strictObject({ kind: z.string(), id: z.string(), before: z.unknown(), after: z.unknown() }),
          ),
        }),
      }),
    )
    .default([]),
});

/** A file of version 1 as one of version 2. @throws ZodError where it has not the shape of version 1 */
export function bundleOfVersionOne(input: unknown): unknown {
  const file = outline.parse(input);
  const upgrade = new JournalUpgrade();
  return {
    ...file,
    version: 2,
    records: upgradeRecords(file.records),
    journal: file.journal
      .toSorted((a, b) => a.seq - b.seq)
      .map((entry) => ({
        ...entry,
        body: { ...entry.body, changes: upgrade.next(entry.body.changes) },
      })),
  };
}

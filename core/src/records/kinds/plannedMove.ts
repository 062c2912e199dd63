import { z } from 'zod';

/** A stand that is there, or a new one at the end of a yard. */
export const standPlace = z.strictObject({
  standId: z.uuid(),
  fresh: z
    .strictObject({ yardId: z.uuid(), name: z.string().trim().min(1, 'Give it a name.').max(80) })
    .nullable(),
});

/** Where a hive is to be carried, and at which hour of the day. */
export const plannedMove = z.strictObject({ to: standPlace, hour: z.enum(['day', 'dusk']) });

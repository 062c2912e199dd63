import { z } from 'zod';

/** Who asks, and how this server can be reached. */
export const accessAnswer = z.strictObject({
  /** As journal and counts name the person; null for a stranger, and for the machine itself. */
  name: z.string().nullable(),
  kind: z.enum(['stranger', 'machine', 'account', 'helper', 'device', 'calendar']),
  /** Somebody has made an account; until then only this machine comes in. */
  hasOwner: z.boolean(),
  demo: z.boolean(),
  /** Whether the way in from the home network is open; null where there is none to open. */
  lan: z.boolean().nullable(),
  /** Addresses that a phone can open; none while the server answers on its own machine only. */
  addresses: z.array(z.string()),
  /** Addresses of the page that makes a phone trust the certificate. */
  pairing: z.array(z.string()),
});
export type AccessAnswer = z.infer<typeof accessAnswer>;

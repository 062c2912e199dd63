import { existsSync } from 'node:fs';
import { z } from 'zod';

const port = z.coerce.number({ error: 'a number' }).int().min(0).max(65_535);
const file = z.string().refine((path) => existsSync(path), { error: 'a file that is there' });

/** What can be set from outside, by the names of the environment; docs/OPERATIONS.md says what each does. */
const settings = z
  .object({
    PORT: port.optional(),
    LAN_PORT: port.default(4843),
    INCREMEN_DATA: z.string().min(1).optional(),
    /** A certificate of one's own for the home network, and its key: PEM files. */
    LAN_CERTIFICATE: file.optional(),
    LAN_KEY: file.optional(),
    /** The address of a proxy that stands before this server. */
    PUBLIC_URL: z.url({ protocol: /^https$/, error: 'an address that begins with https://' }).optional(),
    PICTURE_QUOTA_MB: z.coerce.number({ error: 'a number' }).int().min(1).default(4000),
    LOG_LEVEL: z.enum(['trace', 'debug', 'info', 'warn', 'error', 'fatal']).default('info'),
  })
  .refine((s) => (s.LAN_CERTIFICATE === undefined) === (s.LAN_KEY === undefined), {
    path: ['LAN_CERTIFICATE'],
    error: 'together with LAN_KEY, or neither',
  });
export type Configuration = z.infer<typeof settings>;

/** Reads the settings. @throws Error that names each that is wrong, and what it has to be */
export function configurationFrom(environment: NodeJS.ProcessEnv): Configuration {
  const given = Object.fromEntries(Object.entries(environment).filter(([, v]) => v !== ''));
  const read = settings.safeParse(given);
  if (read.success) return read.data;
  const faults = read.error.issues.map((i) => `  ${i.path.join('.')}: has to be ${i.message}`);
  throw new Error(`These settings cannot be used:\n${faults.join('\n')}`);
}

/** The settings, or the end of the program with what is wrong with them. */
export function configuration(): Configuration {
  try {
    return configurationFrom(process.env);
  } catch (error) {
    console.error((error as Error).message);
    process.exit(2);
  }
}

import { z } from 'zod';
import { daySchema } from '../../basics/index.ts';

const id = z.uuid();

/** What parts two families in one stack. */
export const STACK_PARTINGS = ['sheet', 'excluder', 'paper'] as const;
export type StackParting = (typeof STACK_PARTINGS)[number];
export const STACK_PARTING_WORDS: Readonly<Record<StackParting, string>> = {
  sheet: 'a sheet',
  excluder: 'an excluder',
  paper: 'a sheet of newspaper',
};

/** Something that happened to a colony and that no comb shows: what it is on a later day follows from it. */
export const eventRecord = z.strictObject({
  id,
  colonyId: id,
  day: daySchema,
  body: z.discriminatedUnion('what', [
    z.strictObject({
      what: z.literal('moved'),
      fromStandId: id.nullable(),
      toStandId: id,
      /** With the field bees out, or after they are all at home. */
      hour: z.enum(['day', 'dusk']),
    }),
    z.strictObject({ what: z.literal('entrance'), state: z.enum(['open', 'shut']) }),
    /** The old queen left with a swarm; the colony that was hived of it, or null when it was lost. */
    z.strictObject({ what: z.literal('swarmed'), hivedId: id.nullable() }),
    z.strictObject({ what: z.literal('stacked'), onColonyId: id, parting: z.enum(STACK_PARTINGS) }),
    z.strictObject({ what: z.literal('unstacked'), fromColonyId: id }),
    /** Honey was taken from it, in kilograms as it was weighed. */
    z.strictObject({ what: z.literal('harvested'), kg: z.number().positive().max(500) }),
  ]),
});

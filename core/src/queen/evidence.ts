import { z } from 'zod';
import { cellFinding, type CellFinding } from '../comb/contents.ts';

const notLooked = z.strictObject({ look: z.literal('notLooked') });
const notFound = z.strictObject({ look: z.literal('notFound') });
const found = <T extends z.ZodRawShape>(shape: T) => z.strictObject({ look: z.literal('found'), ...shape });
const looked = <T extends z.ZodRawShape>(shape: T) =>
  z.discriminatedUnion('look', [notLooked, notFound, found(shape)]);

/** What one look at one part found. "Not looked at", "looked and not found" and "found" are kept apart. */
export const evidence = z.strictObject({
  v: z.literal(1),
  /** Frames read of the frames that are there: a verdict waits for the last one. */
  framesRead: z.int().min(0).max(400),
  framesTotal: z.int().min(0).max(400),
  eggs: looked({ perCell: z.enum(['one', 'several']), place: z.enum(['bottom', 'walls', 'unsure']) }),
  /** Larvae small enough to float in jelly as a comma: within a day or two of hatching. */
  youngLarvae: looked({}),
  olderLarvae: looked({}),
  cappedBrood: looked({
    cappings: z.enum(['flat', 'domed', 'both']),
    patch: z.enum(['compact', 'scattered', 'unsure']),
  }),
  cells: looked({ cells: z.array(cellFinding).min(1).max(20) }),
  queen: looked({ build: z.enum(['long', 'slim', 'unsure']) }),
  /** Any sign that brood may be sick: smell, sunken or holed caps, ropy or discoloured larvae. */
  diseaseSigns: looked({}),
  mood: z.enum(['calm', 'restless', 'roaring']).nullable(),
});
export type Evidence = z.infer<typeof evidence>;

/** What a look that has seen nothing yet says. */
export function noEvidence(framesTotal: number): Evidence {
  return {
    v: 1,
    framesRead: 0,
    framesTotal,
    eggs: { look: 'notLooked' },
    youngLarvae: { look: 'notLooked' },
    olderLarvae: { look: 'notLooked' },
    cappedBrood: { look: 'notLooked' },
    cells: { look: 'notLooked' },
    queen: { look: 'notLooked' },
    diseaseSigns: { look: 'notLooked' },
    mood: null,
  };
}

/** The cells of a look, or none. */
export function cellsOf(seen: Evidence): readonly CellFinding[] {
  return seen.cells.look === 'found' ? seen.cells.cells : [];
}

/** How many cells of these kinds a look found. */
export function countCells(seen: Evidence, ...kinds: readonly CellFinding['kind'][]): number {
  return cellsOf(seen).reduce((sum, c) => sum + (kinds.includes(c.kind) ? c.count : 0), 0);
}

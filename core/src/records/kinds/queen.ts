import { z } from 'zod';
import { daySchema } from '../../basics/index.ts';
import { markingColourSchema } from '../bodies/markingColour.ts';

const id = z.uuid();
const words = z.string().trim().min(1).max(80).nullable().default(null);
const year = z.int().min(1990).max(2100);

/** Where a queen is known to be: in one colony, in one of several, in a cage in stock, or nowhere any more. */
const whereabouts = z.discriminatedUnion('known', [
  z.strictObject({ known: z.literal('colony'), colonyId: id }),
  z.strictObject({ known: z.literal('oneOf'), colonyIds: z.array(id).min(2).max(12) }),
  z.strictObject({ known: z.literal('stock') }),
  z.strictObject({ known: z.literal('gone') }),
]);

/** How a queen came to be. */
export const QUEEN_ORIGINS = ['raised', 'cell', 'bought', 'swarm', 'supersedure'] as const;
export type QueenOrigin = (typeof QUEEN_ORIGINS)[number];
export const QUEEN_ORIGIN_WORDS: Readonly<Record<QueenOrigin, string>> = {
  raised: 'raised here',
  cell: 'from a cell that was given',
  bought: 'bought',
  swarm: 'came with a swarm',
  supersedure: 'superseded her mother',
};

/** How the record of a queen ends. */
export const QUEEN_ENDS = ['replaced', 'lost', 'killed', 'swarmed', 'sold', 'died'] as const;
export type QueenEnd = (typeof QUEEN_ENDS)[number];

/** What can be noted of a queen on a day. */
export const QUEEN_DEEDS = [
  'caged',
  'released',
  'laying',
  'marked',
  'clipped',
  'put-in',
  'to-stock',
  ...QUEEN_ENDS,
] as const;
export type QueenDeed = (typeof QUEEN_DEEDS)[number];
export const QUEEN_DEED_WORDS: Readonly<Record<QueenDeed, string>> = {
  caged: 'caged',
  released: 'released',
  laying: 'laying',
  marked: 'marked',
  clipped: 'wing clipped',
  'put-in': 'put into',
  'to-stock': 'taken into stock',
  replaced: 'replaced by her daughter or another',
  lost: 'lost',
  killed: 'killed',
  swarmed: 'left with a swarm',
  sold: 'sold or given away',
  died: 'died',
};

const deed = z.strictObject({
  day: daySchema,
  did: z.enum(QUEEN_DEEDS),
  /** The colony in which it was done; null in stock. */
  colonyId: id.nullable(),
});

/** A queen. Her birth year rules; the mark she wears is a hint. */
export const queenRecord = z.strictObject({
  id,
  name: z.string().trim().min(1, 'Give it a name.').max(80).nullable(),
  birthYear: year.nullable(),
  /** The years between which she was born, where nobody knows the year. */
  bornWithin: z.strictObject({ from: year.nullable(), to: year.nullable() }).nullable().default(null),
  dot: markingColourSchema.nullable(),
  /** The number on her mark. */
  number: z.string().trim().min(1).max(12).nullable().default(null),
  /** Whether a wing is clipped; null where nobody looked. */
  clipped: z.boolean().nullable().default(null),
  mating: z.enum(['mated', 'virgin', 'unknown']),
  matingPlace: words,
  origin: z.enum(QUEEN_ORIGINS).nullable().default(null),
  /** The colony that she was raised from, and her mother. */
  motherColonyId: id.nullable().default(null),
  motherQueenId: id.nullable().default(null),
  line: words,
  breeder: words,
  whereabouts,
  /** Since when she sits in a cage, in a colony or in stock; null when she walks free. */
  cagedSince: daySchema.nullable().default(null),
  layingSince: daySchema.nullable().default(null),
  end: z
    .strictObject({ day: daySchema, how: z.enum(QUEEN_ENDS) })
    .nullable()
    .default(null),
  /** What was noted of her, in the order in which it was noted. */
  history: z.array(deed).max(200).default([]),
});
type Queen = z.infer<typeof queenRecord>;

/** What is said of a queen who is entered: what is left out is not known. */
export const queenSaid = queenRecord.partial({
  bornWithin: true,
  number: true,
  clipped: true,
  matingPlace: true,
  origin: true,
  motherColonyId: true,
  motherQueenId: true,
  line: true,
  breeder: true,
  cagedSince: true,
  layingSince: true,
  end: true,
  history: true,
});

/** A queen of whom no more is known than is said. */
export function newQueen(
  said: { readonly [K in keyof Queen]?: Queen[K] | undefined } & Pick<Queen, 'id' | 'whereabouts'>,
): Queen {
  const known = Object.fromEntries(Object.entries(said).filter(([, v]) => v !== undefined)) as typeof said &
    Partial<Queen>;
  return {
    name: null,
    birthYear: null,
    bornWithin: null,
    dot: null,
    number: null,
    clipped: null,
    mating: 'unknown',
    matingPlace: null,
    origin: null,
    motherColonyId: null,
    motherQueenId: null,
    line: null,
    breeder: null,
    cagedSince: null,
    layingSince: null,
    end: null,
    history: [],
    ...known,
  };
}

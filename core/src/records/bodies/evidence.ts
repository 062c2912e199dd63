import { z } from 'zod';
import { cellFinding, type CellFinding } from '../../comb/index.ts';
import { MARKING_COLOURS } from './markingColour.ts';

const notLooked = z.strictObject({ look: z.literal('notLooked') });
const notFound = z.strictObject({ look: z.literal('notFound') });
const found = <T extends z.ZodRawShape>(shape: T) => z.strictObject({ look: z.literal('found'), ...shape });
const looked = <T extends z.ZodRawShape>(shape: T) =>
  z.discriminatedUnion('look', [notLooked, notFound, found(shape)]);

/** Things besides brood and queen that are either there or not, each asked on its own. */
export const SIGNS = [
  'pollen',
  'beesReversing',
  'robbing',
  'droneComb',
  'waxMoth',
  'ants',
  'mould',
  'combDamage',
  'dryingBrood',
  'orientation',
] as const;
export type Sign = (typeof SIGNS)[number];

/** What each sign is called, as the end of "Did you see …?". */
export const SIGN_NAMES: Readonly<Record<Sign, string>> = {
  pollen: 'pollen coming in',
  beesReversing: 'bees backing into cells',
  robbing: 'robbing',
  droneComb: 'drone comb',
  waxMoth: 'wax moth',
  ants: 'ants',
  mould: 'mould',
  combDamage: 'damaged comb',
  dryingBrood: 'brood drying out',
  orientation: 'young bees learning the place',
};

/** Signs that brood may be sick. They describe; they do not diagnose. */
export const DISEASE_SIGNS = [
  'smell',
  'sunken-caps',
  'holed-caps',
  'ropy',
  'discoloured',
  'mummies',
  'many-mites',
] as const;
export type DiseaseSign = (typeof DISEASE_SIGNS)[number];
export const DISEASE_SIGN_NAMES: Readonly<Record<DiseaseSign, string>> = {
  smell: 'foul smell',
  'sunken-caps': 'sunken caps',
  'holed-caps': 'holed caps',
  ropy: 'ropy larvae',
  discoloured: 'discoloured larvae',
  mummies: 'chalky mummies',
  'many-mites': 'many mites',
};

const sign = () => looked({}).default({ look: 'notLooked' });

/**
 * What one look at one part found. "Not looked at", "looked and not found" and "found" are kept apart.
 * What was added later than the rest counts as not looked at where an older look lacks it.
 */
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
    /** Worker caps are flat, drone caps domed; `unsure` where nobody looked closely. */
    cappings: z.enum(['flat', 'domed', 'both', 'unsure']),
    patch: z.enum(['compact', 'scattered', 'unsure']),
  }),
  cells: looked({ cells: z.array(cellFinding).min(1).max(20) }),
  queen: looked({
    build: z.enum(['long', 'slim', 'unsure']),
    /** The dot she wears as it was seen; absent when nobody looked at her back. */
    dot: z.enum([...MARKING_COLOURS, 'none']).optional(),
    /** The frame she was on. */
    frameId: z.uuid().optional(),
  }),
  /** Any sign that brood may be sick: smell, sunken or holed caps, ropy or discoloured larvae. */
  diseaseSigns: looked({ signs: z.array(z.enum(DISEASE_SIGNS)).max(DISEASE_SIGNS.length).optional() }),
  /** A mite strip or another treatment that is in the hive now. */
  treatment: looked({ what: z.string().trim().max(80).optional() }).default({ look: 'notLooked' }),
  pollen: sign(),
  beesReversing: sign(),
  robbing: sign(),
  droneComb: sign(),
  waxMoth: sign(),
  ants: sign(),
  mould: sign(),
  combDamage: sign(),
  dryingBrood: sign(),
  orientation: sign(),
  /** Frames of bees and of stores as they were told at a glance; null where nobody said. */
  strength: z.number().min(0).max(200).nullable().default(null),
  food: z.number().min(0).max(200).nullable().default(null),
  /** The cage of a queen who was given. */
  cage: z.enum(['empty', 'occupied']).nullable().default(null),
  /** Minutes spent searching for the queen. */
  searchedMin: z.int().min(0).max(240).nullable().default(null),
  /** Which boxes were read through, where it was not the whole hive; `some`: here and there. */
  read: z
    .strictObject({ boxIds: z.array(z.uuid()).max(30), some: z.boolean() })
    .nullable()
    .default(null),
  /** What was seen in one box and not in the others. */
  byBox: z
    .array(
      z.strictObject({
        boxId: z.uuid(),
        eggs: z.boolean().nullable(),
        caps: z.enum(['flat', 'domed', 'both', 'none']).nullable(),
      }),
    )
    .max(30)
    .default([]),
  mood: z.enum(['calm', 'restless', 'roaring', 'defensive']).nullable(),
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
    treatment: { look: 'notLooked' },
    pollen: { look: 'notLooked' },
    beesReversing: { look: 'notLooked' },
    robbing: { look: 'notLooked' },
    droneComb: { look: 'notLooked' },
    waxMoth: { look: 'notLooked' },
    ants: { look: 'notLooked' },
    mould: { look: 'notLooked' },
    combDamage: { look: 'notLooked' },
    dryingBrood: { look: 'notLooked' },
    orientation: { look: 'notLooked' },
    strength: null,
    food: null,
    cage: null,
    searchedMin: null,
    read: null,
    byBox: [],
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

export const ASKED = [
  'eggs',
  'youngLarvae',
  'olderLarvae',
  'cappedBrood',
  'cells',
  'queen',
  'diseaseSigns',
  'treatment',
] as const satisfies (keyof Evidence)[];

/** A question that is answered with found, not found or not looked. */
export type AskedOfEvidence = (typeof ASKED)[number] | Sign;

/** True when a look says anything at all, if only that something was not there. */
export function saysAnything(seen: Evidence): boolean {
  const { strength, food, cage, searchedMin, read, byBox, mood } = seen;
  const told = [strength, food, cage, searchedMin, read, mood].some((t) => t !== null) || byBox.length > 0;
  const asked = [...ASKED, ...SIGNS].some((k) => seen[k].look !== 'notLooked');
  return seen.framesRead > 0 || told || asked;
}

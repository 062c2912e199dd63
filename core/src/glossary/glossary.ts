import type { Contents } from '../comb/index.ts';

/** A word of the trade, explained as to a beekeeper in her second year. */
export interface GlossaryEntry {
  readonly word: string;
  /** Other words for the same, as they are said elsewhere. */
  readonly also?: readonly string[];
  readonly means: string;
  /** A comb that shows it, in tenths of each side. */
  readonly comb?: Contents;
}

/** Entries that are read together. */
export interface GlossaryGroup {
  readonly title: string;
  readonly entries: readonly GlossaryEntry[];
}

/** The words that the application uses, each with one meaning (common practice, no source). */
export const GLOSSARY: readonly GlossaryGroup[] = [
  {
    title: 'Place and equipment',
    entries: [
      {
        word: 'Yard',
        also: ['apiary'],
        means: 'A place with hives on stands. Bees fly about 3 km (2 miles) from it.',
      },
      {
        word: 'Stand',
        means: 'One spot in a yard. Field bees come back to the stand, not to the box that stood there.',
      },
      {
        word: 'Box',
        also: ['brood box', 'hive body'],
        means: 'One hive body with slots for frames of one size.',
      },
      { word: 'Super', means: 'A box for honey, above the brood.' },
      { word: 'Excluder', means: 'A grid that workers pass and the queen does not.' },
      {
        word: 'Dummy board',
        also: ['follower board', 'division board'],
        means:
          'A board in place of a frame. It closes the nest where a box is not full, so that bees build no wild comb.',
      },
      {
        word: 'Nuc',
        also: ['nucleus'],
        means: 'A small colony in a box of two to six frames.',
      },
    ],
  },
  {
    title: 'Comb',
    entries: [
      {
        word: 'Drawn comb',
        also: ['empty comb'],
        means: 'Built comb with empty cells: the scarcest thing when colonies are made.',
        comb: { drawn: 10 },
      },
      { word: 'Foundation', means: 'A sheet of wax that is not built out yet.', comb: { foundation: 10 } },
      {
        word: 'Frame of bees',
        means: 'A comb covered with bees on both sides, with no comb to be seen between them.',
      },
      {
        word: 'Frame of brood',
        means: 'As much brood as fills one whole frame on both sides. Two frames half full are one.',
        comb: { honey: 1, beeBread: 1, capped: 8 },
      },
      { word: 'Stores', means: 'Honey and nectar: what the colony lives on.' },
      { word: 'Honey', means: 'Ripe and mostly capped: it keeps.', comb: { honey: 10 } },
      {
        word: 'Nectar',
        means: 'Thin still, in open cells: it drips when the comb is shaken.',
        comb: { nectar: 9, drawn: 1 },
      },
      {
        word: 'Bee bread',
        also: ['pollen'],
        means:
          'Pollen that bees have stored. Without it no brood is raised. It sits in a belt between honey and brood.',
        comb: { honey: 3, beeBread: 5, drawn: 2 },
      },
    ],
  },
  {
    title: 'Brood',
    entries: [
      {
        word: 'Eggs',
        means: 'Standing or lying in the cell for three days: she laid here within that time.',
        comb: { honey: 2, beeBread: 1, eggs: 7 },
      },
      {
        word: 'Open brood',
        means: 'Larvae that are fed, to about day 9 from the egg.',
        comb: { honey: 2, beeBread: 1, eggs: 1, open: 6 },
      },
      {
        word: 'Capped brood',
        also: ['sealed brood'],
        means: 'Pupae under a cap, to day 21 for workers.',
        comb: { honey: 2, beeBread: 1, capped: 7 },
      },
      {
        word: 'Emerging brood',
        means: 'Capped brood with bees chewing their way out: many young bees within days.',
        comb: { honey: 2, beeBread: 1, emerging: 7 },
      },
      {
        word: 'Drone brood',
        means: 'Domed caps on larger cells. Scattered over worker cells it is a warning.',
        comb: { honey: 3, drone: 7 },
      },
      {
        word: 'Honey-bound',
        means: 'The brood nest is filled with honey or nectar, and the queen has no room to lay.',
        comb: { honey: 6, nectar: 3, capped: 1 },
      },
    ],
  },
  {
    title: 'Queens and cells',
    entries: [
      { word: 'Queenright', means: 'With a laying queen.' },
      {
        word: 'Queenless',
        means: 'Without one. Hopelessly so when there is nothing left to raise one from.',
      },
      {
        word: 'Cup',
        means: 'The beginning of a queen cell, still empty. Charged: with an egg, or a larva in jelly.',
      },
      {
        word: 'Queen cell',
        means:
          'A cell drawn down for a queen: open, capped, emerged (a round lid at the tip) or torn (a hole in its side).',
      },
      { word: 'Ripe cell', means: 'A queen cell one or two days before she emerges.' },
      {
        word: 'Swarm cells',
        means: 'Many, of different ages, often along the edges of combs: the colony prepares to swarm.',
      },
      { word: 'Supersedure cells', means: 'A few in the middle of a comb: the old queen is being replaced.' },
      { word: 'Emergency cells', means: 'Raised from worker larvae after the queen was lost of a sudden.' },
      { word: 'Virgin', means: 'A young queen that has not mated yet. Leave her hive shut until she lays.' },
    ],
  },
  {
    title: 'Work and season',
    entries: [
      { word: 'Split', also: ['division'], means: 'Two or more colonies made of one.' },
      { word: 'Donor', means: 'A colony that gives frames or bees. The receiver gets them.' },
      { word: 'Donor threshold', means: 'What a donor keeps whatever is asked of it: a house rule.' },
      {
        word: 'Drift',
        means: 'Field bees fly back to the stand that they know: a part on a new stand loses them.',
      },
      { word: 'Unite', means: 'Make one colony of two, mostly through newspaper.' },
      { word: 'Flow', means: 'Nectar comes in. Dearth: hardly any does.' },
      { word: 'On hold', means: 'Nothing is moved in or out: sickness is suspected, or a treatment is in.' },
      {
        word: 'Hands off',
        means: 'Days on which a hive is left shut, as while a virgin emerges, flies and mates.',
      },
    ],
  },
];

/** What a word means, by the word itself or another for the same; undefined where it is not explained. */
export function glossaryEntry(word: string): GlossaryEntry | undefined {
  const asked = word.toLowerCase();
  return GLOSSARY.flatMap((g) => g.entries).find((e) =>
    [e.word, ...(e.also ?? [])].some((w) => w.toLowerCase() === asked),
  );
}

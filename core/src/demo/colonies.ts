import type { Day } from '../basics/index.ts';
import type { FrameSizeId } from '../comb/index.ts';
import type { MethodId, Evidence } from '../records/index.ts';
import type { DemoCount } from './scenario.ts';

/** One made-up colony of the demonstration. */
export interface DemoColony {
  readonly name: string;
  readonly yard: 'bank' | 'ferry';
  readonly boxes: readonly {
    readonly sizeId: FrameSizeId;
    readonly slots: number;
    readonly frames?: number;
    readonly role?: 'brood' | 'super';
  }[];
  readonly queen: { readonly name: string; readonly birthYear: number; readonly dot: string | null } | null;
  readonly counts: readonly DemoCount[];
  readonly split?: {
    readonly day: Day;
    readonly methodId: MethodId;
    readonly newName: string;
    readonly countsOfNew: readonly DemoCount[];
    readonly looks: readonly {
      readonly day: Day;
      readonly colony: string;
      readonly note: string;
      readonly seen: Partial<Evidence>;
    }[];
  };
}

const DEEP = { sizeId: 'langstroth-deep', slots: 10 } as const;
const NUC = { sizeId: 'langstroth-deep', slots: 5 } as const;
const MEDIUM = { sizeId: 'langstroth-medium', slots: 10 } as const;

/** Invented figures, chosen so that every state of the yard has an example. */
export const DEMO_COLONIES: readonly DemoColony[] = [
  {
    name: 'Tansy',
    yard: 'bank',
    boxes: [DEEP, DEEP],
    queen: { name: 'Ottoline', birthYear: 2025, dot: 'blue' },
    counts: [
      {
        day: '2026-04-18',
        boxes: [
          { bees: 5.1, eggs: 0.4, open: 0.7, capped: 1.4, beeBread: 0.8, honey: 1.6 },
          { bees: 3.6, eggs: 0.2, open: 0.4, capped: 0.6, beeBread: 0.4, honey: 4.1 },
        ],
      },
      {
        day: '2026-05-02',
        boxes: [
          { bees: 6.9, eggs: 0.5, open: 1, capped: 2.2, drone: 0.1, beeBread: 0.9, honey: 1.3 },
          { bees: 5.8, eggs: 0.5, open: 0.8, capped: 1.2, beeBread: 0.6, honey: 3.7 },
        ],
        queenAt: [1, 5],
        note: 'Drone brood begins. Supers next time.',
      },
      {
        day: '2026-05-14',
        boxes: [
          { bees: 8.2, eggs: 0.3, open: 0.9, capped: 2.9, drone: 0.2, beeBread: 1.1, honey: 1.2 },
          { bees: 8.6, eggs: 0.8, open: 1.3, capped: 1.4, beeBread: 0.7, honey: 3.4, nectar: 0.4 },
        ],
        queenAt: [2, 5],
        note: 'Boiling over. No cells yet, a few dry cups.',
        cellsAt: [{ at: [1, 4], cells: [{ kind: 'cup', count: 3 }] }],
      },
    ],
  },
  {
    name: 'Sorrel',
    yard: 'bank',
    boxes: [DEEP, DEEP],
    queen: { name: 'Perdita', birthYear: 2024, dot: 'green' },
    counts: [
      {
        day: '2026-05-14',
        boxes: [
          { bees: 8.4, eggs: 0.5, open: 1.2, capped: 3.1, drone: 0.3, beeBread: 0.9, honey: 1.1 },
          { bees: 8, eggs: 0.4, open: 0.8, capped: 1.6, beeBread: 0.6, honey: 4.1, nectar: 0.5 },
        ],
        queenAt: [1, 6],
        cellsAt: [
          { at: [1, 5], cells: [{ kind: 'charged', count: 4, larvaAgeDays: 3 }] },
          { at: [2, 4], cells: [{ kind: 'charged', count: 2, larvaAgeDays: 1 }] },
        ],
        note: 'Swarm cells along the bottom bars, none capped.',
      },
    ],
  },
  {
    name: 'Yarrow',
    yard: 'bank',
    boxes: [DEEP],
    queen: { name: 'Hesper', birthYear: 2025, dot: 'blue' },
    counts: [
      {
        day: '2026-04-29',
        boxes: [{ bees: 5.6, eggs: 0.4, open: 0.8, capped: 1.7, beeBread: 0.7, honey: 3.1 }],
      },
      {
        day: '2026-05-13',
        boxes: [{ bees: 7.4, eggs: 0.5, open: 1.1, capped: 2.5, beeBread: 0.8, honey: 2.6 }],
        queenAt: [1, 5],
      },
    ],
  },
  {
    name: 'Mallow',
    yard: 'bank',
    boxes: [DEEP],
    queen: { name: 'Linnet', birthYear: 2023, dot: 'red' },
    counts: [
      {
        day: '2026-05-13',
        boxes: [{ bees: 7, eggs: 0.2, open: 0.7, capped: 2.1, beeBread: 0.9, honey: 5.2, nectar: 0.6 }],
        note: 'Honey coming down into the nest.',
      },
    ],
  },
  {
    name: 'Campion',
    yard: 'bank',
    boxes: [DEEP, DEEP],
    queen: { name: 'Sabine', birthYear: 2025, dot: 'blue' },
    counts: [
      {
        day: '2026-05-08',
        boxes: [
          { bees: 7.6, eggs: 0.6, open: 1, capped: 2.7, beeBread: 0.9, honey: 1.6 },
          { bees: 7.2, eggs: 0.4, open: 0.9, capped: 1.5, beeBread: 0.7, honey: 3 },
        ],
      },
    ],
    split: {
      day: '2026-05-08',
      methodId: 'walk-away-halves',
      newName: 'Campion II',
      countsOfNew: [],
      looks: [],
    },
  },
  {
    name: 'Burnet',
    yard: 'bank',
    boxes: [DEEP],
    queen: { name: 'Wren', birthYear: 2023, dot: 'red' },
    counts: [
      {
        day: '2026-05-14',
        boxes: [{ bees: 3, eggs: 0.2, open: 0.4, capped: 0.8, beeBread: 0.5, honey: 1.9, foundation: 2 }],
        queenAt: [1, 5],
        note: 'Slow since April. Pattern tight.',
      },
    ],
  },
  {
    name: 'Clary',
    yard: 'bank',
    boxes: [NUC],
    queen: { name: 'Juno', birthYear: 2025, dot: 'green' },
    counts: [
      {
        day: '2026-05-12',
        boxes: [{ bees: 4.3, eggs: 0.4, open: 0.8, capped: 1.5, beeBread: 0.4, honey: 0.9 }],
        queenAt: [1, 3],
      },
    ],
  },
  {
    name: 'Borage',
    yard: 'ferry',
    boxes: [DEEP, DEEP],
    queen: { name: 'Marguerite', birthYear: 2024, dot: 'green' },
    counts: [
      {
        day: '2026-05-10',
        boxes: [
          { bees: 7.1, eggs: 0.5, open: 1.1, capped: 2.4, beeBread: 0.9, honey: 1.5 },
          { bees: 5.4, eggs: 0.2, open: 0.5, capped: 1, beeBread: 0.4, honey: 2.8, foundation: 2 },
        ],
        queenAt: [1, 5],
      },
    ],
  },
  {
    name: 'Teasel',
    yard: 'ferry',
    boxes: [DEEP],
    queen: { name: 'Cicely', birthYear: 2025, dot: null },
    counts: [
      {
        day: '2026-05-10',
        boxes: [{ bees: 6.2, eggs: 0.4, open: 0.9, capped: 2, beeBread: 0.6, honey: 2.2 }],
      },
    ],
  },
  {
    name: 'Vetch',
    yard: 'ferry',
    boxes: [MEDIUM, MEDIUM, { ...MEDIUM, role: 'super' }],
    queen: { name: 'Delphine', birthYear: 2022, dot: 'yellow' },
    counts: [
      {
        day: '2026-05-03',
        boxes: [
          { bees: 6.4, eggs: 0.5, open: 1, capped: 2.2, beeBread: 0.6, honey: 1.2 },
          { bees: 6, eggs: 0.5, open: 0.8, capped: 1.6, beeBread: 0.7, honey: 2.4 },
          { bees: 2.5, eggs: 0, open: 0, capped: 0, beeBread: 0, honey: 2, nectar: 1.5 },
        ],
        queenAt: [2, 5],
      },
    ],
  },
  {
    name: 'Melilot',
    yard: 'ferry',
    boxes: [DEEP],
    queen: { name: 'Isaura', birthYear: 2024, dot: 'green' },
    counts: [
      {
        day: '2026-04-24',
        boxes: [{ bees: 9.2, eggs: 0.5, open: 1.2, capped: 3, drone: 0.2, beeBread: 0.8, honey: 2.2 }],
        queenAt: [1, 6],
        cellsAt: [{ at: [1, 4], cells: [{ kind: 'charged', count: 3, larvaAgeDays: 2 }] }],
      },
    ],
    split: {
      day: '2026-04-24',
      methodId: 'queen-to-nuc',
      newName: 'Sainfoin',
      countsOfNew: [
        {
          day: '2026-05-10',
          boxes: [{ bees: 4.2, eggs: 0.4, open: 0.8, capped: 1.3, beeBread: 0.3, honey: 1.1 }],
          queenAt: [1, 3],
        },
      ],
      looks: [
        {
          day: '2026-05-02',
          colony: 'Melilot',
          note: 'Reserved cell capped, two late ones cut.',
          seen: {
            eggs: { look: 'notFound' },
            cells: { look: 'found', cells: [{ kind: 'capped', count: 1 }] },
          },
        },
        {
          day: '2026-05-10',
          colony: 'Sainfoin',
          note: 'Settled in.',
          seen: { eggs: { look: 'found', perCell: 'one', place: 'bottom' }, cells: { look: 'notFound' } },
        },
      ],
    },
  },
  {
    name: 'Agrimony',
    yard: 'ferry',
    boxes: [DEEP],
    queen: { name: 'Thea', birthYear: 2022, dot: 'yellow' },
    counts: [
      {
        day: '2026-05-02',
        boxes: [{ bees: 4, eggs: 0.1, open: 0.5, capped: 1.6, beeBread: 0.4, honey: 1.5, foundation: 1 }],
        note: 'Patchy. Look again.',
      },
    ],
  },
];

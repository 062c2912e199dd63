import type { Day } from '../basics/index.ts';
import {
  coloniesOfYard,
  newQueen,
  placeOf,
  queenOf,
  standsOfYard,
  type Apiary,
  type Command,
} from '../records/index.ts';

/** What was spent, in the money of the demonstration. */
const SPENT = [
  ['2026-03-14', 'Sugar, 25 kg', 31.5],
  ['2026-04-11', 'Two nuc boxes', 74],
  ['2026-05-12', 'A mated queen', 32],
] as const;

/** What happened in the yards of the demonstration besides counts and splits, each on its day. */
export function demoHappenings(
  apiary: Apiary,
  yards: { readonly bank: string; readonly ferry: string },
  newId: () => string,
): { readonly day: Day; readonly command: Command }[] {
  const [first, second] = coloniesOfYard(apiary, yards.ferry);
  const [strong] = coloniesOfYard(apiary, yards.bank);
  const mother = strong && queenOf(apiary, strong.id);
  const hive = first && placeOf(apiary, first).hive;
  return [
    ...[yards.bank, yards.ferry].map((yardId, k) => ({
      day: '2026-05-02',
      command: {
        type: 'arrangeStands' as const,
        yardId,
        stands: standsOfYard(apiary, yardId).map(({ id, order }, i) => ({
          id,
          order,
          // Two rows along a hedge, a little uneven as in any yard.
          spot: {
            x: 12 + Math.floor(i / 2) * 23 + k * 5 + (i % 2) * 6,
            y: i % 2 === 0 ? 28 + (i % 3) * 5 : 64 - (i % 3) * 5,
          },
        })),
      },
    })),
    ...Object.values(apiary.colony)
      // A part that was made in April has raised its queen on what it was given.
      .filter((c) => c.separation !== null && c.separation.day < '2026-05-01')
      .map(({ id }) => ({
        day: '2026-05-01',
        command: {
          type: 'give' as const,
          given: {
            id: newId(),
            colonyId: id,
            day: '2026-05-01',
            body: {
              kind: 'feed' as const,
              what: 'syrup-thick' as const,
              kg: 5,
              purpose: 'until-nectar' as const,
              leftKg: null,
            },
            outOn: '2026-05-06',
            note: '',
          },
          newIds: [newId()],
        },
      })),
    {
      day: '2026-05-12',
      command: {
        type: 'putQueen',
        queen: newQueen({
          id: newId(),
          name: 'Thrift',
          birthYear: 2026,
          mating: 'mated',
          origin: 'bought',
          line: 'Downland',
          motherColonyId: strong?.id ?? null,
          motherQueenId: mother?.id ?? null,
          whereabouts: { known: 'stock' },
          cagedSince: '2026-05-12',
        }),
      },
    },
    ...(second
      ? [
          {
            day: '2026-05-10',
            command: {
              type: 'give' as const,
              given: {
                id: newId(),
                colonyId: second.id,
                day: '2026-05-10',
                body: {
                  kind: 'feed' as const,
                  what: 'syrup-thin' as const,
                  kg: 1.5,
                  purpose: 'draw-comb' as const,
                  leftKg: null,
                },
                outOn: null,
                note: '',
              },
              newIds: [newId()],
            },
          },
        ]
      : []),
    ...(hive
      ? [
          {
            day: '2026-05-08',
            command: {
              type: 'dressHive' as const,
              hiveId: hive.id,
              day: '2026-05-08',
              wears: [{ what: 'entrance-block' as const, since: '2026-05-08', until: null }],
              newIds: [newId()],
            },
          },
        ]
      : []),
    ...SPENT.map(([day, what, amount]) => ({
      day,
      command: { type: 'noteExpense' as const, expenseId: newId(), day, what, amount },
    })),
  ];
}

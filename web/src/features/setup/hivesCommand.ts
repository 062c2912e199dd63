import type { CommandOf, NewHive } from '@incremen/core/records';
import type { FrameSizeId } from '@incremen/core/comb';

/** Hives of one kind, to be put on their stands at once. */
export interface HiveKind {
  readonly sizeId: FrameSizeId;
  readonly slots: number;
  readonly boxes: number;
  readonly supers: number;
  readonly superSizeId: FrameSizeId;
  readonly excluder: boolean;
  /** Colonies behind partitions in each hive. */
  readonly colonies: number;
  readonly blank: 'drawn' | 'foundation';
}

/** The usual hive: one box of ten deep frames with one colony. */
export const USUAL_HIVE: HiveKind = {
  sizeId: 'langstroth-deep',
  slots: 10,
  boxes: 1,
  supers: 0,
  superSizeId: 'langstroth-medium',
  excluder: true,
  colonies: 1,
  blank: 'drawn',
};

/**
 * What colonies of one hive are called: its name, with a letter each when there are several.
 *
 * @example colonyNames('E1', 2) // => ['E1 A', 'E1 B']
 */
export function colonyNames(hive: string, colonies: number): string[] {
  if (colonies === 1) return [hive];
  return Array.from({ length: colonies }, (_, i) => `${hive} ${'ABCDEFGH'[i]}`);
}

/** The command that puts hives of one kind on stands of a yard. */
export function hivesCommand(
  yardId: string,
  day: string,
  names: readonly string[],
  kind: HiveKind,
  newId: () => string,
): CommandOf<'addHives'> {
  const box = (role: 'brood' | 'super', sizeId: FrameSizeId, excluderBelow: boolean) => ({
    id: newId(),
    sizeId,
    slots: kind.slots,
    role,
    excluderBelow,
    frames: Array.from({ length: kind.slots }, (_, i) => ({
      id: newId(),
      slot: i + 1,
      blank: kind.blank,
      combYear: null,
    })),
  });
  const hive = (name: string): NewHive => {
    const [first = name, ...others] = colonyNames(name, kind.colonies);
    return {
      hiveId: newId(),
      standId: newId(),
      colonyId: newId(),
      name: first,
      ...(others.length > 0 ? { besides: others.map((n) => ({ colonyId: newId(), name: n })) } : {}),
      boxes: [
        ...Array.from({ length: kind.boxes }, () => box('brood', kind.sizeId, false)),
        ...Array.from({ length: kind.supers }, (_, i) =>
          box('super', kind.superSizeId, kind.excluder && i === 0),
        ),
      ],
    };
  };
  return { type: 'addHives', yardId, day, hives: names.map(hive) };
}

import { bothSides, type FrameReading } from '../comb/contents.ts';

/** Combs as they are met at the hive, for tests: in tenths of a side, both sides alike. */
export const NEST = {
  capped: (tenths = 7, bees = 8): FrameReading =>
    bothSides({ capped: tenths, honey: 9 - tenths, beeBread: 1 }, bees),
  open: (tenths = 7, bees = 9): FrameReading =>
    bothSides({ eggs: 2, open: tenths - 2, honey: 9 - tenths, beeBread: 1 }, bees),
  honey: (bees = 5): FrameReading => bothSides({ honey: 10 }, bees),
  bread: (bees = 5): FrameReading => bothSides({ beeBread: 3, honey: 5, drawn: 2 }, bees),
  empty: (bees = 3): FrameReading => bothSides({ drawn: 10 }, bees),
  foundation: (): FrameReading => bothSides({ foundation: 10 }, 0),
} as const;

/** The same comb with the queen on it. */
export const withQueen = (reading: FrameReading): FrameReading => ({ ...reading, queenSeen: true });

/** Seven brood combs in a box of ten, four of them mostly capped: a colony that can give. */
export const STRONG_BOX: readonly FrameReading[] = [
  NEST.honey(6),
  NEST.capped(),
  NEST.capped(),
  NEST.open(),
  withQueen(NEST.open()),
  NEST.capped(),
  NEST.capped(),
  NEST.open(6),
  NEST.honey(6),
  NEST.bread(),
];

/** The box on {@link STRONG_BOX} of a colony that fills two: seven combs of brood, nobody's queen. */
export const STRONG_UPPER: readonly FrameReading[] = [
  NEST.honey(6),
  NEST.capped(7, 9),
  NEST.capped(8, 9),
  NEST.open(7, 9),
  NEST.capped(7, 9),
  NEST.open(6, 9),
  NEST.capped(5, 9),
  NEST.bread(7),
  NEST.honey(7),
  NEST.honey(6),
];

/** Three combs of bees with a little brood. */
export const WEAK_BOX: readonly FrameReading[] = [
  NEST.honey(3),
  NEST.open(3, 5),
  withQueen(NEST.capped(3, 5)),
  NEST.empty(2),
  NEST.empty(1),
];

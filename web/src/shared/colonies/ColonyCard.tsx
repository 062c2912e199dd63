import { markingColour } from '@incremen/core/records';
import { createSelector } from '@reduxjs/toolkit';
import type { ColonyState } from '@incremen/core/colony';
import equal from 'fast-deep-equal';
import { memo, useMemo } from 'react';
import { useInView } from 'react-intersection-observer';
import { Link } from 'react-router';
import { useAppDispatch, useAppSelector, type AppState } from '../../state/store.ts';
import { drawnBoxesOf } from '../../drawing/drawnBoxes.ts';
import { HiveDrawing, hiveInWords, hiveSize } from '../../drawing/HiveDrawing.tsx';
import { QueenMark } from '../../drawing/Slat.tsx';
import { one } from '../../ui/format.ts';
import { useTurn } from '../../ui/useTurn.ts';
import { usePrinting } from '../../ui/usePrinting.ts';
import { pickToggled } from '../../state/boardSlice.ts';
import styles from './ColonyCard.module.css';
import common from '../../ui/common.module.css';

/**
 * A colony on the board: its hive drawn, its strength in figures, and what it asks for.
 *
 * Every change sums all colonies up anew; a card is drawn anew only where its own sum came out differently.
 */
export const ColonyCard = memo(function ColonyCard({
  state,
  picked,
}: {
  readonly state: ColonyState;
  /** Whether it is picked to be compared; null while nobody picks. */
  readonly picked: boolean | null;
}) {
  const dispatch = useAppDispatch();
  const { colony } = state;
  if (picked === null) {
    return (
      <Link to={`/colonies/${colony.id}`} className={styles.card}>
        <Face state={state} />
      </Link>
    );
  }
  return (
    <button
      type="button"
      className={styles.card}
      aria-pressed={picked}
      aria-label={`Compare ${colony.name}`}
      onClick={() => dispatch(pickToggled(colony.id))}
    >
      <Face state={state} />
    </button>
  );
}, equal);

function Face({ state }: { readonly state: ColonyState }) {
  const { colony, strength } = state;
  // What nobody has counted is unknown, not nothing.
  const known = (n: number) => (state.countAgeDays === null ? null : n);
  return (
    <>
      <span className={styles.head}>
        <span className={styles.name}>{colony.name}</span>
        <QueenDot state={state} />
        {state.countAgeDays !== null && <span className={styles.age}>{ageOf(state.countAgeDays)}</span>}
      </span>
      <LazyHive state={state} />
      <span className={styles.figures}>
        <Figure shape="bees" value={known(strength.framesOfBees.likely)} name="frames of bees" />
        <Figure shape="brood" value={known(strength.broodFrames.likely)} name="frames of brood" />
        <Figure shape="stores" value={known(strength.storesFrames)} name="frames of stores" />
      </span>
      <div
        className={styles.reason}
        data-tone={state.notice.urgent ? 'alarm' : state.lane === 'raising' ? 'rest' : undefined}
      >
        {state.notice.words}
      </div>
      {state.countedBeforeSplit && <div className={styles.note}>counted before the split</div>}
    </>
  );
}

const ageOf = (days: number): string => (days === 0 ? 'today' : `${days} d`);

/** The hive, drawn a little before it comes into sight, or when there is time: 150 hives have 30,000 bands. */
function LazyHive({ state }: { readonly state: ColonyState }) {
  const { ref, inView } = useInView({ rootMargin: '500px 0px', triggerOnce: true });
  const turn = useTurn(inView);
  const printing = usePrinting();
  const { colony, frames } = state;
  const selectBoxes = useMemo(
    () =>
      createSelector([(s: AppState) => s.mirror.apiary], (apiary) => drawnBoxesOf(apiary, colony, frames), {
        memoizeOptions: { resultEqualityCheck: equal },
      }),
    [colony, frames],
  );
  const boxes = useAppSelector(selectBoxes);
  const { width, height } = hiveSize(boxes);
  return (
    <div ref={ref} style={{ maxWidth: width, aspectRatio: `${width} / ${height}` }}>
      {(turn || printing) && (
        <HiveDrawing boxes={boxes} queenColour={queenColour(state)} label={hiveInWords(colony.name, boxes)} />
      )}
    </div>
  );
}

/** The colour to draw a colony's queen in: the dot she wears, or that of her year. */
export function queenColour(state: ColonyState) {
  if (state.queen.state !== 'here') return null;
  const { queen } = state.queen;
  return queen.dot ?? (queen.birthYear === null ? null : markingColour(queen.birthYear));
}

function QueenDot({ state }: { readonly state: ColonyState }) {
  const words = {
    here: 'queen here',
    'unknown-part': 'queen in one of the halves',
    'perhaps-here': 'queen perhaps here',
    raising: 'raising a queen',
    'not-recorded': 'no queen recorded',
  }[state.queen.state];
  return (
    <svg width="20" height="20" viewBox="0 0 20 20" role="img" aria-label={words}>
      {state.queen.state === 'here' ? (
        <QueenMark x={10} y={10} colour={queenColour(state)} />
      ) : (
        <>
          <circle
            cx="10"
            cy="10"
            r="6.500"
            fill="none"
            stroke="var(--chakra-colors-rest)"
            strokeWidth="1.800"
            strokeDasharray="3 2.400"
          />
          {state.queen.state !== 'raising' && (
            <text
              x="10"
              y="13.600"
              fontSize="10"
              fontWeight="700"
              textAnchor="middle"
              fill="var(--chakra-colors-rest)"
            >
              ?
            </text>
          )}
        </>
      )}
    </svg>
  );
}

const SHAPES = {
  bees: 'var(--chakra-colors-bees)',
  brood: 'url(#comb-capped)',
  stores: 'url(#comb-honey)',
} as const;

function Figure({
  shape,
  value,
  name,
}: {
  readonly shape: keyof typeof SHAPES;
  /** Null where nobody counted. */
  readonly value: number | null;
  readonly name: string;
}) {
  return (
    <span className={styles.figure} title={name}>
      <svg width="12" height="12" viewBox="0 0 12 12" aria-hidden="true">
        {shape === 'bees' ? (
          <circle cx="6" cy="6" r="5" fill={SHAPES.bees} />
        ) : (
          <rect
            x="1"
            y="1"
            width="10"
            height="10"
            rx="2"
            fill={SHAPES[shape]}
            stroke="var(--chakra-colors-wood)"
          />
        )}
      </svg>
      {value === null ? '–' : one(value)}
      <span className={common.forReaders}>{name}</span>
    </span>
  );
}

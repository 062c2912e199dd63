import { Box, Flex, Text } from '@chakra-ui/react';
import { markingColour, type ColonyState } from '@incremen/core';
import { memo, useMemo } from 'react';
import { useInView } from 'react-intersection-observer';
import { Link } from 'react-router';
import { useAppDispatch } from '../../app/store.ts';
import { drawnBoxesOf } from '../../drawing/drawnBoxes.ts';
import { HiveDrawing, hiveInWords, hiveSize } from '../../drawing/HiveDrawing.tsx';
import { QueenMark } from '../../drawing/Slat.tsx';
import { useApiary } from '../../mirror/hooks.ts';
import { one } from '../../ui/format.ts';
import { usePrinting } from '../../ui/usePrinting.ts';
import { pickToggled } from './boardSlice.ts';

/** A colony on the board: its hive drawn, its strength in figures, and what it asks for. */
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
  const frame = {
    display: 'block',
    borderRadius: 'lg',
    p: 1.5,
    m: -1.5,
    w: { base: 'calc(100% + 12px)', md: 'auto' },
    _hover: { bg: 'sunk' },
    transition: 'background 120ms',
  } as const;
  if (picked === null) {
    return (
      <Box asChild {...frame}>
        <Link to={`/colonies/${colony.id}`}>
          <Face state={state} />
        </Link>
      </Box>
    );
  }
  return (
    <Box
      as="button"
      {...frame}
      textAlign="left"
      cursor="pointer"
      aria-pressed={picked}
      aria-label={`Compare ${colony.name}`}
      outline={picked ? '3px solid' : '1px dashed'}
      outlineColor={picked ? 'accent' : 'inkSoft'}
      bg={picked ? 'accentSoft' : 'transparent'}
      onClick={() => dispatch(pickToggled(colony.id))}
    >
      <Face state={state} />
    </Box>
  );
});

function Face({ state }: { readonly state: ColonyState }) {
  const { colony, strength } = state;
  return (
    <>
      <Flex align="center" gap={2} px={1}>
        <Text as="span" fontWeight="700" fontSize="1.05rem">
          {colony.name}
        </Text>
        <QueenDot state={state} />
        <Text as="span" ml="auto" color="inkSoft" fontSize="sm">
          {state.countAgeDays === null
            ? 'never counted'
            : state.countAgeDays === 0
              ? 'today'
              : `${state.countAgeDays} d`}
        </Text>
      </Flex>
      <LazyHive state={state} />
      <Flex gap={3} px={1} pt={1} fontWeight="600">
        <Figure shape="bees" value={strength.framesOfBees.likely} name="frames of bees" />
        <Figure shape="brood" value={strength.broodFrames.likely} name="frames of brood" />
        <Figure shape="stores" value={strength.storesFrames} name="frames of stores" />
      </Flex>
      <Text
        px={1}
        maxW="200px"
        minH="2.9em"
        lineHeight="1.4"
        fontWeight={state.urgent ? '700' : '400'}
        color={state.urgent ? 'alarm' : state.lane === 'raising' ? 'rest' : 'inkSoft'}
      >
        {state.reason}
      </Text>
      {state.countedBeforeSplit && (
        <Text px={1} fontSize="sm" color="inkSoft">
          counted before the split
        </Text>
      )}
    </>
  );
}

/** The hive, drawn when it comes near the screen: a board of 150 has some 30,000 bands. */
function LazyHive({ state }: { readonly state: ColonyState }) {
  const apiary = useApiary();
  const { ref, inView } = useInView({ rootMargin: '900px 0px', triggerOnce: true });
  const { colony, frames } = state;
  const printing = usePrinting();
  const boxes = useMemo(() => drawnBoxesOf(apiary, colony, frames), [apiary, colony, frames]);
  const { width, height } = hiveSize(boxes);
  return (
    <Box
      ref={ref}
      maxW={`${width}px`}
      style={{ aspectRatio: `${width} / ${height}`, contain: 'layout paint' }}
    >
      {(inView || printing) && (
        <HiveDrawing boxes={boxes} queenColour={queenColour(state)} label={hiveInWords(colony.name, boxes)} />
      )}
    </Box>
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

const SHAPES = { bees: '#7E8A84', brood: 'url(#comb-capped)', stores: 'url(#comb-honey)' } as const;

function Figure({
  shape,
  value,
  name,
}: {
  readonly shape: keyof typeof SHAPES;
  readonly value: number;
  readonly name: string;
}) {
  return (
    <Flex as="span" align="center" gap={1} title={name}>
      <svg width="12" height="12" viewBox="0 0 12 12" aria-hidden="true">
        {shape === 'bees' ? (
          <circle cx="6" cy="6" r="5" fill={SHAPES.bees} />
        ) : (
          <rect x="1" y="1" width="10" height="10" rx="2" fill={SHAPES[shape]} stroke="#18282B" />
        )}
      </svg>
      {one(value)}
      <Box as="span" srOnly>
        {name}
      </Box>
    </Flex>
  );
}

import { Box, Flex, Grid, Heading, Text } from '@chakra-ui/react';
import { type ColonyState } from '@incremen/core/colony';
import { hatchesWithin } from '@incremen/core/forecast';
import { nestOf, type Operation } from '@incremen/core/records';
import { readNest } from '@incremen/core/brood';
import { Fragment, useDeferredValue, useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useAppSelector } from '../../state/store.ts';
import { drawnBoxesOf } from '../../drawing/drawnBoxes.ts';
import { HiveDrawing, hiveInWords, hiveSize } from '../../drawing/HiveDrawing.tsx';
import { Legend } from '../../drawing/Legend.tsx';
import { useApiary, useOperation } from '../../mirror/hooks.ts';
import { ago, mass, one, rangeOf } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { AllColonies } from './AllColonies.tsx';
import { BoardDay, PastNote } from '../../shared/colonies/BoardDay.tsx';
import { MOST_COMPARED } from '../../state/boardSlice.ts';
import { queenColour } from '../../shared/colonies/ColonyCard.tsx';
import { LANES } from '../../shared/colonies/lanes.ts';
import { useStatesOn } from '../../shared/colonies/useColoniesOn.ts';

/** One line of the comparison; the larger number leads where one is given. */
interface Row {
  readonly name: string;
  readonly text: (s: ColonyState) => string;
  readonly more?: (s: ColonyState) => string;
  readonly number?: (s: ColonyState) => number;
}

/** Two to four colonies side by side, on one day and in one frame size. */
export function ComparePage() {
  const apiary = useApiary();
  const operation = useOperation();
  const [params] = useSearchParams();
  const offset = useDeferredValue(useAppSelector((s) => s.board.offset));
  const ids = params.getAll('c').slice(0, MOST_COMPARED).join(' ');
  const colonies = useMemo(() => ids.split(' ').flatMap((id) => apiary.colony[id] ?? []), [apiary, ids]);
  const { states, day, past } = useStatesOn(colonies, offset);
  const rows = useMemo(() => rowsOf(operation), [operation]);
  if (states.length < 2) {
    return <AllColonies picked={colonies.map((c) => c.id)} />;
  }
  const boxes = states.map((s) => drawnBoxesOf(apiary, s.colony, s.frames));
  const tallest = Math.max(...boxes.map((b) => hiveSize(b).height));
  return (
    <Box>
      <PageHeader title={states.map((s) => s.colony.name).join(' · ')} />
      <BoardDay />
      <PastNote past={past} day={day} />
      <Box overflowX="auto" mt={4} role="region" aria-label="Comparison" tabIndex={0}>
        <Grid
          templateColumns={`minmax(88px, max-content) repeat(${states.length}, minmax(150px, 1fr))`}
          columnGap={5}
          rowGap={2}
          minW={`${110 + states.length * 160}px`}
          alignItems="baseline"
        >
          <Box />
          {states.map((s, i) => (
            <Box key={s.colony.id} alignSelf="end">
              <Heading as="h2" fontSize="xl" mb={1}>
                <Link to={`/colonies/${s.colony.id}`}>{s.colony.name}</Link>
              </Heading>
              <Flex align="flex-end" minH={{ md: `${tallest * 1.1}px` }}>
                <HiveDrawing
                  boxes={boxes[i] ?? []}
                  queenColour={queenColour(s)}
                  label={hiveInWords(s.colony.name, boxes[i] ?? [])}
                  scale={1.1}
                />
              </Flex>
            </Box>
          ))}
          {rows.map((row) => {
            const numbers = row.number ? states.map(row.number) : [];
            const most = Math.max(...numbers);
            const leads = (i: number) => numbers.length > 0 && most > 0 && most - (numbers[i] ?? 0) < 0.05;
            return (
              <Fragment key={row.name}>
                <Text color="inkSoft" borderTopWidth="1px" borderColor="line" pt={1.5} alignSelf="stretch">
                  {row.name}
                </Text>
                {states.map((s, i) => (
                  <Box key={s.colony.id} borderTopWidth="1px" borderColor="line" pt={1.5} alignSelf="stretch">
                    <Text fontWeight={leads(i) ? '700' : '400'}>{row.text(s)}</Text>
                    {row.number && (
                      <Box h="6px" bg="sunk" borderRadius="full" mt={1} aria-hidden>
                        <Box
                          h="6px"
                          borderRadius="full"
                          bg={leads(i) ? 'accent' : 'inkSoft'}
                          w={`${most > 0 ? (100 * (numbers[i] ?? 0)) / most : 0}%`}
                        />
                      </Box>
                    )}
                    {row.more && (
                      <Text fontSize="sm" color="inkSoft">
                        {row.more(s)}
                      </Text>
                    )}
                  </Box>
                ))}
              </Fragment>
            );
          })}
        </Grid>
      </Box>
      <Box mt={6}>
        <Legend />
      </Box>
    </Box>
  );
}

function rowsOf({ units, referenceSize }: Operation): Row[] {
  const lane = (s: ColonyState) => LANES.find((l) => l.lane === s.lane)?.title ?? '';
  const nest = (s: ColonyState) => nestOf(s.frames);
  const hatch = (s: ColonyState, days: number) => one(hatchesWithin(nest(s), days, referenceSize));
  return [
    { name: 'Group', text: lane, more: (s) => s.notice.words },
    { name: 'Counted', text: (s) => (s.countAgeDays === null ? 'never' : ago(s.countAgeDays)) },
    {
      name: 'Bees',
      text: (s) => `${one(s.strength.framesOfBees.likely)} frames`,
      more: (s) => rangeOf(s.strength.framesOfBees),
      number: (s) => s.strength.framesOfBees.likely,
    },
    {
      name: 'Brood',
      text: (s) => `${one(s.strength.broodFrames.likely)} frames`,
      more: ({ strength: { frames: f } }) =>
        `${one(f.eggs)} eggs · ${one(f.open)} open · ${one(f.capped + f.emerging)} capped`,
      number: (s) => s.strength.broodFrames.likely,
    },
    {
      name: 'Stores',
      text: (s) => `${one(s.strength.storesFrames)} frames`,
      more: (s) => `${mass(s.strength.storesKg.low, units)} to ${mass(s.strength.storesKg.high, units)}`,
      number: (s) => s.strength.storesFrames,
    },
    {
      name: 'Bee bread',
      text: (s) => `${one(s.strength.frames.beeBread)} frames`,
      number: (s) => s.strength.frames.beeBread,
    },
    {
      name: 'Empty comb',
      text: (s) => `${one(s.strength.frames.drawn)} frames`,
      number: (s) => s.strength.frames.drawn,
    },
    {
      name: 'Bees due to emerge',
      text: (s) => `${hatch(s, 7)} in a week`,
      more: (s) => `${hatch(s, 14)} in two, ${hatch(s, 21)} in three`,
      number: (s) => hatchesWithin(nest(s), 7, referenceSize),
    },
    { name: 'Nest', text: (s) => (s.countAgeDays === null ? '–' : readNest(nest(s)).words) },
    {
      name: 'Queen',
      text: (s) => {
        if (s.queen.state !== 'here') return s.queen.state === 'raising' ? 'raising one' : 'not recorded';
        const { name, birthYear } = s.queen.queen;
        return `${name ?? 'no name'}${birthYear === null ? '' : `, ${birthYear}`}`;
      },
    },
  ];
}

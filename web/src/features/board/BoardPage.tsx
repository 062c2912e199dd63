import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { coloniesOfYard, colonyState, type ColonyState, type Lane, type Yard } from '@incremen/core';
import { useMemo } from 'react';
import { Link, NavLink, useParams } from 'react-router';
import { Plus } from 'lucide-react';
import { Legend } from '../../drawing/Legend.tsx';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { one } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ColonyCard } from './ColonyCard.tsx';
import { EmptyYard } from './EmptyYard.tsx';
import { NextUp } from './NextUp.tsx';

const LANES: readonly { lane: Lane; title: string; meaning: string }[] = [
  { lane: 'giver', title: 'Can give', meaning: 'strong, above your giver line' },
  { lane: 'weak', title: 'Weak', meaning: 'boost, watch or unite' },
  { lane: 'even', title: 'Even', meaning: 'leave them to build' },
  { lane: 'raising', title: 'Raising', meaning: 'a queen on the way' },
  { lane: 'uncounted', title: 'Not counted', meaning: 'read the frames first' },
];

/** One yard: what to do next, and every colony drawn on its stand. */
export function BoardPage() {
  const apiary = useApiary();
  const { yardId } = useParams();
  const yards = Object.values(apiary.yard).toSorted(
    (a, b) => coloniesOfYard(apiary, b.id).length - coloniesOfYard(apiary, a.id).length,
  );
  const yard = yards.find((y) => y.id === yardId) ?? yards[0];
  if (!yard) return <EmptyYard />;
  return <YardBoard yard={yard} yards={yards} />;
}

function YardBoard({ yard, yards }: { readonly yard: Yard; readonly yards: readonly Yard[] }) {
  const apiary = useApiary();
  const today = useToday();
  const states = useMemo(
    () => coloniesOfYard(apiary, yard.id).map((c) => colonyState(apiary, c, today)),
    [apiary, yard, today],
  );
  return (
    <Box>
      <PageHeader title={yard.name} aside={<Totals states={states} />}>
        <Flex as="nav" aria-label="Yards" gap={1} borderWidth="1px" borderRadius="lg" p="3px" bg="sunk">
          {yards.map((y) => (
            <NavLink key={y.id} to={`/yards/${y.id}`}>
              <Box
                px={3}
                minH="38px"
                display="flex"
                alignItems="center"
                borderRadius="md"
                {...(y.id === yard.id
                  ? { bg: 'sheet', fontWeight: '700', boxShadow: 'xs' }
                  : { color: 'inkSoft' })}
              >
                {y.name}
              </Box>
            </NavLink>
          ))}
        </Flex>
        <Button asChild variant="outline" bg="sheet" minH="44px">
          <Link to={`/setup?yard=${yard.id}`}>
            <Plus size={18} aria-hidden /> Hives
          </Link>
        </Button>
      </PageHeader>
      <NextUp states={states} />
      {states.length === 0 && <Text>No hive stands here yet.</Text>}
      <Flex wrap="wrap" columnGap={8} rowGap={3} align="flex-start">
        {LANES.map(({ lane, title, meaning }) => (
          <LaneBlock
            key={lane}
            title={title}
            meaning={meaning}
            states={states.filter((s) => s.lane === lane)}
          />
        ))}
      </Flex>
      <Box mt={5}>
        <Legend />
      </Box>
    </Box>
  );
}

function Totals({ states }: { readonly states: readonly ColonyState[] }) {
  const sum = (pick: (s: ColonyState) => number) => one(states.reduce((n, s) => n + pick(s), 0));
  return (
    <Text>
      {states.length} colonies · <b>{sum((s) => s.strength.framesOfBees.likely)}</b> frames of bees ·{' '}
      <b>{sum((s) => s.strength.broodFrames.likely)}</b> brood · <b>{sum((s) => s.strength.storesFrames)}</b>{' '}
      stores
    </Text>
  );
}

/** A lane is as wide as its hives, so that small lanes share a row. */
function LaneBlock({
  title,
  meaning,
  states,
}: {
  readonly title: string;
  readonly meaning: string;
  readonly states: readonly ColonyState[];
}) {
  if (states.length === 0) return null;
  return (
    <Box
      as="section"
      aria-label={title}
      borderTopWidth="2px"
      borderColor="line"
      pt={2}
      pb={1}
      w={{ base: '100%', md: 'auto' }}
    >
      <Flex align="baseline" gap={2} mb={2}>
        <Heading as="h2" fontSize="1.15rem">
          {title}
        </Heading>
        <Text color="inkSoft" fontSize="sm">
          {meaning}
        </Text>
      </Flex>
      <Flex
        as="ul"
        listStyleType="none"
        wrap="wrap"
        columnGap={{ base: 4, md: 5 }}
        rowGap={3}
        align="flex-end"
      >
        {states.map((s) => (
          <Box as="li" key={s.colony.id} w={{ base: 'calc(50% - 8px)', md: 'auto' }}>
            <ColonyCard state={s} />
          </Box>
        ))}
      </Flex>
    </Box>
  );
}

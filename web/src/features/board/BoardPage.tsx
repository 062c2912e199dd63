import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type ColonyState } from '@incremen/core/colony';
import { coloniesOfYard, type Yard } from '@incremen/core/records';
import { memo, Suspense, useDeferredValue, useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { ListChecks, Plus, Printer, ScanQrCode, Table2, type LucideIcon } from 'lucide-react';
import { useApiary } from '../../mirror/hooks.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { lazyPart } from '../../ui/lazyPart.tsx';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { YardTabs } from '../../shared/colonies/YardTabs.tsx';
import { isCounted, YardTotals } from '../../shared/colonies/YardTotals.tsx';
import { viewed } from '../../state/boardSlice.ts';
import { BoardTools } from './BoardTools.tsx';
import { ColonyCard } from '../../shared/colonies/ColonyCard.tsx';
import { BoardDay, PastNote } from '../../shared/colonies/BoardDay.tsx';
import { arranged, LANES } from '../../shared/colonies/lanes.ts';
import { CountNext } from '../../shared/colonies/CountNext.tsx';
import { useColoniesOn } from '../../shared/colonies/useColoniesOn.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import styles from './BoardPage.module.css';

// It stands below everything else.
const Legend = lazyPart(async () => ({ default: (await import('../../drawing/Legend.tsx')).Legend }));
// Only who begins has no yard.
const EmptyYard = lazyPart(() => import('../../shared/colonies/EmptyYard.tsx'));

/** One yard: what to do next, and every colony drawn on its stand. */
export function BoardPage() {
  const apiary = useApiary();
  const { yardId } = useParams();
  const yards = Object.values(apiary.yard).toSorted(
    (a, b) => coloniesOfYard(apiary, b.id).length - coloniesOfYard(apiary, a.id).length,
  );
  const yard = yards.find((y) => y.id === yardId) ?? yards[0];
  if (!yard)
    return (
      <Suspense fallback={null}>
        <EmptyYard />
      </Suspense>
    );
  return <YardBoard yard={yard} yards={yards} />;
}

function YardBoard({ yard, yards }: { readonly yard: Yard; readonly yards: readonly Yard[] }) {
  const { sort, find, lane, picked, offset: wanted } = useAppSelector((s) => s.board);
  // The slider keeps up with the finger; the board follows as fast as it can.
  const offset = useDeferredValue(wanted);
  const { states, day, past } = useColoniesOn(yard.id, offset);
  const shown = useMemo(() => arranged(states, { sort, find, lane }), [states, sort, find, lane]);
  return (
    <Box>
      <YardHead yard={yard} yards={yards} states={states} />
      <CountNext yard={yard} />
      {states.length > 0 && (
        <Flex gap={{ base: 1, md: 4 }} mb={3} wrap="wrap" justify="space-between">
          <BoardDay />
          <BoardTools />
        </Flex>
      )}
      <PastNote past={past} day={day} />
      {states.length > 0 && shown.length === 0 && <NothingFits all={states.length} />}
      <Lanes shown={shown} picked={picked} />
      <Box mt={5}>
        <Suspense fallback={null}>
          <Legend />
        </Suspense>
      </Box>
    </Box>
  );
}

const YardHead = memo(function YardHead({
  yard,
  yards,
  states,
}: {
  readonly yard: Yard;
  readonly yards: readonly Yard[];
  readonly states: readonly ColonyState[];
}) {
  return (
    <>
      <PageHeader title={yard.name} aside={<YardTotals states={states} />}>
        <YardTabs yards={yards} current={yard.id} />
        {states.some(isCounted) && (
          <Button asChild display={{ base: 'none', md: 'inline-flex' }}>
            <Link to={`/plan?yard=${yard.id}`}>Plan</Link>
          </Button>
        )}
        {states.length > 0 && (
          <>
            <HeadLink to={`/several?yard=${yard.id}`} label="Several hives at once" icon={ListChecks} />
            <HeadLink to="/scan" label="Scan a hive tag" icon={ScanQrCode} />
            <HeadLink to="/compare" label="All colonies as a table" icon={Table2} wide />
            <HeadLink to={`/yards/${yard.id}/sheets`} label="Sheets to print" icon={Printer} wide />
          </>
        )}
        <Button asChild variant="outline" bg="sheet">
          <Link to={`/setup?yard=${yard.id}`} aria-label="Add hives">
            <Plus size={18} aria-hidden />
            <Box as="span" display={{ base: 'none', md: 'inline' }}>
              Hives
            </Box>
          </Link>
        </Button>
      </PageHeader>
      {states.length === 0 && (
        <Text>
          No hive stands here yet. <Link to={`/setup?yard=${yard.id}`}>Put some on their stands.</Link>
        </Text>
      )}
    </>
  );
});

/** A way on that needs no words on screen; those for wide screens only have another door on a phone. */
function HeadLink({
  to,
  label,
  icon: Icon,
  wide = false,
}: {
  readonly to: string;
  readonly label: string;
  readonly icon: LucideIcon;
  readonly wide?: boolean;
}) {
  return (
    <Button
      asChild
      variant="outline"
      bg="sheet"
      {...(wide && { display: { base: 'none', md: 'inline-flex' } })}
    >
      <Link to={to} aria-label={label} title={label}>
        <Icon size={18} aria-hidden />
      </Link>
    </Button>
  );
}

function NothingFits({ all }: { readonly all: number }) {
  const dispatch = useAppDispatch();
  return (
    <Text>
      No colony fits.{' '}
      <Button variant="outline" bg="sheet" onClick={() => dispatch(viewed({ find: '', lane: null }))}>
        Show all {all}
      </Button>
    </Text>
  );
}

const Lanes = memo(function Lanes({
  shown,
  picked,
}: {
  readonly shown: readonly ColonyState[];
  readonly picked: readonly string[] | null;
}) {
  return (
    <Flex wrap="wrap" columnGap={8} rowGap={3} align="flex-start">
      {LANES.map(({ lane, title, meaning }) => (
        <LaneBlock
          key={lane}
          title={title}
          meaning={meaning}
          states={shown.filter((s) => s.lane === lane)}
          picked={picked}
        />
      ))}
    </Flex>
  );
});

/** A lane is as wide as its hives, so that small lanes share a row. */
function LaneBlock({
  title,
  meaning,
  states,
  picked,
}: {
  readonly title: string;
  readonly meaning: string;
  readonly states: readonly ColonyState[];
  readonly picked: readonly string[] | null;
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
        <SectionHeading mb={0}>{title}</SectionHeading>
        <Text color="inkSoft" fontSize="sm">
          {states.length > 6 ? `${states.length}, ` : ''}
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
          <li key={s.colony.id} className={styles.place}>
            <ColonyCard state={s} picked={picked === null ? null : picked.includes(s.colony.id)} />
          </li>
        ))}
      </Flex>
    </Box>
  );
}

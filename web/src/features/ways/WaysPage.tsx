import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import {
  afterTrials,
  findMethods,
  isSplitMethod,
  optionsFor,
  situationOf,
  type RankedMethod,
  type Situation,
} from '@incremen/core/split';
import { houseRules } from '@incremen/core/rules';
import { operationOf, placeOf, type Colony } from '@incremen/core/records';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { RouteError } from '../../ui/RouteError.tsx';
import { useAppDispatch } from '../../state/store.ts';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { begunFrom } from '../../state/plannerSlice.ts';
import { askFor } from './askFor.ts';
import { useTrials } from './useTrials.ts';
import { SituationForm } from './SituationForm.tsx';
import { WayCard } from './WayCard.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import common from '../../ui/common.module.css';
import styles from './WaysPage.module.css';

/** Which way to make increase suits this colony today, with reasons; or why to wait. */
export function WaysPage() {
  const apiary = useApiary();
  const { colonyId = '' } = useParams();
  const colony = apiary.colony[colonyId];
  if (!colony || colony.endedOn !== null) return <RouteError missing />;
  return <Finder key={colony.id} colony={colony} />;
}

function Finder({ colony }: { readonly colony: Colony }) {
  const apiary = useApiary();
  const today = useToday();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const [changed, setChanged] = useState<Partial<Situation>>({});
  // On a phone the ways come first; what they rest on is a tap away.
  const [isWide] = useState(() => globalThis.matchMedia?.('(min-width: 62em)').matches ?? true);
  const [opening, setOpening] = useState<string | null>(null);
  const read = useMemo(() => situationOf(apiary, colony, today), [apiary, colony, today]);
  const now = { ...read, ...changed };
  const rules = houseRules(operationOf(apiary).houseRules.changes);
  const asRecorded = (['queen', 'cells', 'cellCount', 'dronesFly'] as const).every((k) => now[k] === read[k]);
  const { trials, settled } = useTrials(apiary, colony.id, now, asRecorded);
  const { ranked, waitBecause } = afterTrials(findMethods(now, rules), trials);
  const can = ranked.filter((r) => r.fit.cannot === null);
  const cannot = ranked.filter((r) => r.fit.cannot !== null);

  async function plan({ method }: RankedMethod) {
    if (isSplitMethod(method)) {
      setOpening(method.id);
      const { [method.id]: trial } = await settled();
      const said = new URLSearchParams({
        method: method.id,
        ...(trial?.options ?? optionsFor(method.id, now)),
      });
      await navigate(`/colonies/${colony.id}/plan?${said.toString()}`);
      return;
    }
    const yard = placeOf(apiary, colony).yard;
    if (!yard) return;
    const request = askFor(apiary, method, colony, yard.id, today, now);
    dispatch(begunFrom({ from: `way=${method.id}&colony=${colony.id}`, request }));
    await navigate('/plan');
  }

  return (
    <Box>
      <PageHeader
        title={`Split methods for ${colony.name}`}
        aside={
          read.bees > 0
            ? `${tidy(now.bees)} frames of bees, ${tidy(now.brood)} of brood, ${tidy(now.stores)} of stores, in ${count(now.broodBoxes, 'brood box', 'brood boxes')}`
            : 'Not counted yet: count its frames first.'
        }
      >
        {read.bees === 0 && (
          <Button asChild>
            <Link to={`/colonies/${colony.id}/count`}>Count {colony.name}</Link>
          </Button>
        )}
        <Button asChild variant="outline" bg="sheet">
          <Link to={`/colonies/${colony.id}`}>Close</Link>
        </Button>
      </PageHeader>
      <Flex gap={6} direction={{ base: 'column', lg: 'row' }} align="flex-start">
        <Box asChild w={{ base: '100%', lg: '238px' }} flex="none">
          <details open={isWide}>
            <summary className={common.summary}>{inWords(now)}</summary>
            <SituationForm now={now} onChange={(change) => setChanged({ ...changed, ...change })} />
          </details>
        </Box>
        <Box flex="1" minW={0} w="100%" display="grid" gap={4}>
          {now.wanted === 0 && (
            <Text maxW="46rem">
              No colony is wanted. Without any split: give brood to weaker hives, or take swarm pressure off
              with room and empty comb.{' '}
              <Link to="/plan" className={common.inlineLink}>
                Plan that for the yard
              </Link>
            </Text>
          )}
          {waitBecause.length > 0 && <Wait name={colony.name} because={waitBecause} />}
          <Box as="ol" listStyleType="none" display="grid" gap={3} aria-label="Split methods, best first">
            {can.map((r, i) => (
              <WayCard
                key={r.method.id}
                ranked={r}
                colonyId={colony.id}
                known={i === 0 ? [] : (can[0]?.fit.reasons ?? [])}
                isBest={i === 0 && waitBecause.length === 0}
                isOpening={opening === r.method.id}
                onPlan={() => void plan(r)}
              />
            ))}
          </Box>
          {cannot.length > 0 && (
            <Box as="section">
              <SectionHeading>Not now</SectionHeading>
              <Box as="ul" listStyleType="none" display="grid" gap={2}>
                {cannot.map(({ method, fit }) => (
                  <Box as="li" key={method.id} borderTopWidth="1px" borderColor="line" pt={2}>
                    <Text as="span" fontWeight="700">
                      {method.name}.
                    </Text>{' '}
                    <Text as="span" color="inkSoft">
                      {fit.cannot}
                    </Text>
                  </Box>
                ))}
              </Box>
            </Box>
          )}
        </Box>
      </Flex>
    </Box>
  );
}

function Wait({ name, because }: { readonly name: string; readonly because: readonly string[] }) {
  return (
    <Box role="status" className={styles.wait}>
      <Heading as="h2" fontSize="xl" mb={1}>
        Do not split {name} now
      </Heading>
      <Box as="ul" pl={5}>
        {because.map((b) => (
          <li key={b}>{b}</li>
        ))}
      </Box>
    </Box>
  );
}

/** What is gone by, in a line. */
function inWords(now: Situation): string {
  const queen = { found: 'queen seen', 'not-found': 'queen not looked for', gone: 'no queen' }[now.queen];
  const cells = { none: 'no cells', open: 'open cells', capped: 'capped cells' }[now.cells];
  return `${count(now.wanted, 'new colony', 'new colonies')} wanted; ${queen}, ${cells}`;
}

const tidy = (n: number) => Math.round(n * 10) / 10;

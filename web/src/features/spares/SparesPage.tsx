import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { meanOf } from '@incremen/core/odds';
import { boxesOfColony, type Apiary, type Colony } from '@incremen/core/records';
import { isNuc } from '@incremen/core/rules';
import {
  chanceOfWinter,
  deadOfLastWinter,
  nucsFor,
  ownWinters,
  springOdds,
  type WinterResults,
} from '@incremen/core/wintering';
import { Fragment, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { Stepper } from '../../ui/Stepper.tsx';
import common from '../../ui/common.module.css';
import { SpringChart } from './SpringChart.tsx';
import styles from './SparesPage.module.css';

const percent = (p: number) => `${Math.round(100 * p)} %`;
const SHARES = [
  { id: '0.5', label: 'In every second winter' },
  { id: '0.8', label: 'In eight of ten' },
  { id: '0.9', label: 'In nine of ten' },
] as const;

/** Full colonies and nucs as they stand now. */
function standing(apiary: Apiary): { readonly full: readonly Colony[]; readonly nucs: readonly Colony[] } {
  const alive = Object.values(apiary.colony).filter((c) => c.endedOn === null && c.hiveId !== null);
  const small = (c: Colony) => {
    const brood = boxesOfColony(apiary, c).filter((b) => b.role === 'brood');
    return isNuc({ slots: brood.reduce((n, b) => n + b.slots, 0), storeys: Math.max(1, brood.length) });
  };
  return { full: alive.filter((c) => !small(c)), nucs: alive.filter(small) };
}

/** How many nucs to winter as spares, so that spring finds each dead colony replaced; with the odds, not the average. */
export function SparesPage() {
  const apiary = useApiary();
  const today = useToday();
  const now = useMemo(() => standing(apiary), [apiary]);
  const [colonies, setColonies] = useState(Math.max(1, now.full.length));
  const [nucs, setNucs] = useState(now.nucs.length);
  const [share, setShare] = useState<(typeof SHARES)[number]['id']>('0.8');
  const winters = useMemo(() => ownWinters(apiary, today), [apiary, today]);
  const of = {
    ofColonies: chanceOfWinter('grown', winters.grown),
    ofNucs: chanceOfWinter('young', winters.young),
  };
  const odds = springOdds({ colonies, nucs, ...of });
  const needed = nucsFor(Number(share), { colonies, ...of });
  const around = [...new Set([0, 1, 2, 3, 4, 5, 6, nucs, needed ?? nucs])].toSorted((a, b) => a - b);
  return (
    <Box maxW="62rem">
      <PageHeader title="Spares for the winter" aside="Nucs that take the place of those that die.">
        <Button asChild variant="outline" bg="sheet">
          <Link to="/weak">Weak colonies and nucs</Link>
        </Button>
      </PageHeader>
      <DeadNow dead={deadOfLastWinter(apiary, today)} spares={now.nucs} />
      <Text fontSize="xl" fontWeight="700" fontFamily="heading" role="status" mb={1}>
        {needed === null
          ? `No number of nucs replaces every dead one ${inWords(share)}.`
          : needed === 0
            ? `No spare is needed: ${inWords(share)} nobody dies.`
            : `Winter ${count(needed, 'nuc')}: ${inWords(share)} every colony that dies is replaced.`}
      </Text>
      <Text mb={5} maxW="44rem">
        With {count(nucs, 'nuc')} it is so in {percent(odds.replaced)} of winters. Of {colonies} about{' '}
        {((1 - meanOf(of.ofColonies)) * colonies).toFixed(1)} die, and {percent(meanOf(of.ofNucs))} of nucs
        live: a nuc that dies itself is no spare, and a hard winter takes more of both.
      </Text>
      <Flex gap={8} wrap="wrap" align="flex-start">
        <Box display="grid" gap={4} flex="0 1 22rem">
          <Stepper
            label="colonies to be there in spring"
            value={colonies}
            min={1}
            max={200}
            onChange={setColonies}
          />
          <Stepper label="nucs beside them" value={nucs} min={0} max={60} onChange={setNucs} />
          <Choice label="Every dead one replaced" value={share} options={SHARES} onChange={setShare} />
        </Box>
        <Box as="section" aria-label="Odds by nucs" flex="1 1 20rem" maxW="30rem">
          <SectionHeading mb={2}>Every dead colony replaced</SectionHeading>
          <dl className={styles.bars}>
            {around.map((n) => {
              const chance = springOdds({ colonies, nucs: n, ...of }).replaced;
              return (
                <Fragment key={n}>
                  <dt data-here={n === nucs || undefined} data-needed={n === needed || undefined}>
                    {count(n, 'nuc')}
                  </dt>
                  <dd>
                    <span className={styles.bar} style={{ width: `${100 * chance}%` }} />
                    <b>{percent(chance)}</b>
                  </dd>
                </Fragment>
              );
            })}
          </dl>
        </Box>
      </Flex>
      <SpringChart alive={odds.alive} wanted={colonies} />
      <Box as="details" mt={5}>
        <summary className={common.summary}>How this is worked out</summary>
        <Text maxW="44rem" mb={2}>
          {learned('full colonies', winters.grown)} {learned('nucs and young colonies', winters.young)} Before
          your own winters count, 85 of 100 full colonies and 75 of 100 nucs are taken to live, as if ten
          colonies and five nucs had told so; surveys of beekeepers give from one in ten to one in three dead.
        </Text>
        <Text maxW="44rem">
          So few winters leave the chance itself in doubt, and colonies of one winter fare well or ill
          together: the odds are those of the beta-binomial distribution, not of a division. Full colonies and
          nucs are taken to have each their own luck.
        </Text>
      </Box>
    </Box>
  );
}

const inWords = (share: (typeof SHARES)[number]['id']): string =>
  share === '0.5'
    ? 'in every second winter'
    : share === '0.8'
      ? 'in eight winters of ten'
      : 'in nine winters of ten';

const learned = (what: string, { lived, died }: WinterResults): string =>
  lived + died === 0
    ? `No winter of your ${what} is on record yet.`
    : `Of your ${what}, ${lived} came through a winter and ${died} did not.`;

/** After the winter: those that died against the nucs that are there. */
function DeadNow({ dead, spares }: { readonly dead: readonly Colony[]; readonly spares: readonly Colony[] }) {
  if (dead.length === 0) return null;
  const short = dead.length - spares.length;
  return (
    <Box role="note" bg="nearSoft" borderRadius="lg" px={4} py={3} mb={5} maxW="44rem">
      <Text fontWeight="700">
        {count(dead.length, 'colony', 'colonies')} died this winter; {count(spares.length, 'nuc')} could take
        their place{short > 0 ? `: ${short} short` : ''}.
      </Text>
      <Text>
        {short > 0
          ? 'Make the rest in May, or leave a stand empty. '
          : 'Move each into a full-size hive on a warm day. '}
        Clean the boxes first, and use combs again only where you know what the colony died of.
      </Text>
    </Box>
  );
}

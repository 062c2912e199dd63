import { Box, Button, Flex, Grid, Text } from '@chakra-ui/react';
import { capital, type Day } from '@incremen/core/basics';
import { openFollowUps, placeOf, type Apiary, type FollowUp, type Work } from '@incremen/core/records';
import type { ColonyState } from '@incremen/core/colony';
import { openSplitOf } from '@incremen/core/work';
import { followUpInShort, isInspection } from '@incremen/core/followup';
import { memo } from 'react';
import { Link } from 'react-router';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { countRound, firstCountOf } from '../../shared/colonies/countRound.ts';
import { wayOut } from '../../shared/colonies/wayOut.ts';
import common from '../../ui/common.module.css';

interface Item {
  readonly key: string;
  readonly who: string;
  readonly what: string;
  readonly verb: string;
  readonly to: string;
  readonly urgent: boolean;
  /** What is to be done before anything else, though nothing is wrong. */
  readonly first?: boolean;
}

/** What comes next in this yard, at most three things, each with its verb. */
export const NextUp = memo(function NextUp({ states }: { readonly states: readonly ColonyState[] }) {
  const apiary = useApiary();
  const today = useToday();
  const items = nextItems(apiary, states, today);
  if (items.length === 0) return null;
  return (
    <Box as="section" aria-label="Next" mb={4} className={common.noPrint}>
      <Grid gap={3} templateColumns={{ base: '1fr', lg: 'repeat(3, 1fr)' }}>
        {items.slice(0, 3).map((item) => (
          <Flex
            key={item.key}
            align="center"
            wrap="wrap"
            columnGap={4}
            rowGap={2}
            bg="sheet"
            borderWidth="1px"
            borderColor="line"
            borderLeftWidth="5px"
            borderLeftColor={item.urgent ? 'alarm' : 'accent'}
            borderRadius="lg"
            pl={4}
            pr={2}
            py={2}
          >
            <Box flex="1 1 10rem">
              <Text fontWeight="700">{item.who}</Text>
              <Text color={item.urgent ? 'alarm' : 'inkSoft'}>{item.what}</Text>
            </Box>
            <Button asChild {...(item.urgent || item.first ? {} : { variant: 'outline' as const })}>
              <Link to={item.to}>{item.verb}</Link>
            </Button>
          </Flex>
        ))}
      </Grid>
    </Box>
  );
});

function nextItems(apiary: Apiary, states: readonly ColonyState[], today: Day): Item[] {
  const here = new Set(states.map((s) => s.colony.id));
  const due = openFollowUps(apiary).filter(
    (f) => isInspection(f) && f.window.earliest <= today && f.colonyIds.some((c) => here.has(c)),
  );
  const working = Object.values(apiary.work).filter(
    (w) => w.status === 'working' && w.body.units.some((u) => here.has(u.colonyId)),
  );
  const named = (f: FollowUp) => f.colonyIds.map((c) => apiary.colony[c]?.name ?? '').join(' · ');
  const planned = (s: ColonyState) => openSplitOf(apiary, s.colony.id);
  const splitOf = ({ body: { asked } }: Work) => (asked.source === 'split' ? asked.colonyId : null);
  const busy = new Set(working.map(splitOf));
  return [
    ...working.map((p): Item => ({
      key: p.id,
      who: apiary.colony[splitOf(p) ?? '']?.name ?? capital(p.name),
      what: 'Work begun and not finished',
      verb: 'Go on',
      to: `/worksheet/${p.id}`,
      urgent: true,
    })),
    ...due.map((f): Item => ({
      key: f.id,
      who: named(f),
      what: followUpInShort(f),
      verb: 'Record it',
      to: `/look/${f.id}`,
      urgent: f.window.likely <= today,
    })),
    ...states
      .filter((s) => s.notice.urgent && s.lane !== 'raising' && !busy.has(s.colony.id))
      .map((s): Item => ({
        key: s.colony.id,
        who: s.colony.name,
        what: s.notice.words,
        ...(wayOut(s) ??
          (s.notice.id === 'swarm-cells'
            ? { verb: 'Plan a split', to: planOrWork(s, planned(s)?.id) }
            : { verb: 'Open', to: `/colonies/${s.colony.id}` })),
        urgent: true,
      })),
    ...neverCounted(apiary, states),
    ...states
      .filter((s) => s.lane === 'giver' && !s.notice.urgent && !busy.has(s.colony.id))
      .map((s): Item => ({
        key: s.colony.id,
        who: s.colony.name,
        what: s.notice.words,
        verb: planned(s) ? 'Start the work' : 'Plan a split',
        to: planOrWork(s, planned(s)?.id),
        urgent: false,
      })),
  ];
}

/** A yard that was just set up is counted first, hive after hive: until then nothing can be worked out. */
function neverCounted(apiary: Apiary, states: readonly ColonyState[]): Item[] {
  const first = states[0]?.colony;
  const { yard } = first ? placeOf(apiary, first) : {};
  if (!yard) return [];
  const { next, counted, all } = countRound(apiary, yard.id);
  if (!next) return [];
  return [
    {
      key: `count ${next.id}`,
      who: next.name,
      what:
        counted === 0
          ? 'Bees, brood and food in a few numbers: two minutes.'
          : `${counted} of ${all} counted`,
      verb: `Count ${next.name}`,
      to: firstCountOf(next),
      urgent: false,
      first: true,
    },
  ];
}

const planOrWork = (s: ColonyState, planId: string | undefined) =>
  planId ? `/worksheet/${planId}` : `/colonies/${s.colony.id}/ways`;

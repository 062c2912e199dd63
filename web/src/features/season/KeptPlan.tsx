import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { SeasonPlan } from '@incremen/core/records';
import type { HeldTo, Outlook } from '@incremen/core/seasonplan';
import { useOperation, useToday } from '../../mirror/hooks.ts';
import { useTell } from '../../shared/telling/useTell.ts';
import { count, mass, one } from '../../ui/format.ts';
import common from '../../ui/common.module.css';
import type { Helps } from './useHelps.ts';
import { onDay } from '../../shared/days/onDay.ts';
import { colonySpan } from './seasonWords.ts';
import styles from './Season.module.css';

const percent = (p: number) => `${Math.round(100 * p)} %`;
/** Odds that are told apart, and so many fewer that the season is behind. */
const TELLS = 0.05;
const BEHIND = 0.15;

/** The plan that is followed: how the season goes against it, and what can still be reached. */
export function KeptPlan({
  plan,
  held,
  now,
  week,
  anew,
  onAnew,
}: {
  readonly plan: SeasonPlan;
  readonly held: HeldTo;
  readonly now: Outlook | null;
  readonly week: Helps['week'] | null;
  readonly anew: boolean;
  readonly onAnew: () => void;
}) {
  const today = useToday();
  const { units } = useOperation();
  const { tell, busy } = useTell();
  const { aim, said } = plan;
  const late = held.rounds.filter((r) => r.state === 'late' || r.state === 'part');
  const worse = now !== null && now.over && now.odds < said.odds - TELLS;
  const next = held.rounds.find((r) => r.state !== 'done');
  const last = now?.fans.at(-1);
  return (
    <Box as="section" aria-label="The plan you follow" className={styles.aim}>
      <Text className={styles.odds} role="status">
        {count(aim.colonies, 'colony', 'colonies')} by {onDay(aim.by, today)}:{' '}
        {held.verdict === 'behind' || (now?.over && now.odds < said.odds - BEHIND)
          ? 'the season is behind the plan.'
          : held.verdict === 'ahead'
            ? 'you are ahead of the plan.'
            : 'the season goes as planned.'}
      </Text>
      <Text mt={1}>
        Now {count(held.colonies, 'colony', 'colonies')} with {Math.round(held.frames)} frames of bees
        {held.said &&
          `; for this week ${colonySpan(held.said.colonies)} were said, ${Math.round(held.said.frames[0])} to ${Math.round(held.said.frames[2])} frames`}
        . {now && `Odds ${percent(said.odds)} when you made it, ${percent(now.odds)} today.`}
      </Text>
      {held.stale > 0 && (
        <Text mt={1} fontWeight="700">
          {held.stale === held.colonies
            ? 'All counts are'
            : `${count(held.stale, 'count')} ${held.stale === 1 ? 'is' : 'are'}`}{' '}
          too old: what came in since, and what they have grown to, is a guess. Count them first; the odds
          follow.
        </Text>
      )}
      {last && worse && (
        <Text mt={1} fontWeight="700">
          What can still be reached as planned: {colonySpan(last.colonies)} in eight of ten seasons. Plan
          anew: it may find more.
        </Text>
      )}
      {late.length > 0 && (
        <Text mt={1} color="alarm" fontWeight="700">
          {count(late.length, 'round')} {late.length === 1 ? 'is' : 'are'} overdue.
        </Text>
      )}
      {week && next && (week.gain < -0.005 || week.colonies < -0.05) && (
        <Text mt={1}>
          Each week that you wait costs{' '}
          {week.gain < -0.005
            ? `${count(Math.round(-100 * week.gain), 'point')} of the odds`
            : 'little of the odds'}
          {week.colonies < -0.05 && ` and ${one(-week.colonies)} colonies`}
          {week.honey < -1 && `, and ${mass(-week.honey, units)} of honey`}.
        </Text>
      )}
      <Flex gap={3} mt={3} wrap="wrap" className={common.noPrint}>
        <Button
          variant={worse || late.length > 0 ? 'solid' : 'outline'}
          {...(worse || late.length > 0 ? {} : { bg: 'sheet' })}
          onClick={onAnew}
        >
          {anew ? 'Back to the plan you follow' : 'Plan anew from today'}
        </Button>
        <Button
          variant="outline"
          bg="sheet"
          disabled={busy}
          onClick={() =>
            void tell({ type: 'keepSeasonPlan', plan: null }, 'No season plan is followed any more')
          }
        >
          Stop following it
        </Button>
      </Flex>
    </Box>
  );
}

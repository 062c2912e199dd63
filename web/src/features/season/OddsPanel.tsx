import { Box, Flex, Text } from '@chakra-ui/react';
import { moneyInWords } from '@incremen/core/basics';
import type { SeasonRound } from '@incremen/core/records';
import type { PlanChange, Outlook } from '@incremen/core/seasonplan';
import { Fragment } from 'react';
import { useOperation } from '../../mirror/hooks.ts';
import { count, mass, one } from '../../ui/format.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import common from '../../ui/common.module.css';
import { changeInWords, colonySpan, DRIVER_WORDS } from './seasonWords.ts';
import styles from './Season.module.css';

const percent = (p: number) => `${Math.round(100 * p)} %`;

/** The odds of a plan, what they rest on, and what would raise them. */
export function OddsPanel({
  outlook,
  changes,
  rounds,
}: {
  readonly outlook: Outlook;
  readonly changes: readonly PlanChange[] | null;
  readonly rounds: readonly SeasonRound[];
}) {
  const { units, currency } = useOperation();
  const last = outlook.fans.at(-1);
  return (
    <Flex
      gap={{ base: 6, lg: 10 }}
      wrap="wrap"
      align="flex-start"
      mb={6}
      // What is pinned to the wall is what is done when.
      className={common.noPrint}
    >
      <Box as="section" aria-label="What the odds rest on" flex="1 1 340px" maxW="36rem">
        <SectionHeading mb={1}>Odds: {percent(outlook.odds)}</SectionHeading>
        <Text mb={3}>
          {count(outlook.seasons, 'season')} run{outlook.over ? '' : ' so far'}.{' '}
          {last &&
            `Eight of ten end with ${colonySpan(last.colonies)} and ${mass(last.honey[0], units)} to ${mass(last.honey[2], units)} of honey.`}
        </Text>
        {outlook.rests.length > 0 ? (
          <>
            <Text fontWeight="700" mb={2}>
              What they rest on most
            </Text>
            <div className={styles.tornado}>
              {outlook.rests.map(({ driver, low, high }) => {
                const [name, bad, good] = DRIVER_WORDS[driver];
                const [from, to] = [Math.min(low, high), Math.max(low, high)];
                return (
                  <Fragment key={driver}>
                    <span>{name}</span>
                    <span
                      className={styles.swing}
                      role="img"
                      aria-label={`${bad}: ${percent(low)}, ${good}: ${percent(high)}`}
                    >
                      <i style={{ left: `${100 * from}%`, width: `${100 * Math.max(0.005, to - from)}%` }} />
                      <s style={{ left: `${100 * outlook.odds}%` }} />
                    </span>
                    <span className={styles.ends} aria-hidden>
                      <span>
                        {bad}: {percent(low)}
                      </span>
                      <span>
                        {good}: {percent(high)}
                      </span>
                    </span>
                  </Fragment>
                );
              })}
            </div>
          </>
        ) : (
          outlook.over && <Text color="inkSoft">Nothing by itself moves these odds much.</Text>
        )}
      </Box>
      <Box as="section" aria-label="What would raise the odds" flex="1 1 300px" maxW="34rem">
        <SectionHeading mb={1}>What would raise them</SectionHeading>
        {changes === null ? (
          <Text color="inkSoft">Working it out…</Text>
        ) : changes.length === 0 ? (
          <Text>No small change of this plan does.</Text>
        ) : (
          <Box as="ul" display="grid" gap={2} listStyleType="none">
            {changes.map((c) => (
              <li key={JSON.stringify(c.what)}>
                <b>{changeInWords(c, rounds)}</b>: {count(Math.round(100 * c.gain), 'point')} more
                {Math.abs(c.colonies) >= 0.15 &&
                  `, ${one(Math.abs(c.colonies))} ${c.colonies > 0 ? 'more colonies' : 'fewer colonies'} on average`}
                {Math.abs(c.honey) >= 2 &&
                  `, ${mass(Math.abs(c.honey), units)} ${c.honey > 0 ? 'more' : 'less'} honey`}
                {Math.abs(c.money) >= 5 &&
                  `, ${moneyInWords(Math.abs(c.money), currency, true)} ${c.money > 0 ? 'more' : 'less'}`}
                .
              </li>
            ))}
          </Box>
        )}
      </Box>
    </Flex>
  );
}

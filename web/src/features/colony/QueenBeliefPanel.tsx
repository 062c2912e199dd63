import { Box, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import type { Colony } from '@incremen/core/records';
import { assess } from '@incremen/core/assessment';
import { nextObservation, type Reason } from '@incremen/core/queen-odds';
import { QUEEN_STATE_WORDS } from '@incremen/core/rules';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { ChanceBars, SETTLED } from '../../shared/chances/ChanceBars.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import common from '../../ui/common.module.css';

/** What is to be believed of the queen, why, what speaks against it, and which look would settle it. */
export default function QueenBeliefPanel({ colony }: { readonly colony: Colony }) {
  const apiary = useApiary();
  const today = useToday();
  const { belief, looks, next, needs } = useMemo(() => {
    const { needs, opening, belief: known } = assess(apiary, colony, today);
    // While it is to be left shut no inspection is asked for.
    const from = !opening.may && opening.until !== null ? opening.until : today;
    return { ...known, needs, next: nextObservation(known.belief, from, known.keeper) };
  }, [apiary, colony, today]);
  const [first] = needs;
  const settled = belief.chance >= SETTLED;
  return (
    <Box as="section" aria-label="What we know about the queen">
      <SectionHeading mb={1}>What we know about the queen</SectionHeading>
      {looks.length === 0 ? (
        <Text>
          Nobody has inspected it yet. Usually {QUEEN_STATE_WORDS[belief.leading]}, or{' '}
          {QUEEN_STATE_WORDS[belief.rival.state]}.
        </Text>
      ) : (
        <>
          <Text mb={2}>
            {belief.open
              ? `Open: most likely ${QUEEN_STATE_WORDS[belief.leading]}, or ${QUEEN_STATE_WORDS[belief.rival.state]}.`
              : `Most likely ${QUEEN_STATE_WORDS[belief.leading]}.`}
          </Text>
          <ChanceBars belief={belief} />
        </>
      )}
      <Text mt={3}>
        <b>Next: {first.notice.words}.</b> {first.why}{' '}
        {first.action !== null && (
          <Link className={common.inlineLink} to={`/colonies/${colony.id}/act`}>
            What can be done
          </Link>
        )}
      </Text>
      <Reasons title="Evidence for" reasons={belief.reasonsFor} />
      <Reasons title="Evidence against" reasons={belief.reasonsAgainst} />
      {!settled && (
        <Text mt={2}>
          <b>
            {next.what}
            {next.day > today ? ` from ${dayInWords(next.day)} on` : ' now'}
          </b>
          : that settles it in about {Math.min(9, Math.round(10 * next.sure))} cases of 10.
          {next.day > today && ' Earlier it would tell less.'}
        </Text>
      )}
      <Box as="details" mt={2} fontSize="sm">
        <summary className={common.summary}>How this is worked out</summary>
        <Text my={1}>
          Eggs are up to 3 days old, larvae to 9, capped brood to 21, a queen emerges 16 days after her egg
          (Winston 1987). How well you find eggs, cells and queens, and how often queens are raised and mate,
          are{' '}
          <Link className={common.inlineLink} to="/rules">
            house rules
          </Link>
          . How often all the rest is seen in each state is our estimate, no published source: it stands{' '}
          <Link className={common.inlineLink} to="/rules/chances">
            in one table, to be changed
          </Link>
          .
        </Text>
      </Box>
    </Box>
  );
}

function Reasons({ title, reasons }: { readonly title: string; readonly reasons: readonly Reason[] }) {
  if (reasons.length === 0) return null;
  return (
    <Text mt={2}>
      <b>{title}:</b> {reasons.map((r) => `${r.words} (${dayInWords(r.day)})`).join(', ')}.
    </Text>
  );
}

import { Box, Button, Text } from '@chakra-ui/react';
import { raisingOdds, raisingResults } from '@incremen/core/cells';
import { meanOf } from '@incremen/core/odds';
import { chanceOfAcceptance, ownAcceptance, ownFlows } from '@incremen/core/seasonplan';
import { chanceOfWinter, ownWinters, type WinterResults } from '@incremen/core/wintering';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import styles from './Season.module.css';

const percent = (p: number) => `${Math.round(100 * p)} %`;

/** The chances that season plans begin from, and what of them was learned from the keeper's own results. */
export function SeasonOddsPage() {
  const apiary = useApiary();
  const today = useToday();
  const lines = useMemo(() => {
    const raising = raisingOdds(raisingResults(apiary, today));
    const winters = ownWinters(apiary, today);
    const flows = ownFlows(apiary);
    const accepted = ownAcceptance(apiary, today);
    const wintering = ({ lived, died }: WinterResults) =>
      lived + died === 0 ? 'No winter of yours is on record.' : `Yours: ${lived} lived, ${died} died.`;
    return [
      {
        what: 'A part raises a queen who lays',
        now: percent(raising.likely),
        begins:
          'Four of five. Practice gives seven to nine of ten, with weather and birds (common practice, no published source).',
        own:
          raising.raised + raising.failed === 0
            ? 'None of your parts has an answer yet.'
            : `Yours: ${raising.raised} raised, ${raising.failed} failed.`,
      },
      {
        what: 'A mated queen is accepted',
        now: percent(meanOf(chanceOfAcceptance(accepted))),
        begins: 'Nine of ten, caged and released by the bees (common practice, no published source).',
        own:
          accepted.accepted + accepted.refused === 0
            ? 'No queen of yours that was put in has an answer yet.'
            : `Yours: ${accepted.accepted} accepted, ${accepted.refused} not.`,
      },
      {
        what: 'A full colony lives through the winter',
        now: percent(meanOf(chanceOfWinter('grown', winters.grown))),
        begins: '85 of 100, as if ten colonies had told; surveys give from one in ten to one in three dead.',
        own: wintering(winters.grown),
      },
      {
        what: 'A nuc or young colony does',
        now: percent(meanOf(chanceOfWinter('young', winters.young))),
        begins: '75 of 100, as if five had told.',
        own: wintering(winters.young),
      },
      {
        what: 'The flows of a year, against a usual one',
        now: percent(flows.likely),
        begins:
          'A middling harvest of 20 to 30 kg (45 to 65 lb) from a strong colony that is not divided; years differ by a half (our estimate, no published source).',
        own:
          flows.flows === 0
            ? 'No flow was weighed and no harvest noted yet.'
            : `Learned from ${count(flows.flows, 'flow or year of harvest', 'flows and years of harvest')} of yours.`,
      },
      {
        what: 'A crowded colony left alone swarms',
        now: 'up to 25 %',
        begins:
          'From ten frames of bees on, the more the larger; dividing and giving brood away count as relief (our estimate, no published source).',
        own: 'Not learned from your results yet.',
      },
      {
        what: 'A queen fails in a season',
        now: 'about 8 %',
        begins: 'Most are superseded by the bees while drones fly (common practice, no published source).',
        own: 'Not learned from your results yet.',
      },
      {
        what: 'A day of work is lost to rain',
        now: '15 to 30 %',
        begins:
          'A week later each time; twice as often where only weekends are free (our estimate, no published source).',
        own: 'Not learned from your results yet.',
      },
    ];
  }, [apiary, today]);
  return (
    <Box maxW="62rem">
      <PageHeader
        title="Chances that a season plan begins from"
        aside="Stated beforehand, and moved by your own results."
      >
        <Button asChild variant="outline" bg="sheet">
          <Link to="/season">Season plan</Link>
        </Button>
      </PageHeader>
      <Box overflowX="auto" tabIndex={0} role="group" aria-label="Chances">
        <table className={styles.kit}>
          <thead>
            <tr>
              <th scope="col">Chance</th>
              <th scope="col">Now</th>
              <th scope="col" style={{ textAlign: 'left' }}>
                Where it begins, and what was learned
              </th>
            </tr>
          </thead>
          <tbody>
            {lines.map((l) => (
              <tr key={l.what}>
                <th scope="row">{l.what}</th>
                <td style={{ fontWeight: 700, whiteSpace: 'nowrap' }}>{l.now}</td>
                <td style={{ textAlign: 'left' }}>
                  {l.begins} <b>{l.own}</b>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
      <Text mt={4} maxW="46rem">
        Few results leave the chance itself in doubt, so the bands of a plan are wide at first and grow
        narrower with your years. Matings are also learned on the <Link to="/cells">cells page</Link>, winters
        under <Link to="/spares">spares</Link>.
      </Text>
    </Box>
  );
}

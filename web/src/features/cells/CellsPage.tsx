import { Box, Button, Grid, Heading, Text } from '@chakra-ui/react';
import { cellLedger, type LedgerLine } from '@incremen/core/cells';
import { frameSize } from '@incremen/core/comb';
import { boxesOfColony } from '@incremen/core/records';
import { dayInWords } from '@incremen/core/basics';
import { Link } from 'react-router';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { cellName } from '../../shared/evidence/CellsEditor.tsx';
import { CellActions } from './CellActions.tsx';
import { CellDates } from './CellDates.tsx';
import { CellLane } from './CellLane.tsx';
import { CellOdds } from './CellOdds.tsx';
import { ShareOut } from './ShareOut.tsx';
import styles from './CellsPage.module.css';

const STAGE_WORDS: Readonly<Record<LedgerLine['stage'], string>> = {
  open: 'open',
  tender: 'capped, tender',
  ripe: 'ripe',
  due: 'due to emerge',
  over: 'emerged or torn',
};

/** Queen cells: what there is, what may be done with it today, who gets which, and what may be hoped for. */
export function CellsPage() {
  const apiary = useApiary();
  const today = useToday();
  const lines = cellLedger(apiary, today);
  /** Its comb is made for another box: it cannot go into one of the others. */
  const isOther = (line: LedgerLine) => {
    const colony = apiary.colony[line.colonyId];
    return colony !== undefined && !boxesOfColony(apiary, colony).some((b) => b.sizeId === line.sizeId);
  };
  return (
    <Box>
      <PageHeader title="Queen cells" aside={`Today is ${dayInWords(today)}`}>
        <Button asChild variant="outline" bg="sheet">
          <Link to="/queens">Queens</Link>
        </Button>
      </PageHeader>
      <Box as="section" aria-label="Ledger" mb={8}>
        {lines.length === 0 ? (
          <Text maxW="36rem">
            No live cell is in the counts. Note cells on a frame when you count or look, with the age of the
            larva: that dates everything.
          </Text>
        ) : (
          <Box as="ul" aria-label="Cells" listStyleType="none" display="grid" gap={2}>
            {lines.map((line) => (
              <li
                key={line.followed?.id ?? `${line.frameId} ${line.kind}`}
                className={styles.row}
                data-stage={line.stage}
              >
                <span>
                  <Link to={`/colonies/${line.colonyId}`}>
                    <b>{line.colony}</b>
                  </Link>
                  , {line.where}
                  <br />
                  {line.count} × {cellName(line.kind)}, seen {dayInWords(line.seenOn)}
                  {line.datedBy === 'queen-lost' && ', dated by the day the queen went'}
                  {line.datedBy === 'eggs-given' && ', dated by the day eggs were given'}
                  {isOther(line) && `, on a ${frameSize(line.sizeId).name} comb that hangs in another box`}
                  {line.followed?.reserved && ', reserved'}
                </span>
                <span className={styles.stage}>{STAGE_WORDS[line.stage]}</span>
                <CellLane line={line} today={today} />
                <span>{line.move}</span>
                <CellActions line={line} />
              </li>
            ))}
          </Box>
        )}
        {lines.length > 0 && (
          <Text color="inkSoft" fontSize="sm" mt={2}>
            Light: larva, open. Brown: capped. Red: a queen may come out. A cell moved is a cell risked: never
            shake its frame.
          </Text>
        )}
      </Box>
      <Grid templateColumns={{ base: '1fr', lg: 'repeat(auto-fit, minmax(340px, 1fr))' }} gap={8}>
        <Panel title="Who gets which">
          <ShareOut lines={lines} />
        </Panel>
        <Panel title="Chances of success">
          <CellOdds />
        </Panel>
        <Panel title="Cells on a date">
          <CellDates />
        </Panel>
      </Grid>
    </Box>
  );
}

function Panel({ title, children }: { readonly title: string; readonly children: React.ReactNode }) {
  return (
    <Box as="section" aria-label={title} display="grid" gap={3} alignContent="start">
      <Heading as="h2" fontSize="xl">
        {title}
      </Heading>
      {children}
    </Box>
  );
}

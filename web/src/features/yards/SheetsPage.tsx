import { Box, Button, Text } from '@chakra-ui/react';
import { dayInWords, yearOf } from '@incremen/core/basics';
import { frameSize } from '@incremen/core/comb';
import {
  boxesOfColony,
  boxName,
  coloniesOfYard,
  framesOfBox,
  placeOf,
  queenOf,
  type Apiary,
  type Box as HiveBox,
  type Colony,
} from '@incremen/core/records';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { RouteError } from '../../ui/RouteError.tsx';
import common from '../../ui/common.module.css';
import styles from './SheetsPage.module.css';

/** Rows of a count, each with its letter of the shorthand: a column is typed from top to bottom. */
const COUNTED = [
  ['*', 'Bees'],
  ['g', 'Eggs'],
  ['o', 'Open brood'],
  ['c', 'Capped brood'],
  ['d', 'Drone brood'],
  ['b', 'Bee bread'],
  ['h', 'Honey'],
  ['q k', 'Queen, cells'],
] as const;

/** What an inspection asks, with the answers as squares to tick; in the order of the page where it is typed. */
const ASKED = [
  ['Queen', ['found', 'none', 'not looked']],
  ['Queen cells', ['found', 'none', 'not looked']],
  ['Eggs', ['found', 'none', 'not looked']],
  ['Capped brood', ['flat', 'domed', 'none', 'not looked']],
  ['Signs of brood disease', ['found', 'none', 'not looked']],
  ['Temperament', ['calm', 'restless', 'roaring', 'defensive']],
] as const;

type Kind = 'count' | 'inspection';

/** Sheets to take along where no device is wanted: a count by frames, or a card for each inspection. */
export function SheetsPage() {
  const apiary = useApiary();
  const today = useToday();
  const { yardId = '' } = useParams();
  const [kind, setKind] = useState<Kind>('count');
  const yard = apiary.yard[yardId];
  if (!yard) return <RouteError missing />;
  const colonies = coloniesOfYard(apiary, yard.id);
  return (
    <Box>
      <PageHeader title={`Sheets for ${yard.name}`} aside={`${dayInWords(today)} ${yearOf(today)}`}>
        <Button asChild variant="outline" bg="sheet">
          <Link to={`/yards/${yard.id}`}>Back to the yard</Link>
        </Button>
        <Button onClick={() => window.print()} disabled={colonies.length === 0}>
          <Printer size={18} aria-hidden /> Print
        </Button>
      </PageHeader>
      <Box className={common.noPrint} mb={5}>
        <Choice
          label="Sheet"
          hideLabel
          value={kind}
          onChange={setKind}
          options={[
            { id: 'count', label: 'Count, frame by frame' },
            { id: 'inspection', label: 'Inspection cards' },
          ]}
        />
        <Text mt={2} color="inkSoft">
          {kind === 'count'
            ? 'Tenths of a side; a column is one frame. Type it afterwards as shorthand, column by column: the letters stand at the left.'
            : 'Tick what you saw. Type it afterwards under “Queen, brood and notes”, in the same order.'}
        </Text>
      </Box>
      {colonies.length === 0 && (
        <Text>
          No hive stands here yet. <Link to={`/setup?yard=${yard.id}`}>Put some on their stands.</Link>
        </Text>
      )}
      {colonies.map((c) => (
        <Box as="section" key={c.id} aria-label={c.name} className={styles.hive}>
          <h2 className={styles.name}>
            {c.name} <span>{whereAndWho(apiary, c)}</span> <span className={styles.day}>Day ________</span>
          </h2>
          {kind === 'count' ? <CountSheet apiary={apiary} colony={c} /> : <InspectionCard />}
          <p className={styles.note}>Note</p>
        </Box>
      ))}
    </Box>
  );
}

function whereAndWho(apiary: Apiary, colony: Colony): string {
  const { stand } = placeOf(apiary, colony);
  const queen = queenOf(apiary, colony.id);
  const name = queen ? [queen.name, queen.birthYear].filter(Boolean).join(', ') : '';
  return [stand?.name === colony.name ? '' : stand?.name, name && `queen ${name}`]
    .filter(Boolean)
    .join(' · ');
}

/** Top box first: so the hive is taken down. */
function CountSheet({ apiary, colony }: { readonly apiary: Apiary; readonly colony: Colony }) {
  const boxes = boxesOfColony(apiary, colony).filter((b) => b.role === 'brood');
  return boxes
    .toReversed()
    .map((box) => <BoxTable key={box.id} apiary={apiary} box={box} title={boxName(boxes, box.id)} />);
}

function BoxTable({
  apiary,
  box,
  title,
}: {
  readonly apiary: Apiary;
  readonly box: HiveBox;
  readonly title: string;
}) {
  const hangs = new Set(framesOfBox(apiary, box.id).map((f) => f.slot));
  const slots = Array.from({ length: box.slots }, (_, i) => i + 1);
  return (
    <Box className={styles.scroll} tabIndex={0} role="group" aria-label={title}>
      <table className={styles.sheet}>
        <caption>
          {title}, {frameSize(box.sizeId).name}
        </caption>
        <thead>
          <tr>
            <th scope="col" colSpan={2}>
              Frame
            </th>
            {slots.map((s) => (
              <th key={s} scope="col">
                {s}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {COUNTED.map(([letter, what]) => (
            <tr key={letter}>
              <td className={styles.letter}>{letter}</td>
              <th scope="row">{what}</th>
              {slots.map((s) => (
                <td key={s}>{hangs.has(s) ? '' : '–'}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </Box>
  );
}

function InspectionCard() {
  return (
    <ul className={styles.card}>
      {ASKED.map(([what, answers]) => (
        <li key={what}>
          <b>{what}</b>
          <span>
            {answers.map((a) => (
              <span key={a} className={styles.tick}>
                {a}
              </span>
            ))}
          </span>
        </li>
      ))}
      <li>
        <b>Frames</b> <span>of bees ____ of brood ____ of stores ____</span>
      </li>
      <li>
        <b>Next</b> <span>________________________</span>
      </li>
    </ul>
  );
}

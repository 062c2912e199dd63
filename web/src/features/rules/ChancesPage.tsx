import { Box, Button, Text } from '@chakra-ui/react';
import {
  CAPPED_BROOD,
  LEAST_LIKELIHOOD,
  MOST_LIKELIHOOD,
  QUEEN_STATE_WORDS,
  QUEEN_STATES,
  type LikelihoodChanges,
  type LikelihoodId,
} from '@incremen/core/rules';
import { LIKELIHOOD_WORDS, USUAL_TABLE } from '@incremen/core/queen-odds';
import { useState } from 'react';
import { Link } from 'react-router';
import { useOperation, useSend } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { toaster } from '../../ui/toaster.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import common from '../../ui/common.module.css';
import styles from './ChancesPage.module.css';

/** One table of chances: rows and columns by name, each with its words. */
interface Part {
  readonly title: string;
  readonly what: string;
  readonly columns: readonly (readonly [string, string])[];
  readonly rows: readonly {
    readonly id: string;
    readonly words: string;
    readonly usual: Readonly<Record<string, number>>;
  }[];
}

const rowsOf = (
  table: Readonly<Record<string, Readonly<Record<string, number>>>>,
  words: Readonly<Record<string, string>>,
): Part['rows'] => Object.entries(table).map(([id, usual]) => ({ id, words: words[id] ?? id, usual }));

const PARTS: readonly Part[] = [
  {
    title: 'How often it is seen in each state',
    what: 'Of a whole inspection by one who knows what to look for. Our estimate, no published source; a virgin is slender (Winston 1987).',
    columns: QUEEN_STATES.map((s) => [s, QUEEN_STATE_WORDS[s]]),
    rows: rowsOf(USUAL_TABLE.signs, LIKELIHOOD_WORDS.signs),
  },
  {
    title: 'How well brood is seen',
    what: 'Found where it is, and taken for it where it is not, when every frame is read. How well you find eggs and queen cells is a house rule. Our estimate, no published source.',
    columns: Object.entries(LIKELIHOOD_WORDS.mistaken),
    rows: [
      { id: 'found', words: 'found where it is', usual: USUAL_TABLE.found },
      { id: 'mistaken', words: 'taken for it where it is not', usual: USUAL_TABLE.mistaken },
    ],
  },
  {
    title: 'How caps look',
    what: 'Over brood of each kind; a good colony has drone brood in places too. What stands in a column is made to come to one. Our estimate, no published source.',
    columns: CAPPED_BROOD.map((b) => [b, LIKELIHOOD_WORDS.cappedBrood[b]]),
    rows: rowsOf(USUAL_TABLE.caps, LIKELIHOOD_WORDS.caps),
  },
  {
    title: 'What happens now and then',
    what: 'Before anybody has looked. How often queens are raised and mate is a house rule. Our estimate, no published source.',
    columns: [['chance', 'how often']],
    rows: Object.entries(USUAL_TABLE.fates).map(([fate, p]) => ({
      id: `fate.${fate}`,
      words: LIKELIHOOD_WORDS.fates[fate as keyof typeof LIKELIHOOD_WORDS.fates],
      usual: { chance: p },
    })),
  },
];

/** The name of a cell: what stands alone in its row is named by the row. */
const idOf = (row: string, column: string) =>
  (column === 'chance' ? row : `${row}.${column}`) as LikelihoodId;

const inPercent = (p: number) => String(Math.round(p * 1000) / 10);
const asChance = (typed: string) => Number(typed.replace(',', '.') || 'x') / 100;
const isChance = (p: number) => p >= LEAST_LIKELIHOOD - 1e-9 && p <= MOST_LIKELIHOOD + 1e-9;

/** All chances by which queen states are judged, in one place, to be changed where a keeper knows better. */
export function ChancesPage() {
  const operation = useOperation();
  const { send, problems, busy } = useSend();
  const [typed, setTyped] = useState<Partial<Record<LikelihoodId, string>>>({});
  const kept: LikelihoodChanges = operation.houseRules.likelihoods ?? {};
  const wrong = (id: LikelihoodId) => typed[id] !== undefined && !isChance(asChance(typed[id]));
  const anyWrong = (Object.keys(typed) as LikelihoodId[]).some(wrong);

  async function keep(likelihoods: LikelihoodChanges, title: string) {
    const sent = await send({ type: 'changeSettings', likelihoods });
    if (!sent.ok) return;
    setTyped({});
    toaster.create({ title });
  }
  function keepTyped() {
    const changes: LikelihoodChanges = { ...kept };
    for (const { rows, columns } of PARTS) {
      for (const { id: row, usual } of rows) {
        for (const [column] of columns) {
          const id = idOf(row, column);
          const text = typed[id];
          if (text === undefined) continue;
          const chance = Math.round(asChance(text) * 1000) / 1000;
          if (chance === usual[column]) delete changes[id];
          else changes[id] = chance;
        }
      }
    }
    return keep(changes, 'Chances kept');
  }

  return (
    <Box>
      <PageHeader title="Chances" aside="By these a queen's state is judged, in per cent.">
        <Button
          variant="outline"
          bg="sheet"
          disabled={Object.keys(kept).length === 0 || busy}
          onClick={() => void keep({}, 'All chances are as shipped')}
        >
          All as shipped
        </Button>
        <Button
          loading={busy}
          disabled={Object.keys(typed).length === 0 || anyWrong}
          onClick={() => void keepTyped()}
        >
          Keep the changes
        </Button>
      </PageHeader>
      <Text maxW="46rem" mb={5}>
        What follows from the age of brood is worked out, and how well you find eggs, cells and queens is
        among the{' '}
        <Link className={common.inlineLink} to="/rules">
          house rules
        </Link>
        . Change here what differs for you: every verdict about a queen is then worked out anew.
      </Text>
      {anyWrong && (
        <Text role="alert" color="alarm" fontWeight="600" mb={4}>
          A chance is a number from 0.1 to 99.9 per cent: no look rules anything out, and none is certain.
        </Text>
      )}
      <ProblemList problems={problems} />
      {PARTS.map((part) => (
        <Box as="section" key={part.title} mb={8}>
          <SectionHeading mb={0}>{part.title}</SectionHeading>
          <Text color="inkSoft" maxW="46rem" mb={2}>
            {part.what}
          </Text>
          <Box overflowX="auto" tabIndex={0} role="region" aria-label={part.title}>
            <table className={styles.chances}>
              <thead>
                <tr>
                  <th scope="col">
                    <Box as="span" srOnly>
                      seen
                    </Box>
                  </th>
                  {part.columns.map(([id, words]) => (
                    <th key={id} scope="col">
                      {words}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {part.rows.map((row) => (
                  <tr key={row.id}>
                    <th scope="row">{row.words}</th>
                    {part.columns.map(([column, words]) => {
                      const usual = row.usual[column];
                      if (usual === undefined) return <td key={column}>house rule</td>;
                      const id = idOf(row.id, column);
                      const value = kept[id] ?? usual;
                      return (
                        <td key={column} data-changed={value !== usual || undefined}>
                          <input
                            aria-label={`${row.words}: ${words}`}
                            aria-invalid={wrong(id)}
                            inputMode="decimal"
                            value={typed[id] ?? inPercent(value)}
                            onChange={(e) => setTyped({ ...typed, [id]: e.target.value })}
                          />
                          {value !== usual && <small>shipped {inPercent(usual)}</small>}
                        </td>
                      );
                    })}
                  </tr>
                ))}
              </tbody>
            </table>
          </Box>
        </Box>
      ))}
    </Box>
  );
}

import { Box, Grid, Text } from '@chakra-ui/react';
import { nestOf, type Evidence } from '@incremen/core/records';
import { readNest } from '@incremen/core/brood';
import type { ColonyState } from '@incremen/core/colony';
import { Fragment } from 'react';
import { useOperation } from '../../mirror/hooks.ts';
import { mass, one, rangeOf } from '../../ui/format.ts';

/** What a colony amounts to: as counted, and what that has become by today. */
export function StrengthTable({
  counted,
  today,
  evidence,
}: {
  readonly counted: ColonyState;
  readonly today: ColonyState;
  readonly evidence: Evidence | null;
}) {
  const { units } = useOperation();
  const aged = (counted.countAgeDays ?? 0) > 0;
  const a = counted.strength;
  const b = today.strength;
  const rows: [string, number, number, string][] = [
    [
      'Bees',
      a.framesOfBees.likely,
      b.framesOfBees.likely,
      `${rangeOf(b.framesOfBees)} frames, about ${thousands(b.bees.likely)} bees`,
    ],
    [
      'Brood',
      a.broodFrames.likely,
      b.broodFrames.likely,
      `${one(b.frames.eggs)} eggs · ${one(b.frames.open)} open · ${one(b.frames.capped + b.frames.emerging)} capped`,
    ],
    [
      'Stores',
      a.storesFrames,
      b.storesFrames,
      `${mass(b.storesKg.low, units)} to ${mass(b.storesKg.high, units)}, bee bread ${one(b.frames.beeBread)}`,
    ],
    ['Room', a.frames.drawn, b.frames.drawn, 'frames of empty comb'],
  ];
  return (
    <Box>
      <Grid
        as="table"
        templateColumns={`max-content ${aged ? 'max-content max-content' : 'max-content'} minmax(0, 1fr)`}
        columnGap={5}
        rowGap={1}
        alignItems="baseline"
        css={{
          '& thead, & tbody, & tr': { display: 'contents' },
          '& th': { textAlign: 'left', fontWeight: 400 },
        }}
      >
        <thead>
          <tr>
            <th>
              <Box as="span" srOnly>
                What
              </Box>
            </th>
            {aged && <Head>counted</Head>}
            <Head>{aged ? 'today' : 'frames'}</Head>
            <th>
              <Box as="span" srOnly>
                In detail
              </Box>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, was, is, more]) => (
            <tr key={name}>
              <Text as="th" color="inkSoft">
                {name}
              </Text>
              {aged && <td>{one(was)}</td>}
              <Text as="td" fontWeight="700" fontSize="lg">
                {one(is)}
              </Text>
              <Text as="td" color="inkSoft" fontSize={{ base: 'sm', md: 'md' }}>
                {more}
              </Text>
            </tr>
          ))}
        </tbody>
      </Grid>
      {!counted.countedBeforeSplit && <Nest counted={counted} evidence={evidence} />}
    </Box>
  );
}

function Head({ children }: { readonly children: string }) {
  return (
    <Text as="th" color="inkSoft" fontSize="sm">
      {children}
    </Text>
  );
}

/** The nest read by arithmetic: what each stage says of the laying that made it. */
function Nest({ counted, evidence }: { readonly counted: ColonyState; readonly evidence: Evidence | null }) {
  const young = evidence?.youngLarvae.look;
  const nest = readNest(
    nestOf(counted.frames),
    young === 'found' ? true : young === 'notFound' ? false : null,
  );
  const { fromEggs, fromOpen, fromCapped } = nest.rates;
  const stages = [
    ['capped, 9–21 days ago', fromCapped],
    ['open, 3–9 days ago', fromOpen],
    ['eggs, last 3 days', fromEggs],
  ] as const;
  const most = Math.max(fromEggs, fromOpen, fromCapped, 1);
  return (
    <Box mt={4}>
      <Text fontWeight="600">{nest.words}.</Text>
      <Grid
        templateColumns="max-content 1fr max-content"
        columnGap={3}
        rowGap={0.5}
        alignItems="center"
        maxW="30rem"
      >
        {stages.map(([name, rate]) => (
          <Fragment key={name}>
            <Text color="inkSoft" fontSize="sm">
              {name}
            </Text>
            <Box h="8px" bg="sunk" borderRadius="full" aria-hidden>
              <Box h="8px" bg="rest" borderRadius="full" w={`${(100 * rate) / most}%`} />
            </Box>
            <Text fontSize="sm">{Math.round(rate / 50) * 50} eggs a day</Text>
          </Fragment>
        ))}
      </Grid>
    </Box>
  );
}

const thousands = (n: number) => (Math.round(n / 100) * 100).toLocaleString('en-GB');

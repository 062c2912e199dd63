import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { nucsWanted, PRICES } from '@incremen/core/yardplan';
import { count } from '../../ui/format.ts';
import type { Bench } from './useBench.ts';

/** How good the plan is, how that is known, and what is missing for all that was asked. */
export function ProofLine({
  bench,
  placed,
  onSolve,
}: {
  readonly bench: Bench;
  /** Frames placed by hand. */
  readonly placed: number;
  /** Works out the rest around what was placed. */
  readonly onSolve: () => void;
}) {
  const { seen } = bench;
  if (!seen) return null;
  const short = seen.shortfalls;
  return (
    <Box display="grid" gap={2}>
      <Text fontWeight="700" fontSize="lg">
        {inShort(bench)}
      </Text>
      {/* As high with buttons as without, so that nothing jumps away under a frame that is dragged. */}
      <Flex gap={3} align="center" wrap="wrap" minH="touch">
        <Box
          as="span"
          bg="accentSoft"
          color="ink"
          borderRadius="full"
          px={3}
          py={1}
          fontSize="sm"
          role="status"
        >
          {placed > 0 ? `${count(placed, 'frame')} placed by hand` : proofOf(bench)}
        </Box>
        {placed > 0 && (
          <Button variant="outline" bg="sheet" onClick={onSolve}>
            Work out the rest anew
          </Button>
        )}
        {(bench.busy || (bench.proving && !isBest(bench))) && (
          <>
            <Text fontSize="sm" color="inkSoft">
              {bench.busy
                ? `looking further, round ${bench.round} of ${bench.rounds}`
                : 'still looking for a better one'}
            </Text>
            <Button variant="outline" bg="sheet" onClick={bench.stop}>
              Stop
            </Button>
          </>
        )}
      </Flex>
      {(short.length > 0 || bench.shortages.length > 0) && (
        <Box
          bg="nearSoft"
          borderLeftWidth="4px"
          borderColor="near"
          borderRadius="md"
          px={4}
          py={2}
          fontSize="sm"
        >
          {bench.shortages.length > 0 && (
            <Text fontWeight="600">
              Short by {bench.shortages.map((s) => `at least ${s.missing} ${s.unit}`).join(' and ')}.{' '}
              {bench.wait
                ? `Wait ${count(bench.wait.days, 'day')}, until ${dayInWords(bench.wait.day)}, or ask for fewer.`
                : 'Ask for fewer, or give it what is missing.'}
            </Text>
          )}
          <Box as="ul" listStyleType="none">
            {short.slice(0, 5).map((s) => (
              <li key={s.text}>{s.text}</li>
            ))}
            {short.length > 5 && <li>and {short.length - 5} more wishes that fall short</li>}
          </Box>
        </Box>
      )}
    </Box>
  );
}

/** A gap that is none but for rounding. */
const BEST = 0.0005;

/** Nothing can be better: there is nothing left to look for. */
const isBest = ({ gap, seen }: Bench): boolean =>
  gap !== null && gap < BEST && seen !== null && seen.broken.length === 0;

function inShort({ seen, problem }: Bench): string {
  if (!seen) return '';
  const united = problem?.unions.length ?? 0;
  // The limit of a day is on frames carried from hive to hive.
  const isLimited = (problem?.request.limits.frames ?? null) !== null;
  const parts = [
    ...(seen.nucsMade > 0 ? [count(seen.nucsMade, 'nuc')] : []),
    ...(united > 0 ? [`${count(united, 'colony', 'colonies')} united`] : []),
    count(seen.hivesOpened, 'hive'),
    `${count(seen.combsCarried + seen.combsFromStore, 'frame')} to carry${isLimited && seen.combsFromStore > 0 ? `, ${seen.combsFromStore} of them from the store` : ''}`,
    ...(seen.framesShaken > 0 ? [`${seen.framesShaken} to shake`] : []),
  ];
  return parts.join(' · ');
}

function proofOf(bench: Bench): string {
  const { problem, seen, mostNucs } = bench;
  const isShort = problem !== null && seen !== null && seen.nucsMade < nucsWanted(problem);
  if (isShort && seen.broken.length === 0 && mostNucs !== null) {
    if (seen.nucsMade < mostNucs) return `no plan makes more than ${count(mostNucs, 'nuc')}`;
    // As long as the bound tells nothing but the number, it is silent on how well they are made.
    const isOnlyNumber = bench.gap === null || bench.gap > 0.99;
    if (seen.nucsMade === mostNucs) return `no more can be made${isOnlyNumber ? '' : `; ${nearness(bench)}`}`;
  }
  return nearness(bench);
}

/** How near the plan is to the best of those that make as many nucs. */
function nearness({ gap, bound, proving, seen }: Bench): string {
  if (seen && seen.broken.length > 0) return `${count(seen.broken.length, 'rule')} broken by what you placed`;
  if (gap === null || bound === null)
    return proving ? 'no rule broken; proving how good it is' : 'no rule broken';
  if (gap < BEST) return 'the best plan there is, proven';
  const points = (seen?.cost ?? 0) - bound;
  // Of a plan that costs next to nothing a large share is little.
  if (points < 1 && gap > 0.1) return 'within one comb carried of the best there can be';
  return `within ${(gap * 100).toFixed(gap < 0.1 ? 1 : 0)} % of the best there can be: ${pointsInWords(points)} at most`;
}

/** What a difference comes to; a large one is told in parts of a nuc, for no work at the hives is worth so much. */
function pointsInWords(points: number): string {
  if (points < 1) return 'less than one comb carried';
  if (points < PRICES.nucMissing / 10) return `about ${count(Math.round(points), 'comb')} carried`;
  return `${(points / PRICES.nucMissing).toFixed(1)} of a nuc more`;
}

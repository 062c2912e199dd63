import { Box, Flex, Text } from '@chakra-ui/react';
import { addDays, dayInWords } from '@incremen/core/basics';
import { type ColonyState } from '@incremen/core/colony';
import { inReferenceFrames } from '@incremen/core/comb';
import { courseOf, daysUntilFull, hatchesWithin } from '@incremen/core/forecast';
import { nestOf } from '@incremen/core/records';
import { useMemo } from 'react';
import { Link } from 'react-router';
import common from '../../ui/common.module.css';
import { useApiary, useOperation, useToday } from '../../mirror/hooks.ts';
import { one } from '../../ui/format.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

const DAYS = [7, 14, 21] as const;
const DAYS_AHEAD = 42;

/** What hatches in the next three weeks, and when the combs will be covered. */
export function Forecast({ today: state }: { readonly today: ColonyState }) {
  const apiary = useApiary();
  const today = useToday();
  const { referenceSize } = useOperation();
  const { colony, frames } = state;
  const { hatches, full, food } = useMemo(() => {
    const course = courseOf(apiary, colony, today, DAYS_AHEAD);
    const combs = frames.reduce((n, f) => n + inReferenceFrames(f.frame.sizeId, referenceSize), 0);
    return {
      hatches: DAYS.map((d) => hatchesWithin(nestOf(frames), d, referenceSize)),
      full: daysUntilFull(course, combs),
      food: course[0],
    };
  }, [apiary, colony, frames, referenceSize, today]);
  const most = Math.max(...hatches, 0.1);
  return (
    <Box as="section">
      <SectionHeading>Bees due to emerge</SectionHeading>
      <Box as="ul" listStyleType="none" display="grid" gap={1} maxW="30rem">
        {DAYS.map((d, i) => (
          <Flex as="li" key={d} align="center" gap={3}>
            <Text w="7.5rem" flex="none" color="inkSoft" fontSize="sm">
              by {dayInWords(addDays(today, d))}
            </Text>
            <Box flex="1" aria-hidden>
              <Box
                h="14px"
                w={`${(100 * (hatches[i] ?? 0)) / most}%`}
                minW="2px"
                borderRadius="sm"
                bg="halo"
                borderWidth="1px"
                borderColor="inkSoft"
              />
            </Box>
            <Text flex="none">
              <b>{one(hatches[i] ?? 0)}</b> frames of bees
            </Text>
          </Flex>
        ))}
      </Box>
      <Text mt={1.5}>{fullInWords(full, today)}</Text>
      {food && <Text mt={1}>{foodInWords(food)}</Text>}
      <Link className={common.inlineLink} to={`/colonies/${colony.id}/choices`}>
        Compare what can be done: leave, boost, unite, split, feed
      </Link>
    </Box>
  );
}

function fullInWords(days: number | null, today: string): string {
  if (days === null) return 'No more room needed for six weeks.';
  if (days === 0) return 'Bees cover nearly all combs now: more room, or give from it.';
  return `Bees cover nearly all combs about ${dayInWords(addDays(today, days))}: have a box ready.`;
}

function foodInWords({
  foodKg,
  daysOfFood,
}: {
  readonly foodKg: number;
  readonly daysOfFood: number;
}): string {
  const has = `About ${one(foodKg)} kg of food today`;
  return daysOfFood > 60
    ? `${has}: enough for two months, even if nothing comes in.`
    : `${has}: it lasts about ${Math.floor(daysOfFood)} days if nothing comes in.`;
}

import { Box, Flex, Text } from '@chakra-ui/react';
import { addDays, dayInWords, type Units } from '@incremen/core/basics';
import { type ColonyState } from '@incremen/core/colony';
import { foodOn, hatchesWithin, roomAhead, type FoodOn } from '@incremen/core/forecast';
import { nestOf } from '@incremen/core/records';
import { useMemo } from 'react';
import { Link } from 'react-router';
import common from '../../ui/common.module.css';
import { useApiary, useOperation, useToday } from '../../mirror/hooks.ts';
import { roomInWords } from '../../shared/colonies/roomInWords.ts';
import { useOutside } from '../../shared/weather/useOutside.ts';
import { COLD_SPELL_DAYS } from '../../shared/weather/coldSpell.ts';
import { one, smallMass } from '../../ui/format.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

const DAYS = [7, 14, 21] as const;
/** A count of stores is said to be old after so many days. */
const OLD_COUNT_DAYS = 21;
const LONG_DAYS = 60;

/** What hatches in the next three weeks, and when the combs will be covered. */
export function Forecast({ today: state }: { readonly today: ColonyState }) {
  const apiary = useApiary();
  const today = useToday();
  const { referenceSize, units } = useOperation();
  const { colony, frames } = state;
  const { coldNights } = useOutside();
  const { hatches, room, food } = useMemo(() => {
    return {
      hatches: DAYS.map((d) => hatchesWithin(nestOf(frames), d, referenceSize)),
      room: roomAhead(apiary, colony, today, coldNights ? addDays(today, COLD_SPELL_DAYS) : null),
      food: foodOn(apiary, colony, today),
    };
  }, [apiary, colony, frames, referenceSize, today, coldNights]);
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
      <Text mt={1.5}>{roomInWords(room, today)}</Text>
      {room.drones.map((d) => (
        <Text key={d.slot} mt={1}>
          Drone comb in slot {d.slot}: its drones are out by {dayInWords(d.until)}; cut or freeze it before.
        </Text>
      ))}
      <Text mt={1}>{foodInWords(food, units)}</Text>
      <Link className={common.inlineLink} to={`/colonies/${colony.id}/choices`}>
        Compare what can be done: leave, boost, unite, split, feed
      </Link>
    </Box>
  );
}

function foodInWords({ kg, days, flow, countAgeDays }: FoodOn, units: Units): string {
  if (kg === null) return '';
  const old =
    countAgeDays !== null && countAgeDays > OLD_COUNT_DAYS
      ? ` Counted ${countAgeDays} days ago: heft it.`
      : '';
  const has = `About ${smallMass(kg, units)} of food today`;
  if (flow) return `${has}, and nectar comes in.${old}`;
  return days.likely > LONG_DAYS
    ? `${has}: enough for two months, even if nothing comes in.${old}`
    : `${has}: it lasts about ${Math.floor(days.likely)} days if nothing comes in (${Math.floor(days.low)} to ${Math.ceil(days.high)}).${old}`;
}

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { WEATHER_LIMITS } from '@incremen/core/weather';
import { useState } from 'react';
import { useOperation, useToday } from '../../mirror/hooks.ts';
import { HOLDS_DAYS, nightsSaid, sayNights } from '../../shared/weather/nightsSaid.ts';
import { degrees, degreeSign } from '../../ui/format.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { Stepper } from '../../ui/Stepper.tsx';

/** What is offered before anything was said: a spring night. */
const USUAL_C = 8;

/** Where no station tells it, the keeper does: how cold the nights to come will be. */
export function NightsByHand() {
  const today = useToday();
  const { units } = useOperation();
  const [said, setSaid] = useState(() => nightsSaid(today));
  const [typed, setTyped] = useState(degrees(said?.minC ?? USUAL_C, units));
  const minC = units === 'imperial' ? (typed - 32) / 1.8 : typed;
  return (
    <Box as="section" aria-label="Nights" mt={6} maxW="38rem">
      <SectionHeading>How cold will the nights be?</SectionHeading>
      <Text mb={3} color="inkSoft">
        Ask any forecast for the coldest of the next {HOLDS_DAYS} nights. Plans and feed go by it: brood needs
        more bees to cover it in the cold, and syrup is not taken.
      </Text>
      <Flex gap={4} align="flex-end" wrap="wrap">
        <Stepper
          label={`Coldest night, ${degreeSign(units)}`}
          value={typed}
          min={units === 'imperial' ? -22 : -30}
          max={units === 'imperial' ? 86 : 30}
          onChange={setTyped}
        />
        <Button
          onClick={() => {
            const next = { day: today, minC };
            sayNights(next);
            setSaid(next);
          }}
        >
          Go by this
        </Button>
        {said && (
          <Button
            variant="outline"
            bg="sheet"
            onClick={() => {
              sayNights(null);
              setSaid(null);
            }}
          >
            Forget it
          </Button>
        )}
      </Flex>
      <Text role="status" mt={3} fontWeight="600">
        {said &&
          `${degrees(said.minC, units)} ${degreeSign(units)}, as you said on ${dayInWords(said.day)}: ${
            said.minC < WEATHER_LIMITS.coldNightC
              ? 'plans allow for cold nights.'
              : 'brood is covered as by day.'
          }`}
      </Text>
    </Box>
  );
}

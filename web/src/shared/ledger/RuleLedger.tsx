import { Box, Flex, Text } from '@chakra-ui/react';
import type { RuleLine } from '@incremen/core/records';
import { Check, Circle, Minus, X } from 'lucide-react';

/** What needs a look comes first. */
const STATE = {
  broken: { word: 'broken', icon: X, color: 'alarm', bg: 'alarmSoft' },
  short: { word: 'falls short', icon: Minus, color: 'near', bg: 'nearSoft' },
  near: { word: 'near', icon: Circle, color: 'near', bg: 'nearSoft' },
  met: { word: 'met', icon: Check, color: 'accent', bg: 'accentSoft' },
} as const;

/** One decimal: more is not in a count by eye. */
const figure = (n: number) => String(Math.round(n * 10) / 10);

/** A wish that is missed breaks nothing, but it is not there either: what is missing is said. */
const lookOf = ({ state, mend }: RuleLine) => (state === 'near' && mend !== '' ? 'short' : state);

/** The rules of a plan, one line each: met, near, short or broken, the number, the threshold, the why. */
export function RuleLedger({
  ledger,
  label = 'Rules',
}: {
  readonly ledger: readonly RuleLine[];
  readonly label?: string;
}) {
  const order = Object.keys(STATE);
  const lines = ledger.toSorted((a, b) => order.indexOf(lookOf(a)) - order.indexOf(lookOf(b)));
  return (
    <Box as="ul" listStyleType="none" aria-label={label}>
      {lines.map((line) => {
        const look = STATE[lookOf(line)];
        return (
          <Box as="li" key={line.id} borderBottomWidth="1px" borderColor="line" py={1.5}>
            <details open={line.state === 'broken'}>
              <Flex as="summary" cursor="pointer" align="center" gap={2.5} listStyleType="none" minH="30px">
                <Flex
                  as="span"
                  boxSize="22px"
                  flex="none"
                  align="center"
                  justify="center"
                  borderRadius="full"
                  bg={look.bg}
                  color={look.color}
                >
                  <look.icon size={14} strokeWidth={3} aria-hidden />
                </Flex>
                <Text as="span" flex="1">
                  {line.label}
                  <Box as="span" srOnly>
                    : {look.word}
                  </Box>
                </Text>
                <Text
                  as="span"
                  fontWeight="700"
                  color={line.state === 'met' ? 'ink' : look.color}
                  whiteSpace="nowrap"
                >
                  {figure(line.value)}
                  <Text as="span" fontWeight="400" color="inkSoft">
                    {line.sense === 'atLeast' ? ', needs ' : ', at most '}
                    {figure(line.threshold)}
                  </Text>
                </Text>
              </Flex>
              <Box pl="32px" pb={1} fontSize="sm">
                {line.mend && (
                  <Text fontWeight="600" color={look.color}>
                    {line.mend}
                  </Text>
                )}
                <Text color="inkSoft">
                  {line.why} In {line.unit}.
                </Text>
              </Box>
            </details>
          </Box>
        );
      })}
    </Box>
  );
}

import { Box, Flex, Text } from '@chakra-ui/react';
import { SIGN_NAMES, SIGNS } from '@incremen/core';
import { Check, Minus, X } from 'lucide-react';
import type { EvidenceProps } from './evidenceProps.ts';
import type { Looked } from './Question.tsx';

const ANSWERS: readonly { id: Looked; word: string; icon: typeof Check }[] = [
  { id: 'found', word: 'seen', icon: Check },
  { id: 'notFound', word: 'not there', icon: X },
  { id: 'notLooked', word: 'not looked', icon: Minus },
];

/** The smaller things that are there or not, one row each: seen, looked and not there, not looked. */
export function SignsTable({ evidence, set, name }: EvidenceProps) {
  return (
    <Box>
      <Text fontWeight="600" mb={1}>
        Also seen
      </Text>
      <Box display="grid" gap={1}>
        {SIGNS.map((sign) => (
          <Flex key={sign} as="fieldset" align="center" gap={3}>
            <Box as="legend" srOnly>
              {name(SIGN_NAMES[sign])}
            </Box>
            <Text flex="1" aria-hidden>
              {SIGN_NAMES[sign]}
            </Text>
            <Flex gap={1}>
              {ANSWERS.map(({ id, word, icon: Icon }) => {
                const on = evidence[sign].look === id;
                return (
                  <Box
                    as="label"
                    key={id}
                    w="48px"
                    h="44px"
                    display="flex"
                    alignItems="center"
                    justifyContent="center"
                    cursor="pointer"
                    borderWidth="1px"
                    borderRadius="lg"
                    title={word}
                    bg={on ? (id === 'notLooked' ? 'sunk' : 'ink') : 'sheet'}
                    color={on && id !== 'notLooked' ? 'paper' : 'inkSoft'}
                    borderColor={on ? 'inkSoft' : 'line'}
                    _focusWithin={{ outline: '3px solid', outlineColor: 'accent', outlineOffset: '2px' }}
                  >
                    <input
                      type="radio"
                      name={name(SIGN_NAMES[sign])}
                      aria-label={`${SIGN_NAMES[sign]}: ${word}`}
                      checked={on}
                      onChange={() => set({ [sign]: { look: id } })}
                      style={{ position: 'absolute', opacity: 0, width: 1, height: 1 }}
                    />
                    <Icon size={20} aria-hidden />
                  </Box>
                );
              })}
            </Flex>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}

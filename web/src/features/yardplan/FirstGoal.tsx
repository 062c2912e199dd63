import { Box, Text } from '@chakra-ui/react';
import { GOAL_KINDS } from '../../shared/goals/goalWords.ts';

/** Nothing is asked yet: what could be. */
export function FirstGoal({
  onGoal,
}: {
  readonly onGoal: (kind: (typeof GOAL_KINDS)[number]['kind']) => void;
}) {
  return (
    <Box>
      <Text fontSize="lg" mb={3}>
        What do you want to do in this yard? The best set of frame moves for it is worked out at once.
      </Text>
      <Box
        as="ul"
        listStyleType="none"
        display="grid"
        gap={2}
        gridTemplateColumns="repeat(auto-fill, minmax(220px, 1fr))"
      >
        {GOAL_KINDS.map((g) => (
          <li key={g.kind}>
            <Box
              asChild
              w="100%"
              h="100%"
              minH="76px"
              textAlign="left"
              bg="sheet"
              borderWidth="1px"
              borderRadius="lg"
              px={4}
              py={3}
              cursor="pointer"
              _hover={{ borderColor: 'accent' }}
            >
              <button type="button" onClick={() => onGoal(g.kind)}>
                <Text fontWeight="700" fontSize="lg">
                  {g.title}
                </Text>
                <Text color="inkSoft" fontSize="sm">
                  {g.what}
                </Text>
              </button>
            </Box>
          </li>
        ))}
      </Box>
    </Box>
  );
}

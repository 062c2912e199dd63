import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import type { KitLine } from '@incremen/core';

/** What to load before leaving; what is short stands out. */
export function KitList({ kit }: { readonly kit: readonly KitLine[] }) {
  return (
    <Box as="section">
      <Heading as="h2" fontSize="1.15rem" mb={2}>
        Bring
      </Heading>
      <Box as="ul" listStyleType="none">
        {kit.map((k) => (
          <Flex as="li" key={k.what} gap={3} borderBottomWidth="1px" borderColor="line" py={1}>
            <Text w="1.6rem" textAlign="right" fontWeight="700">
              {k.count}
            </Text>
            <Box flex="1">
              {k.what}
              {k.shortBy !== null && k.shortBy > 0 && (
                <Text color="alarm" fontWeight="600">
                  short by {k.shortBy}: the store has none left
                </Text>
              )}
            </Box>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}

import { Button, Flex, Box, Text } from '@chakra-ui/react';
import type { Yard } from '@incremen/core/records';
import { Link } from 'react-router';
import { useApiary } from '../../mirror/hooks.ts';
import { countRound, firstCountOf } from '../../shared/colonies/countRound.ts';
import common from '../../ui/common.module.css';

/** A yard that was just set up is counted first, hive after hive: until then nothing can be worked out. */
export function FirstCount({ yard }: { readonly yard: Yard }) {
  const { next, counted, all } = countRound(useApiary(), yard.id);
  if (!next) return null;
  return (
    <Flex
      as="section"
      aria-label="Next"
      className={common.noPrint}
      align="center"
      wrap="wrap"
      columnGap={4}
      rowGap={2}
      mb={4}
      maxW="30rem"
      bg="sheet"
      borderWidth="1px"
      borderColor="line"
      borderLeftWidth="5px"
      borderLeftColor="accent"
      borderRadius="lg"
      pl={4}
      pr={2}
      py={2}
    >
      <Box flex="1 1 10rem">
        <Text fontWeight="700">{next.name}</Text>
        <Text color="inkSoft">
          {counted === 0
            ? 'Bees, brood and food in a few numbers: two minutes.'
            : `${counted} of ${all} counted`}
        </Text>
      </Box>
      <Button asChild>
        <Link to={firstCountOf(next)}>Count {next.name}</Link>
      </Button>
    </Flex>
  );
}

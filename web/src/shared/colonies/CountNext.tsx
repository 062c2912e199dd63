import { Button, Flex, Text } from '@chakra-ui/react';
import type { Yard } from '@incremen/core/records';
import { Link } from 'react-router';
import { useApiary } from '../../mirror/hooks.ts';
import common from '../../ui/common.module.css';
import { countRound, firstCountOf } from './countRound.ts';

/** In a yard that was just set up: on to the next hive, until each was counted once. */
export function CountNext({ yard }: { readonly yard: Yard }) {
  const { next, counted, all } = countRound(useApiary(), yard.id);
  if (!next) return null;
  return (
    <Flex
      as="section"
      aria-label="Next hive"
      className={common.noPrint}
      align="center"
      justify="space-between"
      wrap="wrap"
      gap={3}
      mb={5}
      px={4}
      py={3}
      maxW="40rem"
      bg="sheet"
      borderWidth="1px"
      borderColor="line"
      borderLeftWidth="5px"
      borderLeftColor="accent"
      borderRadius="lg"
    >
      <Text fontWeight="700">
        {counted === 0
          ? 'Bees, brood and food in a few numbers: two minutes.'
          : `${counted} of ${all} counted`}
      </Text>
      <Button asChild size="lg">
        <Link to={firstCountOf(next)}>
          Count {next.name}
          {counted > 0 && ' next'}
        </Link>
      </Button>
    </Flex>
  );
}

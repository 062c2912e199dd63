import { Button, Flex, Text } from '@chakra-ui/react';
import { placeOf, type Colony } from '@incremen/core/records';
import { Link } from 'react-router';
import { useApiary } from '../../mirror/hooks.ts';
import { countRound, firstCountOf } from '../../shared/colonies/countRound.ts';

/** After a count in a yard that was just set up: on to the next hive, until each was counted once. */
export function CountNext({ colony }: { readonly colony: Colony }) {
  const apiary = useApiary();
  const { yard } = placeOf(apiary, colony);
  const round = yard && countRound(apiary, yard.id);
  if (!round?.next) return null;
  return (
    <Flex
      as="section"
      aria-label="Next hive"
      align="center"
      justify="space-between"
      wrap="wrap"
      gap={3}
      mb={5}
      px={4}
      py={3}
      bg="sheet"
      borderWidth="1px"
      borderColor="line"
      borderLeftWidth="5px"
      borderLeftColor="accent"
      borderRadius="lg"
    >
      <Text fontWeight="700">
        {round.counted} of {round.all} counted
      </Text>
      <Button asChild size="lg">
        <Link to={firstCountOf(round.next)}>Count {round.next.name} next</Link>
      </Button>
    </Flex>
  );
}

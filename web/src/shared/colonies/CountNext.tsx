import { Button, Flex, Text } from '@chakra-ui/react';
import { countedOn, framesOfColony, type Colony, type Yard } from '@incremen/core/records';
import { Link } from 'react-router';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import common from '../../ui/common.module.css';
import { neighboursOf } from './neighbours.ts';
import { countRound, firstCountOf } from './countRound.ts';

/**
 * On to the next hive: in a yard that was just set up until each was counted once; after a count of today to the one that stands
 * beside it.
 */
export function CountNext({ yard, after }: { readonly yard: Yard; readonly after?: Colony }) {
  const apiary = useApiary();
  const today = useToday();
  const { next, counted, all } = countRound(apiary, yard.id);
  if (next)
    return (
      <Lead
        words={
          counted === 0
            ? 'Bees, brood and food in a few numbers: two minutes.'
            : `${counted} of ${all} counted`
        }
        verb={`Count ${next.name}${counted > 0 ? ' next' : ''}`}
        to={firstCountOf(next)}
      />
    );
  const beside = after && neighboursOf(apiary, after).after;
  if (!beside || countedOn(framesOfColony(apiary, beside)) === today) return null;
  return (
    <Lead
      words={`Beside ${after.name} stands ${beside.name}.`}
      verb={`Count ${beside.name} next`}
      to={`/colonies/${beside.id}/count`}
    />
  );
}

function Lead({ words, verb, to }: { readonly words: string; readonly verb: string; readonly to: string }) {
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
      <Text fontWeight="700">{words}</Text>
      <Button asChild size="lg">
        <Link to={to}>{verb}</Link>
      </Button>
    </Flex>
  );
}

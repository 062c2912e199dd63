import { Button, Flex, Text } from '@chakra-ui/react';
import { countedOn, framesOfColony, type Colony, type Yard } from '@incremen/core/records';
import { Link } from 'react-router';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import common from '../../ui/common.module.css';
import { neighboursOf } from './neighbours.ts';
import { firstCount } from './countRound.ts';

/**
 * On to the next hive: in a yard that was just set up until each was counted once; after a count of today to the one that stands
 * beside it.
 */
export function CountNext({ yard, after }: { readonly yard: Yard; readonly after?: Colony }) {
  const apiary = useApiary();
  const today = useToday();
  const asked = firstCount(apiary, yard.id, today);
  if (asked)
    return <Lead words={asked.why} verb={`${asked.say}${asked.goesOn ? ' next' : ''}`} to={asked.to} />;
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

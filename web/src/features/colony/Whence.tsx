import { Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import type { Apiary, Colony } from '@incremen/core/records';
import { Link } from 'react-router';

/** Where a colony stands and where it came from. */
export function Whence({
  apiary,
  colony,
  yard,
}: {
  readonly apiary: Apiary;
  readonly colony: Colony;
  readonly yard: string;
}) {
  const from = colony.origin.how === 'split' ? apiary.colony[colony.origin.fromColonyId] : undefined;
  return (
    <Text>
      {yard}
      {from && (
        <>
          {' · split from '}
          <Link to={`/colonies/${from.id}`} style={{ textDecoration: 'underline' }}>
            {from.name}
          </Link>{' '}
          on {dayInWords(colony.startedOn)}
        </>
      )}
      {colony.endedOn && ` · ended ${dayInWords(colony.endedOn)}`}
    </Text>
  );
}

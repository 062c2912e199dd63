import { Button, Flex } from '@chakra-ui/react';
import type { Colony } from '@incremen/core/records';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { useSwipeable } from 'react-swipeable';
import { useApiary } from '../../mirror/hooks.ts';
import common from '../../ui/common.module.css';
import { neighboursOf } from './neighbours.ts';

/** From hive to hive as they stand: by a tap at either side, or by a swipe over what is inside. */
export function StandTurns({ colony, children }: { readonly colony: Colony; readonly children: ReactNode }) {
  const apiary = useApiary();
  const navigate = useNavigate();
  const { before, after } = neighboursOf(apiary, colony);
  const go = (to: Colony | null) => to && void navigate(`/colonies/${to.id}`);
  const swipe = useSwipeable({ onSwipedLeft: () => go(after), onSwipedRight: () => go(before), delta: 60 });
  return (
    <div {...swipe}>
      {children}
      {(before ?? after) && (
        <Flex
          as="nav"
          aria-label="Hives by stand"
          justify="space-between"
          gap={2}
          mt={2}
          className={common.noPrint}
        >
          {before ? (
            <Button asChild variant="outline" bg="sheet" minH="48px">
              <Link to={`/colonies/${before.id}`} aria-label={`The hive before: ${before.name}`}>
                <ChevronLeft size={18} aria-hidden /> {before.name}
              </Link>
            </Button>
          ) : (
            <span />
          )}
          {after && (
            <Button asChild variant="outline" bg="sheet" minH="48px">
              <Link to={`/colonies/${after.id}`} aria-label={`The next hive: ${after.name}`}>
                {after.name} <ChevronRight size={18} aria-hidden />
              </Link>
            </Button>
          )}
        </Flex>
      )}
    </div>
  );
}

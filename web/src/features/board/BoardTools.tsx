import { Button, Flex, Input } from '@chakra-ui/react';
import type { Lane } from '@incremen/core/colony';
import { Columns3, X } from 'lucide-react';
import { Link } from 'react-router';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { Select } from '../../ui/Select.tsx';
import { SquareButton } from '../../ui/SquareButton.tsx';
import { MOST_COMPARED, SORTS, viewed, type Sort } from '../../state/boardSlice.ts';
import { LANES } from '../../shared/colonies/lanes.ts';
import common from '../../ui/common.module.css';

const SORT_NAMES: Readonly<Record<Sort, string>> = {
  stand: 'by stand',
  name: 'by name',
  bees: 'most bees first',
  brood: 'most brood first',
  stores: 'most stores first',
  age: 'oldest count first',
};

/** Order, filter and comparison of a board. */
export function BoardTools() {
  const dispatch = useAppDispatch();
  const { sort, find, lane, picked } = useAppSelector((s) => s.board);
  return (
    <Flex
      gap={2}
      wrap={{ base: 'nowrap', md: 'wrap' }}
      align="center"
      className={common.noPrint}
      overflowX={{ base: 'auto', md: 'visible' }}
      mx={{ base: -4, md: 0 }}
      px={{ base: 4, md: 0 }}
      py={1}
      css={{ '& > *': { flex: 'none' } }}
    >
      <Input
        type="search"
        aria-label="Find a colony by name"
        placeholder="Find a colony"
        bg="sheet"
        w={{ base: '9rem', md: '10rem' }}
        value={find}
        onChange={(e) => dispatch(viewed({ find: e.target.value }))}
      />
      <Select
        fit
        label="Order"
        value={sort}
        options={SORTS.map((s) => [s, SORT_NAMES[s]])}
        onChange={(s) => dispatch(viewed({ sort: s as Sort }))}
      />
      <Select
        fit
        label="Lane"
        value={lane ?? ''}
        options={[['', 'all lanes'], ...LANES.map((l) => [l.lane, l.title] as const)]}
        onChange={(l) => dispatch(viewed({ lane: l === '' ? null : (l as Lane) }))}
      />
      {picked === null ? (
        <Button variant="outline" bg="sheet" onClick={() => dispatch(viewed({ picked: [] }))}>
          <Columns3 size={18} aria-hidden /> Compare
        </Button>
      ) : (
        <>
          {picked.length >= 2 ? (
            <Button asChild>
              <Link to={`/compare?${picked.map((id) => `c=${id}`).join('&')}`}>
                Compare these {picked.length}
              </Link>
            </Button>
          ) : (
            <Button disabled>Pick two to {MOST_COMPARED}</Button>
          )}
          <SquareButton label="Stop picking" onClick={() => dispatch(viewed({ picked: null }))}>
            <X size={18} aria-hidden />
          </SquareButton>
        </>
      )}
    </Flex>
  );
}

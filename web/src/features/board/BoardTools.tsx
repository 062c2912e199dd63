import { Button, Flex, Input } from '@chakra-ui/react';
import type { Lane } from '@incremen/core/colony';
import { Columns3, X } from 'lucide-react';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { Select } from '../../ui/Select.tsx';
import { SquareButton } from '../../ui/SquareButton.tsx';
import { SORTS, viewed, type Sort } from '../../state/boardSlice.ts';
import { CompareButton } from '../../shared/colonies/CompareButton.tsx';
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
      wrap="wrap"
      align="center"
      className={common.noPrint}
      py={1}
      // On a phone two beside each other, and nothing cut off at the edge.
      css={{ '& > *': { flex: { base: '1 1 9rem', md: 'none' }, minWidth: 0 } }}
    >
      <Input
        type="search"
        aria-label="Find a colony by name"
        placeholder="Find a colony"
        bg="sheet"
        w="10rem"
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
        options={[['', 'all groups'], ...LANES.map((l) => [l.lane, l.title] as const)]}
        onChange={(l) => dispatch(viewed({ lane: l === '' ? null : (l as Lane) }))}
      />
      {picked === null ? (
        <Button variant="outline" bg="sheet" onClick={() => dispatch(viewed({ picked: [] }))}>
          <Columns3 size={18} aria-hidden /> Compare
        </Button>
      ) : (
        <>
          <CompareButton picked={picked} />
          <SquareButton label="Stop picking" onClick={() => dispatch(viewed({ picked: null }))}>
            <X size={18} aria-hidden />
          </SquareButton>
        </>
      )}
    </Flex>
  );
}

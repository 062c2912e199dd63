import { Text } from '@chakra-ui/react';
import { dayInWords, type Day } from '@incremen/core/basics';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { viewed } from '../../state/boardSlice.ts';
import { DaySlider } from './DaySlider.tsx';
import type { ColoniesOn } from './useColoniesOn.ts';

/** The day of the board, apart from the rest so that the slider alone is drawn anew while it is dragged. */
export function BoardDay() {
  const dispatch = useAppDispatch();
  const offset = useAppSelector((s) => s.board.offset);
  return <DaySlider offset={offset} onChange={(to) => dispatch(viewed({ offset: to }))} />;
}

/** What keeps a past day from being shown. */
export function PastNote({ past, day }: { readonly past: ColoniesOn['past']; readonly day: Day | null }) {
  if (past === 'here') return null;
  return (
    <Text role="status" mb={3} color={past === 'fetching' ? 'inkSoft' : 'ink'}>
      {past === 'away'
        ? 'Older counts are on the server, which is out of reach. Today and the days ahead can be shown.'
        : `Fetching the counts of ${day ? dayInWords(day) : 'then'}…`}
    </Text>
  );
}

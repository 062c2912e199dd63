import { Button } from '@chakra-ui/react';
import { Link } from 'react-router';
import { MOST_COMPARED_IN_WORDS } from '../../state/boardSlice.ts';

/** Leads to the colonies that were picked, side by side; until there are two it says what to do. */
export function CompareButton({ picked }: { readonly picked: readonly string[] }) {
  return picked.length >= 2 ? (
    <Button asChild>
      <Link to={`/compare?${picked.map((id) => `c=${id}`).join('&')}`}>Compare these {picked.length}</Link>
    </Button>
  ) : (
    <Button disabled>Pick two to {MOST_COMPARED_IN_WORDS}</Button>
  );
}

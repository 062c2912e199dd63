import { Button } from '@chakra-ui/react';
import { Sprout } from 'lucide-react';
import { useAppDispatch } from '../../state/store.ts';
import { Strip } from '../../ui/Strip.tsx';
import { leavePractice } from './practice.ts';

/** Says on every page that nothing here counts, and leads back. */
export default function PracticeStrip() {
  const dispatch = useAppDispatch();
  return (
    <Strip icon={Sprout}>
      A practice yard: try anything. Nothing here is kept or sent, and your own records wait untouched.{' '}
      <Button size="sm" minH="40px" variant="outline" bg="sheet" onClick={() => dispatch(leavePractice())}>
        Leave it
      </Button>
    </Strip>
  );
}

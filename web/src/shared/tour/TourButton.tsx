import { Button } from '@chakra-ui/react';
import { Suspense, useState } from 'react';
import { lazyPart } from '../../ui/lazyPart.tsx';

const Tour = lazyPart(() => import('./Tour.tsx'));

/** Opens the tour. */
export function TourButton() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button size="lg" variant="outline" bg="sheet" onClick={() => setOpen(true)}>
        Show me around
      </Button>
      {open && (
        <Suspense fallback={null}>
          <Tour onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}

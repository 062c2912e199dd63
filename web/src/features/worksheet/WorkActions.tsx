import { Button } from '@chakra-ui/react';
import { Printer, Tag } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';

/** What can be done with a plan as a whole while it is worked: print it, or drop it, which is asked twice. */
export function WorkActions({ planId, onDrop }: { readonly planId: string; readonly onDrop: () => void }) {
  const [dropping, setDropping] = useState(false);
  return (
    <>
      <Button variant="outline" bg="sheet" minH="44px" onClick={() => window.print()}>
        <Printer size={18} aria-hidden /> Print
      </Button>
      <Button asChild variant="outline" bg="sheet" minH="44px">
        <Link to={`/worksheet/${planId}/tags`}>
          <Tag size={18} aria-hidden /> Tags
        </Link>
      </Button>
      {dropping ? (
        <>
          <Button colorPalette="red" minH="44px" onClick={() => onDrop()}>
            Drop the plan
          </Button>
          <Button variant="ghost" minH="44px" onClick={() => setDropping(false)}>
            Keep it
          </Button>
        </>
      ) : (
        <Button variant="ghost" minH="44px" onClick={() => setDropping(true)}>
          Drop
        </Button>
      )}
    </>
  );
}

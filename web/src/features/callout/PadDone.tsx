import { Box, Button } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import type { CallOut } from '@incremen/core/records';
import { Link } from 'react-router';
import { useApiary } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { DrawnColonies } from '../../shared/work/DrawnColonies.tsx';

/** A break-up that is finished: how all stands. */
export function PadDone({ callOut }: { readonly callOut: CallOut }) {
  const apiary = useApiary();
  const colonies = [...callOut.body.units, ...callOut.body.givers].flatMap((u) => {
    const colony = apiary.colony[u.colonyId];
    return colony && colony.hiveId !== null ? [colony] : [];
  });
  return (
    <Box>
      <PageHeader title={callOut.name} aside={`Done on ${dayInWords(callOut.day)}: in the records`}>
        <Button asChild variant="outline" bg="sheet">
          <Link to={`/worksheet/${callOut.id}/tags`}>Tags</Link>
        </Button>
        <Button asChild variant="outline" bg="sheet">
          <Link to="/inspections">All inspections due</Link>
        </Button>
        <Button asChild>
          <Link to="/">Back to today</Link>
        </Button>
      </PageHeader>
      <DrawnColonies colonies={colonies} />
    </Box>
  );
}

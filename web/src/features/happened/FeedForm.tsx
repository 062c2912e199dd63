import { Box } from '@chakra-ui/react';
import { FeedGivenForm } from '../../shared/telling/FeedGivenForm.tsx';
import { newIds, useTell } from '../../shared/telling/useTell.ts';
import type { HappenedProps } from './HappenedPage.tsx';
import { InTheHive } from './InTheHive.tsx';

/** Feed that was given, and what was taken of it. */
export function FeedForm({ colony, done }: HappenedProps) {
  const { tell, problems, busy } = useTell();
  return (
    <Box display="grid" gap={6}>
      <FeedGivenForm
        label="Feed given"
        verb="It has it"
        hives={1}
        purpose="until-nectar"
        busy={busy}
        problems={problems}
        onTell={async (body, day) => {
          const given = {
            id: crypto.randomUUID(),
            colonyId: colony.id,
            day,
            body,
            outOn: null,
            note: '',
          };
          if (await tell({ type: 'give', given, newIds: newIds(1) }, `${colony.name} was fed`)) done();
        }}
      />
      <InTheHive colony={colony} kind="feed" />
    </Box>
  );
}

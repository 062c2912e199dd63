import { Box } from '@chakra-ui/react';
import { FeedGivenForm } from '../../shared/telling/FeedGivenForm.tsx';
import { giveCommand } from '../../shared/telling/giveCommand.ts';
import { useTell } from '../../shared/telling/useTell.ts';
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
          const command = giveCommand(colony.id, day, body, () => crypto.randomUUID());
          if (await tell(command, `${colony.name} was fed`)) done();
        }}
      />
      <InTheHive colony={colony} kind="feed" />
    </Box>
  );
}

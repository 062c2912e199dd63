import { Box, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { queenCalendar } from '@incremen/core/brood';
import { TreatmentGivenForm } from '../../shared/telling/TreatmentGivenForm.tsx';
import { giveCommand } from '../../shared/telling/giveCommand.ts';
import { useTell } from '../../shared/telling/useTell.ts';
import { InTheHive } from './InTheHive.tsx';
import type { HappenedProps } from './HappenedPage.tsx';

/** A treatment went in, with the day by which its label wants it out. */
export function TreatmentForm({ colony, done }: HappenedProps) {
  const { tell, problems, busy } = useTell();
  const { separation } = colony;
  const broodless =
    separation && separation.queen !== 'here'
      ? queenCalendar(separation.day, separation.emergence ?? undefined).broodless
      : null;
  return (
    <Box display="grid" gap={6}>
      <TreatmentGivenForm
        label="Treatment"
        verb="It is in"
        hives={1}
        busy={busy}
        problems={problems}
        onTell={async (body, day) => {
          const command = giveCommand(colony.id, day, body, () => crypto.randomUUID());
          if (await tell(command, `${colony.name} was treated`)) done();
        }}
      >
        {broodless && (
          <Text>
            No capped brood is expected from <b>{dayInWords(broodless.from)}</b> to{' '}
            <b>{dayInWords(broodless.to)}</b>: mites sit on bees then, for those who treat without brood.
            Check for caps first.
          </Text>
        )}
      </TreatmentGivenForm>
      <InTheHive colony={colony} kind="treatment" />
    </Box>
  );
}

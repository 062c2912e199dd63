import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { FEED_KINDS, FEED_WORDS, givenTo, type FeedKind, type Given } from '@incremen/core/records';
import { useState } from 'react';
import { useApiary, useChosenDay, useOperation, useToday } from '../../mirror/hooks.ts';
import { TellForm } from '../../shared/telling/TellForm.tsx';
import { useTell, newIds } from '../../shared/telling/useTell.ts';
import { Choice } from '../../ui/Choice.tsx';
import { DayField } from '../../ui/DayField.tsx';
import { mass, one } from '../../ui/format.ts';
import { numberTyped, TextField } from '../../ui/TextField.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import type { HappenedProps } from './HappenedPage.tsx';

const KG_PER_LB = 0.45359237;
const PURPOSES = [
  { id: 'until-nectar', label: 'Until nectar comes' },
  { id: 'draw-comb', label: 'To draw comb' },
  { id: 'winter', label: 'For winter' },
  { id: 'start', label: 'A start for a new part' },
  { id: 'other', label: 'Other' },
] as const;

/** Feed that was given, and what was taken of it. */
export function FeedForm({ colony, done }: HappenedProps) {
  const today = useToday();
  const { units } = useOperation();
  const { tell, problems, busy } = useTell();
  const [day, setDay] = useChosenDay();
  const [what, setWhat] = useState<FeedKind>('syrup-thick');
  const [amount, setAmount] = useState('2');
  const [purpose, setPurpose] = useState<(typeof PURPOSES)[number]['id']>('until-nectar');
  const typed = numberTyped(amount);
  const kg = typed === null ? null : typed * (units === 'imperial' ? KG_PER_LB : 1);
  return (
    <Box display="grid" gap={6}>
      <TellForm
        label="Feed given"
        verb="It has it"
        busy={busy}
        disabled={kg === null || kg <= 0}
        problems={problems}
        onTell={async () => {
          const given: Given = {
            id: crypto.randomUUID(),
            colonyId: colony.id,
            day,
            body: { kind: 'feed', what, kg: Math.round((kg ?? 0) * 100) / 100, purpose, leftKg: null },
            outOn: null,
            note: '',
          };
          const told = await tell({ type: 'give', given, newIds: newIds(1) }, `${colony.name} was fed`);
          if (told) done();
        }}
      >
        <Choice
          label="What"
          value={what}
          onChange={setWhat}
          options={FEED_KINDS.map((id) => ({ id, label: FEED_WORDS[id] }))}
        />
        <TextField
          label={units === 'imperial' ? 'How much, in lb' : 'How much, in kg'}
          numeric
          value={amount}
          onChange={setAmount}
        />
        <Choice label="What for" value={purpose} onChange={setPurpose} options={PURPOSES} />
        <DayField label="Day" value={day} max={today} onChange={setDay} />
        <Text color="inkSoft">Feed in the evening, and keep the entrance small: robbers smell syrup.</Text>
      </TellForm>
      <InTheHive colony={colony} kind="feed" />
    </Box>
  );
}

/** What is in the hive and has not been taken out, each with the button that says so. */
export function InTheHive({
  colony,
  kind,
}: {
  readonly colony: HappenedProps['colony'];
  readonly kind: 'feed' | 'treatment';
}) {
  const apiary = useApiary();
  const today = useToday();
  const { units } = useOperation();
  const { tell } = useTell();
  const lines = givenTo(apiary, colony.id).filter((g) => g.body.kind === kind);
  if (lines.length === 0) return null;
  return (
    <Box as="section">
      <SectionHeading mb={1}>{kind === 'feed' ? 'Fed so far' : 'Treated so far'}</SectionHeading>
      <Box as="ul" listStyleType="none" display="grid" gap={2}>
        {lines.map((g) => (
          <Flex as="li" key={g.id} gap={3} wrap="wrap" align="center">
            <Text>
              {dayInWords(g.day)}:{' '}
              {g.body.kind === 'feed'
                ? `${units === 'imperial' ? mass(g.body.kg, units) : `${one(g.body.kg)} kg`} of ${FEED_WORDS[g.body.what]}`
                : g.body.what}
              {g.outOn && `, ${kind === 'feed' ? 'taken up' : 'out'} by ${dayInWords(g.outOn)}`}
              {g.body.kind === 'treatment' &&
                !g.outOn &&
                g.body.outBy &&
                `, out by ${dayInWords(g.body.outBy)}`}
            </Text>
            {!g.outOn && (
              <Button
                size="sm"
                variant="outline"
                bg="sheet"
                onClick={() =>
                  void tell(
                    {
                      type: 'takeOut',
                      givenId: g.id,
                      day: today,
                      leftKg: g.body.kind === 'feed' ? 0 : null,
                    },
                    kind === 'feed' ? 'Taken up' : 'Taken out',
                  )
                }
              >
                {kind === 'feed' ? 'All taken up' : 'Taken out today'}
              </Button>
            )}
          </Flex>
        ))}
      </Box>
    </Box>
  );
}

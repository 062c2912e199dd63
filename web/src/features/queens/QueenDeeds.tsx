import { Box, Flex, Text } from '@chakra-ui/react';
import {
  MARKING_COLOURS,
  markingColour,
  type CommandOf,
  type Queen,
  type QueenDeed,
} from '@incremen/core/records';
import { yearOf } from '@incremen/core/basics';
import { useState } from 'react';
import { z } from 'zod';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { ChoiceIn, DayIn, LineIn, SelectIn } from '../../shared/telling/checkedFields.tsx';
import { newIds, useTell } from '../../shared/telling/useTell.ts';
import { Key } from '../../ui/Key.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

const WORDS: Readonly<Record<QueenDeed, string>> = {
  'put-in': 'Put her into a colony',
  released: 'She is out of her cage',
  laying: 'She lays',
  marked: 'Mark her',
  clipped: 'Wing clipped',
  caged: 'Cage her',
  'to-stock': 'Take her into stock',
  replaced: 'Replaced by another',
  lost: 'Lost',
  killed: 'Killed',
  swarmed: 'Left with a swarm',
  sold: 'Sold or given away',
  died: 'Died',
};

/** What can be done with a queen who is here, in the order in which it is usual. */
function deedsFor({ whereabouts, cagedSince }: Queen): readonly QueenDeed[] {
  if (whereabouts.known === 'stock') return ['put-in', 'marked', 'sold', 'died'];
  return [
    ...(cagedSince ? (['released'] as const) : (['caged'] as const)),
    'laying',
    'marked',
    'clipped',
    'put-in',
    'to-stock',
    'replaced',
    'lost',
    'killed',
  ];
}

/** What is noted of her today: one tap, and what it needs to know. */
export function QueenDeeds({ queen }: { readonly queen: Queen }) {
  const [did, setDid] = useState<QueenDeed | null>(null);
  return (
    <Box as="section">
      <SectionHeading>Note</SectionHeading>
      <Flex gap={2} wrap="wrap" role="group" aria-label="What was done" mb={3}>
        {deedsFor(queen).map((d) => (
          <Key key={d} size="mark" on={did === d} onClick={() => setDid(did === d ? null : d)}>
            {WORDS[d]}
          </Key>
        ))}
      </Flex>
      {did && (
        <Deed
          key={did}
          queen={queen}
          did={did}
          // Saving takes a moment without a signal: another deed may be open by then, and stays so.
          done={() => setDid((now) => (now === did ? null : now))}
        />
      )}
    </Box>
  );
}

const schema = z.strictObject({
  day: z.string(),
  colonyId: z.string(),
  caged: z.enum(['yes', 'no']),
  beside: z.enum(['yes', 'no']),
  dot: z.enum(MARKING_COLOURS),
  number: z.string().trim().max(12),
});

function Deed({
  queen,
  did,
  done,
}: {
  readonly queen: Queen;
  readonly did: QueenDeed;
  readonly done: () => void;
}) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const living = Object.values(apiary.colony)
    .filter((c) => c.endedOn === null)
    .toSorted((a, b) => a.name.localeCompare(b.name));
  const commandOf = (said: z.output<typeof schema>): CommandOf<'noteQueen'> => ({
    type: 'noteQueen',
    queenId: queen.id,
    day: said.day || today,
    did,
    ...(did === 'put-in' && {
      into: { colonyId: said.colonyId, caged: said.caged === 'yes', beside: said.beside === 'yes' },
    }),
    ...(did === 'marked' && { mark: { dot: said.dot, number: said.number === '' ? null : said.number } }),
    newIds: newIds(4),
  });
  return (
    <CheckedForm
      label={WORDS[did]}
      verb="Save"
      schema={schema}
      start={{
        day: '',
        colonyId: living[0]?.id ?? '',
        caged: queen.cagedSince ? 'yes' : 'no',
        beside: 'no',
        dot: queen.dot ?? markingColour(queen.birthYear ?? yearOf(today)),
        number: queen.number ?? '',
      }}
      busy={busy}
      problems={problems}
      onTell={async (said) => {
        if (await tell(commandOf(said), 'Noted')) done();
      }}
    >
      {did === 'put-in' && (
        <>
          <SelectIn name="colonyId" label="Colony" options={living.map((c) => [c.id, c.name])} />
          <ChoiceIn
            name="caged"
            label="In a cage"
            options={[
              { id: 'yes', label: 'In a cage' },
              { id: 'no', label: 'Free' },
            ]}
          />
          <ChoiceIn
            name="beside"
            label="Another queen is there"
            options={[
              { id: 'no', label: 'No other queen' },
              { id: 'yes', label: 'Beside another' },
            ]}
          />
          <Text color="inkSoft">
            Take out every queen cell first. Look after the cage on day 3 to 5, for eggs from day 7.
          </Text>
        </>
      )}
      {did === 'marked' && (
        <>
          <ChoiceIn name="dot" label="Colour" options={MARKING_COLOURS.map((c) => ({ id: c, label: c }))} />
          <LineIn name="number" label="Number" maxLength={12} />
        </>
      )}
      <DayIn name="day" label="Day" orToday />
    </CheckedForm>
  );
}

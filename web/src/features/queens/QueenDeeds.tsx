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
import { useApiary, useChosenDay, useToday } from '../../mirror/hooks.ts';
import { TellForm } from '../../shared/telling/TellForm.tsx';
import { newIds, useTell } from '../../shared/telling/useTell.ts';
import { Choice } from '../../ui/Choice.tsx';
import { DayField } from '../../shared/days/DayField.tsx';
import { Key } from '../../ui/Key.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { Select } from '../../ui/Select.tsx';
import { TextField } from '../../ui/TextField.tsx';

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
  const [day, setDay] = useChosenDay();
  const living = Object.values(apiary.colony)
    .filter((c) => c.endedOn === null)
    .toSorted((a, b) => a.name.localeCompare(b.name));
  const [colonyId, setColonyId] = useState(living[0]?.id ?? '');
  const [caged, setCaged] = useState<'yes' | 'no'>(queen.cagedSince ? 'yes' : 'no');
  const [beside, setBeside] = useState<'yes' | 'no'>('no');
  const [dot, setDot] = useState(queen.dot ?? markingColour(queen.birthYear ?? yearOf(today)));
  const [number, setNumber] = useState(queen.number ?? '');
  const command: CommandOf<'noteQueen'> = {
    type: 'noteQueen',
    queenId: queen.id,
    day,
    did,
    ...(did === 'put-in' && { into: { colonyId, caged: caged === 'yes', beside: beside === 'yes' } }),
    ...(did === 'marked' && { mark: { dot, number: number.trim() === '' ? null : number.trim() } }),
    newIds: newIds(4),
  };
  return (
    <TellForm
      label={WORDS[did]}
      verb="Save"
      busy={busy}
      problems={problems}
      onTell={async () => {
        if (await tell(command, 'Noted')) done();
      }}
    >
      {did === 'put-in' && (
        <>
          <Select
            fit
            label="Colony"
            value={colonyId}
            options={living.map((c) => [c.id, c.name])}
            onChange={setColonyId}
          />
          <Choice
            label="In a cage"
            value={caged}
            onChange={setCaged}
            options={[
              { id: 'yes', label: 'In a cage' },
              { id: 'no', label: 'Free' },
            ]}
          />
          <Choice
            label="Another queen is there"
            value={beside}
            onChange={setBeside}
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
          <Choice
            label="Colour"
            value={dot}
            onChange={setDot}
            options={MARKING_COLOURS.map((c) => ({ id: c, label: c }))}
          />
          <TextField label="Number" value={number} maxLength={12} onChange={setNumber} />
        </>
      )}
      <DayField label="Day" value={day} max={today} onChange={setDay} />
    </TellForm>
  );
}

import { Box, Button, Field, Flex, Input, Text } from '@chakra-ui/react';
import {
  colourClash,
  MARKING_COLOURS,
  markingColour,
  coloniesOfYard,
  placeOf,
  queenPerhapsIn,
  type Colony,
  type MarkingColour,
} from '@incremen/core/records';
import { dayInWords, yearOf } from '@incremen/core/basics';
import { queenDoubts } from '@incremen/core/queen-verdict';
import type { ColonyState } from '@incremen/core/colony';
import { useState } from 'react';
import { Link } from 'react-router';
import common from '../../ui/common.module.css';
import { QueenMark } from '../../drawing/Slat.tsx';
import { useApiary, useSend, useToday } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { queenColour } from '../../shared/colonies/ColonyCard.tsx';
import { NotHer } from '../../shared/queens/NotHer.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

/** The queen as the records know her, and a small form to enter or correct her. */
export function QueenPanel({ colony, state }: { readonly colony: Colony; readonly state: ColonyState }) {
  const [editing, setEditing] = useState(false);
  const present = state.queen.state === 'here' ? state.queen.queen : undefined;
  const canEdit = state.queen.state !== 'unknown-part' && state.queen.state !== 'raising';
  return (
    <Box as="section">
      <Flex align="center" gap={3} mb={1}>
        <SectionHeading mb={0}>Queen</SectionHeading>
        {present && !editing && (
          <Link className={common.inlineLink} to={`/queens/${present.id}`}>
            {present.name ?? 'Her page'}
          </Link>
        )}
        {canEdit && !editing && (
          <Button variant="ghost" size="sm" color="accent" onClick={() => setEditing(true)}>
            {state.queen.state === 'not-recorded' ? 'Add the queen' : 'Correct'}
          </Button>
        )}
      </Flex>
      {editing ? (
        <QueenForm colony={colony} state={state} done={() => setEditing(false)} />
      ) : (
        <>
          <QueenWords colony={colony} state={state} />
          <NotHer colony={colony} />
        </>
      )}
    </Box>
  );
}

function QueenWords({ colony, state }: { readonly colony: Colony; readonly state: ColonyState }) {
  const apiary = useApiary();
  const today = useToday();
  const { queen } = state;
  switch (queen.state) {
    case 'here': {
      const q = queen.queen;
      const clash = colourClash(q.birthYear, q.dot);
      const age =
        q.birthYear === null
          ? ''
          : `born ${q.birthYear}${yearOf(today) - q.birthYear >= 3 ? `, in her ${yearOf(today) - q.birthYear + 1}th season` : ''}`;
      return (
        <Flex gap={3} align="center">
          <svg width="30" height="30" viewBox="0 0 30 30" aria-hidden="true">
            <QueenMark x={15} y={15} r={9} colour={queenColour(state)} />
          </svg>
          <Box>
            <Text>
              <b>{q.name ?? 'No name'}</b> {age && `· ${age}`} · {q.dot ? `${q.dot} mark` : 'no mark'}
              {q.mating !== 'mated' && ' · not proved mated'}
            </Text>
            {clash && (
              <Text color="near">
                She wears {clash.worn}; queens of {q.birthYear} are {clash.byYear}. The year rules, the mark
                is a hint.
              </Text>
            )}
            {queenDoubts(apiary, colony).map((doubt) => (
              <Text key={doubt} color="near">
                {doubt}
              </Text>
            ))}
          </Box>
        </Flex>
      );
    }
    case 'unknown-part': {
      const q = queenPerhapsIn(apiary, colony.id);
      const parts = (colony.separation?.partIds ?? []).map((id) => apiary.colony[id]?.name).join(' or ');
      return (
        <Text>
          {q?.name ? <b>{q.name}</b> : 'The old queen'} is in {parts}. The next inspection shows which: eggs
          laid from day 4 on are hers.
        </Text>
      );
    }
    case 'perhaps-here': {
      const places = queen.colonyIds.map((id) => apiary.colony[id]?.name).join(', ');
      return (
        <Text>
          <b>{queen.queen.name ?? 'A queen'}</b> is in one of these: {places}. The first inspection that finds
          her settles it.
        </Text>
      );
    }
    case 'raising':
      return <Text>Queenless since {dayInWords(queen.since)}; raising a new one.</Text>;
    case 'not-recorded':
      return <Text color="inkSoft">No queen recorded.</Text>;
  }
}

function QueenForm({
  colony,
  state,
  done,
}: {
  readonly colony: Colony;
  readonly state: ColonyState;
  readonly done: () => void;
}) {
  const today = useToday();
  const { send, problems, busy } = useSend();
  const apiary = useApiary();
  const present =
    state.queen.state === 'here' || state.queen.state === 'perhaps-here' ? state.queen.queen : undefined;
  const [among, setAmong] = useState<readonly string[]>(
    state.queen.state === 'perhaps-here' ? state.queen.colonyIds : [colony.id],
  );
  const yardId = placeOf(apiary, colony).yard?.id;
  const nearby = yardId === undefined ? [] : coloniesOfYard(apiary, yardId);
  const [name, setName] = useState(present?.name ?? '');
  const [year, setYear] = useState(String(present?.birthYear ?? yearOf(today)));
  const [dot, setDot] = useState<MarkingColour | 'none'>(present?.dot ?? 'none');
  const number = /^\d{4}$/.test(year) ? Number(year) : null;
  async function save() {
    const sent = await send({
      type: 'putQueen',
      queen: {
        id: present?.id ?? crypto.randomUUID(),
        name: name.trim() === '' ? null : name.trim(),
        birthYear: number,
        dot: dot === 'none' ? null : dot,
        mating: present?.mating ?? 'mated',
        whereabouts:
          among.length > 1
            ? { known: 'oneOf', colonyIds: [...among] }
            : { known: 'colony', colonyId: colony.id },
      },
    });
    if (sent.ok) done();
  }
  return (
    <Box
      as="form"
      display="grid"
      gap={3}
      maxW="26rem"
      onSubmit={(e: React.FormEvent) => {
        e.preventDefault();
        void save();
      }}
    >
      <Flex gap={3}>
        <Field.Root>
          <Field.Label>Name or number</Field.Label>
          <Input bg="sheet" value={name} onChange={(e) => setName(e.target.value)} maxLength={80} />
        </Field.Root>
        <Field.Root maxW="8rem" invalid={year !== '' && number === null}>
          <Field.Label>Born in</Field.Label>
          <Input bg="sheet" inputMode="numeric" value={year} onChange={(e) => setYear(e.target.value)} />
          <Field.ErrorText>Four digits</Field.ErrorText>
        </Field.Root>
      </Flex>
      <Choice
        label={number ? `Mark (queens of ${number} are ${markingColour(number)})` : 'Mark'}
        value={dot}
        onChange={setDot}
        options={[{ id: 'none', label: 'none' }, ...MARKING_COLOURS.map((c) => ({ id: c, label: c }))]}
      />
      <Box as="details">
        <Box as="summary" minH="touch" cursor="pointer" alignContent="center">
          {among.length > 1 ? `She is in one of ${among.length} colonies` : 'Not sure that she is here?'}
        </Box>
        <Text fontSize="sm" color="inkSoft" mb={2}>
          Mark every colony that she may be in. The first inspection that finds her settles it.
        </Text>
        <Flex wrap="wrap" gap={1.5} role="group" aria-label="She may be in">
          {nearby.map((c) => {
            const on = among.includes(c.id);
            return (
              <Button
                key={c.id}
                type="button"
                variant={on ? 'solid' : 'outline'}
                {...(on ? {} : { bg: 'sheet' })}
                aria-pressed={on}
                disabled={c.id === colony.id || (!on && among.length >= 12)}
                onClick={() => setAmong(on ? among.filter((id) => id !== c.id) : [...among, c.id])}
              >
                {c.name}
              </Button>
            );
          })}
        </Flex>
      </Box>
      <ProblemList problems={problems} />
      <Flex gap={2}>
        <Button type="submit" loading={busy} disabled={year !== '' && number === null}>
          Keep
        </Button>
        <Button variant="ghost" onClick={done}>
          Cancel
        </Button>
      </Flex>
    </Box>
  );
}

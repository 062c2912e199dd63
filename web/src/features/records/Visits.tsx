import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { dayInWords, yearOf } from '@incremen/core/basics';
import { happeningsOf, type Happening } from '@incremen/core/colony';
import { queensOf, readingsOfVisit, type Apiary, type Visit } from '@incremen/core/records';
import { Fragment, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { z } from 'zod';
import { seenInWords } from '../../shared/evidence/seenInWords.ts';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { DayIn, LineIn } from '../../shared/telling/checkedFields.tsx';
import { useTell } from '../../shared/telling/useTell.ts';
import { useApiary } from '../../mirror/hooks.ts';
import { useWholeVisits } from '../../mirror/olderVisits.ts';
import { count } from '../../ui/format.ts';
import { SearchField } from '../../ui/SearchField.tsx';
import common from '../../ui/common.module.css';

/** So many days are shown at once; more are a tap away. */
const DAYS_AT_ONCE = 10;

/** Everything about a visit that a search may find. */
function textOf(apiary: Apiary, v: Visit): string {
  const colony = apiary.colony[v.colonyId];
  const queens = queensOf(apiary, v.colonyId).map((q) => q.name ?? '');
  return [
    colony?.name ?? '',
    ...queens,
    v.day,
    dayInWords(v.day),
    v.note,
    v.evidence ? seenInWords(v.evidence) : '',
    v.purpose === 'count' ? 'count' : 'inspection',
  ]
    .join(' ')
    .toLowerCase();
}

/** The later one first. */
const later = (a: string, b: string): number => (a < b ? 1 : a > b ? -1 : 0);

const isVisit = (v: Visit | Happening): v is Visit => 'purpose' in v;

const textOfHappening = (apiary: Apiary, { colonyIds, day, words }: Happening): string =>
  [
    ...colonyIds.flatMap((id) => [
      apiary.colony[id]?.name ?? '',
      ...queensOf(apiary, id).map((q) => q.name ?? ''),
    ]),
    day,
    dayInWords(day),
    words,
  ]
    .join(' ')
    .toLowerCase();

/** Feed, a treatment, a move, a swarm, work: in one line, with the way to its colonies. */
function HappeningLine({ happening: { colonyIds, words } }: { readonly happening: Happening }) {
  const apiary = useApiary();
  const colonies = colonyIds.flatMap((id) => apiary.colony[id] ?? []).slice(0, NAMED);
  return (
    <Text py={1} pl={4}>
      {colonies.map((c, i) => (
        <Fragment key={c.id}>
          {i > 0 && ', '}
          <Link className={common.inlineLink} to={`/colonies/${c.id}`}>
            {c.name}
          </Link>
        </Fragment>
      ))}
      {colonyIds.length > NAMED && ` and ${colonyIds.length - NAMED} more`}: {words}
    </Text>
  );
}

/** So many colonies are named in a line. */
const NAMED = 4;

/** The journal of the hives: by day and visit, one line a visit that opens, with a search. */
export function Visits() {
  const kept = useApiary();
  const [wantsOlder, wantOlder] = useState(false);
  const { apiary, older } = useWholeVisits(null, wantsOlder);
  const [search, setSearch] = useState('');
  const [days, setDays] = useState(DAYS_AT_ONCE);
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const happened = useMemo(() => happeningsOf(apiary), [apiary]);
  const byDay = useMemo(() => {
    const groups = new Map<string, (Visit | Happening)[]>();
    // There may be tens of thousands: they are put in order day by day.
    for (const v of [...Object.values(apiary.visit), ...happened]) {
      const group = groups.get(v.day);
      if (group) group.push(v);
      else groups.set(v.day, [v]);
    }
    const timeOf = (v: Visit | Happening) => (isVisit(v) ? (v.time ?? '') : '');
    for (const group of groups.values())
      group.sort((a, b) => Number(isVisit(b)) - Number(isVisit(a)) || later(timeOf(a), timeOf(b)));
    return [...groups].toSorted(([a], [b]) => later(a, b));
  }, [apiary.visit, happened]);
  const found =
    words.length === 0
      ? byDay
      : byDay
          .map(([day, visits]) => {
            const those = visits.filter((v) => {
              const text = isVisit(v) ? textOf(apiary, v) : textOfHappening(apiary, v);
              return words.every((w) => text.includes(w));
            });
            return [day, those] as const;
          })
          .filter(([, visits]) => visits.length > 0);
  return (
    <Box as="section" aria-label="Visits" mb={8}>
      <Heading as="h2" fontSize="xl" mb={2}>
        Visits
      </Heading>
      <SearchField
        label="Search visits"
        placeholder="A word, a colony, a queen, a day"
        value={search}
        onChange={setSearch}
      />
      {found.length === 0 && (
        <Text color="inkSoft">
          {words.length > 0
            ? 'No visit has all of these words.'
            : 'No colony has been counted or inspected yet.'}
        </Text>
      )}
      {found.slice(0, days).map(([day, visits]) => (
        <Box key={day} as="section" aria-label={dayInWords(day)} mb={3}>
          <Text fontWeight="700" borderBottomWidth="1px" borderColor="line">
            {dayInWords(day)} {yearOf(day)}
          </Text>
          {visits.map((v) =>
            isVisit(v) ? (
              <VisitLine key={v.id} visit={v} kept={v.id in kept.visit} />
            ) : (
              <HappeningLine key={v.id} happening={v} />
            ),
          )}
        </Box>
      ))}
      <Flex gap={3} wrap="wrap" align="center">
        {found.length > days && (
          <Button variant="outline" bg="sheet" onClick={() => setDays(days + DAYS_AT_ONCE)}>
            Show earlier visits
          </Button>
        )}
        {older !== 'here' && (
          <Button
            variant="outline"
            bg="sheet"
            loading={wantsOlder && older === 'asked'}
            onClick={() => wantOlder(true)}
          >
            Fetch older visits from the server
          </Button>
        )}
        <Text color="inkSoft" role="status">
          {wantsOlder && older === 'away' && 'The server cannot be reached. Try again when it is there.'}
          {wantsOlder && older === 'here' && 'Every visit on record is here.'}
        </Text>
      </Flex>
    </Box>
  );
}

/** @param kept - it is among what this device keeps, and can be corrected */
function VisitLine({ visit: v, kept }: { readonly visit: Visit; readonly kept: boolean }) {
  const apiary = useApiary();
  const [correcting, setCorrecting] = useState(false);
  const colony = apiary.colony[v.colonyId];
  const frames = readingsOfVisit(apiary, v.id).length;
  const seen = v.evidence ? seenInWords(v.evidence) : '';
  return (
    <details>
      <summary className={common.summary}>
        {v.time ? `${v.time} ` : ''}
        {colony?.name ?? 'A colony'}: {v.purpose === 'count' ? 'counted' : 'inspected'}
        {v.by ? ` by ${v.by}` : ''}
        {seen && `, ${seen.slice(0, 60)}${seen.length > 60 ? '…' : ''}`}
      </summary>
      <Box pl={4} pb={2} display="grid" gap={1}>
        {seen && <Text>{seen}.</Text>}
        {v.purpose === 'count' && frames > 0 && (
          <Text color="inkSoft">{count(frames, 'frame')} of this count still show how the hive is.</Text>
        )}
        {v.note && <Text translate="no">{v.note}</Text>}
        {correcting ? (
          <Correct visit={v} done={() => setCorrecting(false)} />
        ) : (
          <Flex gap={3} align="center">
            {colony && (
              <Link className={common.inlineLink} to={`/colonies/${colony.id}`}>
                {colony.name}
              </Link>
            )}
            {kept && (
              <Button size="sm" variant="outline" bg="sheet" onClick={() => setCorrecting(true)}>
                Correct
              </Button>
            )}
          </Flex>
        )}
      </Box>
    </details>
  );
}

const correction = z.strictObject({
  day: z.string().min(1, 'Say on which day it was.'),
  time: z
    .string()
    .trim()
    .regex(/^(([01]?\d|2[0-3])[:.][0-5]\d)?$/, 'Write the time as 14:05, or leave it empty.')
    .transform((t) => (t === '' ? null : t.replace('.', ':').padStart(5, '0'))),
  note: z.string().max(4000),
});

function Correct({ visit, done }: { readonly visit: Visit; readonly done: () => void }) {
  const { tell, problems, busy } = useTell();
  return (
    <CheckedForm
      label="Correct this visit"
      verb="Save"
      schema={correction}
      start={{ day: visit.day, time: visit.time ?? '', note: visit.note }}
      busy={busy}
      problems={problems}
      onTell={async (said) => {
        if (await tell({ type: 'correctVisit', visitId: visit.id, ...said }, 'Corrected')) done();
      }}
    >
      <DayIn name="day" label="Day" />
      <LineIn name="time" label="Time, as 14:05" maxLength={5} />
      <LineIn name="note" label="Note" maxLength={4000} />
      <Button variant="ghost" justifySelf="start" onClick={done}>
        Cancel
      </Button>
    </CheckedForm>
  );
}

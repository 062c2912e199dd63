import { Box, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import {
  boxesOfColony,
  COLONY_END_WORDS,
  FEED_WORDS,
  givenTo,
  INSERT_WORDS,
  placeOf,
  WEAR_WORDS,
  type Colony,
} from '@incremen/core/records';
import { useApiary, useOperation } from '../../mirror/hooks.ts';
import { smallMass } from '../../ui/format.ts';
import { JobDone } from '../../shared/telling/JobDone.tsx';

/** What is on, in and before the hive besides combs, a shut entrance first; or how the colony ended. */
export function OnTheHive({ colony }: { readonly colony: Colony }) {
  const apiary = useApiary();
  const { hive } = placeOf(apiary, colony);
  const { units } = useOperation();
  const inside = givenTo(apiary, colony.id).filter((g) => g.outOn === null);
  const inserts = boxesOfColony(apiary, colony).flatMap((b) => b.inserts);
  const opening = Object.values(apiary.followUp).find(
    (f) => f.topic === 'entrance' && f.status === 'open' && f.colonyIds.includes(colony.id),
  );
  return (
    <Box mt={2} display="grid" gap={1}>
      {colony.end && (
        <Text fontWeight="600">
          {COLONY_END_WORDS[colony.end.how]}
          {colony.end.words && `: ${colony.end.words}`}
        </Text>
      )}
      {hive?.entrance.state === 'shut' && (
        <Text color="alarm" fontWeight="700">
          The entrance is shut{hive.entrance.since && ` since ${dayInWords(hive.entrance.since)}`}.{' '}
          {opening && <JobDone job={opening} />}
        </Text>
      )}
      {hive?.wears.map((w) => (
        <Text key={w.what} color="inkSoft">
          Wears: {WEAR_WORDS[w.what]}
          {w.until && `, until ${dayInWords(w.until)}`}.
        </Text>
      ))}
      {inserts.map((i) => (
        <Text key={`${i.what} ${i.slot}`} color="inkSoft">
          {INSERT_WORDS[i.what]} in slot {i.slot}.
        </Text>
      ))}
      {inside.map((g) => (
        <Text key={g.id} color="inkSoft">
          In the hive since {dayInWords(g.day)}:{' '}
          {g.body.kind === 'feed'
            ? `${smallMass(g.body.kg, units)} of ${FEED_WORDS[g.body.what]}`
            : g.body.what}
          {g.body.kind === 'treatment' && g.body.outBy && `, out by ${dayInWords(g.body.outBy)}`}.
        </Text>
      ))}
    </Box>
  );
}

import { Box, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import {
  photosOf,
  type Apiary,
  type Conditions,
  type Operation,
  type Reading,
  type Visit,
} from '@incremen/core/records';
import { Link } from 'react-router';
import { useOperation } from '../../mirror/hooks.ts';
import { count, degrees, degreeSign } from '../../ui/format.ts';
import { PhotoStrip } from '../../shared/photos/PhotoStrip.tsx';
import { NoteText } from './NoteText.tsx';
import { seenInWords } from '../../shared/evidence/seenInWords.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

/** A colony's visits, latest first, with what was seen, noted and photographed. */
export function Diary({
  visits,
  apiary,
  readings,
}: {
  readonly visits: readonly Visit[];
  readonly apiary: Apiary;
  readonly readings: readonly Reading[];
}) {
  const { units } = useOperation();
  if (visits.length === 0) return null;
  return (
    <Box as="section">
      <SectionHeading>Diary</SectionHeading>
      <Box
        as="ol"
        listStyleType="none"
        display="grid"
        gap={3}
        borderLeftWidth="2px"
        borderColor="line"
        pl={4}
      >
        {visits.map((v) => {
          const photos = photosOf(apiary, v.id);
          const seen = v.evidence ? seenInWords(v.evidence) : '';
          const conditions = v.conditions ? conditionsInWords(v.conditions, units) : '';
          const frames = readings.filter((r) => r.visitId === v.id).length;
          return (
            <Box as="li" key={v.id}>
              <Text>
                <Text as="span" fontWeight="600">
                  {dayInWords(v.day)}
                  {v.time ? `, ${v.time}` : ''}
                </Text>{' '}
                {v.purpose === 'count' ? countedInWords(frames, readings, v.id) : 'looked'}
                {v.by ? ` · ${v.by}` : ''}
                {seen && `: ${seen}`}
              </Text>
              {conditions && (
                <Text color="inkSoft" fontSize="sm">
                  {conditions}
                </Text>
              )}
              {v.clash && <Clash visit={v} other={apiary.visit[v.clash.withVisitId]} />}
              {v.note && <NoteText note={v.note} />}
              {photos.length > 0 && (
                <Box mt={1}>
                  <PhotoStrip
                    photos={photos.map((p, i) => ({
                      id: p.id,
                      label: p.caption || `photo ${i + 1} of ${dayInWords(v.day)}`,
                    }))}
                  />
                </Box>
              )}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

/** Two counts that did not know of each other, and which of them stands. */
function Clash({ visit, other }: { readonly visit: Visit; readonly other: Visit | undefined }) {
  if (!visit.clash) return null;
  const { frames, stands } = visit.clash;
  const at = other?.time ? ` at ${other.time}` : '';
  return (
    <Text color="near">
      {count(frames, 'frame was', 'frames were')} also counted on another device{at}.{' '}
      {stands === 'this' ? 'This count is the later and stands' : 'That count is the later and stands'}; both
      are kept. If in doubt,{' '}
      <Link to={`/colonies/${visit.colonyId}/count`} style={{ textDecoration: 'underline' }}>
        count again
      </Link>
      .
    </Text>
  );
}

function countedInWords(frames: number, readings: readonly Reading[], visitId: string): string {
  if (frames === 0) return 'noted';
  const estimated = readings.some((r) => r.visitId === visitId && r.body.estimated);
  return `counted, ${count(frames, 'frame')}${estimated ? ', estimated' : ''}`;
}

function conditionsInWords(c: Conditions, units: Operation['units']): string {
  return [
    ...(c.sky ? [c.sky] : []),
    ...(c.wind ? [c.wind === 'wind' ? 'windy' : c.wind] : []),
    ...(c.temperatureC === null ? [] : [`${degrees(c.temperatureC, units)} ${degreeSign(units)}`]),
    ...(c.minutesOpen ? [`open ${count(c.minutesOpen, 'minute')}`] : []),
  ].join(' · ');
}

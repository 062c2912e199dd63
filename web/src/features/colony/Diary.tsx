import { Box, Heading, Text } from '@chakra-ui/react';
import { dayInWords, type Apiary, type Visit } from '@incremen/core';

/** A colony's visits, latest first. */
export function Diary({ visits, apiary }: { readonly visits: readonly Visit[]; readonly apiary: Apiary }) {
  if (visits.length === 0) return null;
  const framesOf = (visit: Visit) =>
    Object.values(apiary.reading).filter((r) => r.visitId === visit.id).length;
  return (
    <Box as="section">
      <Heading as="h2" fontSize="1.15rem" mb={2}>
        Diary
      </Heading>
      <Box
        as="ol"
        listStyleType="none"
        display="grid"
        gap={1.5}
        borderLeftWidth="2px"
        borderColor="line"
        pl={4}
      >
        {visits.map((v) => (
          <Box as="li" key={v.id}>
            <Text as="span" fontWeight="600">
              {dayInWords(v.day)}
            </Text>{' '}
            {v.purpose === 'count' ? counted(framesOf(v)) : looked(v)}
            {v.note && <Text color="inkSoft">{v.note}</Text>}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

const counted = (frames: number) =>
  frames > 0 ? `counted, ${frames} frames` : 'counted, replaced by later readings';

function looked(visit: Visit): string {
  const { evidence } = visit;
  if (!evidence) return 'looked';
  const of = (name: string, look: string) =>
    look === 'notLooked' ? [] : [`${look === 'found' ? '' : 'no '}${name}`];
  const seen = [
    ...of('eggs', evidence.eggs.look),
    ...of('cells', evidence.cells.look),
    ...of('capped brood', evidence.cappedBrood.look),
    ...of('queen seen', evidence.queen.look).map((s) => s.replace('no queen seen', 'queen not seen')),
  ];
  return `looked: ${seen.join(', ') || 'nothing noted'}`;
}

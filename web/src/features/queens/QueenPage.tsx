import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { queenKin, yearOfBirth } from '@incremen/core/colony';
import {
  markingColour,
  QUEEN_DEED_WORDS,
  QUEEN_ORIGIN_WORDS,
  queenOf,
  type Queen,
} from '@incremen/core/records';
import { Link, useParams } from 'react-router';
import { KinTree } from '../../drawing/KinTree.tsx';
import { QueenMark } from '../../drawing/Slat.tsx';
import { useApiary } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { RouteError } from '../../ui/RouteError.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import common from '../../ui/common.module.css';
import { QueenDeeds } from './QueenDeeds.tsx';
import { QueenFacts } from './QueenFacts.tsx';

/** One queen: what is known of her, what was done, her line, and what can be noted today. */
export function QueenPage() {
  const apiary = useApiary();
  const { queenId = '' } = useParams();
  const queen = apiary.queen[queenId];
  if (!queen) return <RouteError missing />;
  return <QueenView key={queen.id} queen={queen} />;
}

function QueenView({ queen }: { readonly queen: Queen }) {
  const apiary = useApiary();
  const { whereabouts } = queen;
  const colony = whereabouts.known === 'colony' ? apiary.colony[whereabouts.colonyId] : undefined;
  const title = queen.name ?? (queen.number ? `Queen no. ${queen.number}` : 'Queen without a name');
  const { kin, lines } = queenKin(apiary, queen);
  const born = yearOfBirth(queen);
  const others = colony ? queenOf(apiary, colony.id) : undefined;
  return (
    <Box maxW="52rem" display="grid" gridTemplateColumns="minmax(0, 1fr)" gap={6}>
      <PageHeader
        title={title}
        aside={
          colony ? (
            <>
              in{' '}
              <Link className={common.inlineLink} to={`/colonies/${colony.id}`}>
                {colony.name}
              </Link>
              {others && others.id !== queen.id && ', beside another queen'}
            </>
          ) : whereabouts.known === 'stock' ? (
            'in stock'
          ) : (
            'gone'
          )
        }
      >
        <Button asChild variant="outline" bg="sheet">
          <Link to="/queens">All queens</Link>
        </Button>
      </PageHeader>
      <Flex gap={4} align="center">
        <svg width="56" height="56" viewBox="0 0 56 56" aria-hidden="true">
          <QueenMark x={28} y={28} r={18} colour={queen.dot} />
        </svg>
        <Box>
          <Text>
            {born === null ? 'Her year is not known' : `Born ${queen.birthYear === null ? 'by ' : ''}${born}`}
            {queen.origin && `, ${QUEEN_ORIGIN_WORDS[queen.origin]}`}
            {queen.breeder && ` (${queen.breeder})`}.
          </Text>
          <Text>
            {queen.dot ? `Marked ${queen.dot}` : 'Not marked'}
            {queen.number && `, no. ${queen.number}`}
            {queen.clipped && ', a wing clipped'}.
            {!queen.dot && born !== null && ` Queens of ${born} wear ${markingColour(born)}.`}
          </Text>
          {queen.cagedSince && <Text color="near">In her cage since {dayInWords(queen.cagedSince)}.</Text>}
          {queen.layingSince && <Text>Laying since {dayInWords(queen.layingSince)}.</Text>}
        </Box>
      </Flex>
      {whereabouts.known !== 'gone' && <QueenDeeds queen={queen} />}
      <QueenFacts queen={queen} />
      {kin.length > 1 && (
        <Box as="section">
          <SectionHeading>Her line</SectionHeading>
          <KinTree
            label="Line of queens"
            hereId={queen.id}
            lines={lines}
            kin={kin.map((k) => ({
              id: k.queen.id,
              generation: k.generation,
              title: k.queen.name ?? 'No name',
              below: k.queen.birthYear === null ? '' : String(k.queen.birthYear),
              to: `/queens/${k.queen.id}`,
            }))}
          />
        </Box>
      )}
      {queen.history.length > 0 && (
        <Box as="section">
          <SectionHeading>What was noted</SectionHeading>
          <Box as="ol" listStyleType="none">
            {queen.history.toReversed().map((h) => (
              <li key={`${h.day} ${h.did}`}>
                {dayInWords(h.day)}: {QUEEN_DEED_WORDS[h.did]}
                {h.colonyId && ` ${apiary.colony[h.colonyId]?.name ?? ''}`}
              </li>
            ))}
          </Box>
        </Box>
      )}
    </Box>
  );
}

import { TourButton } from '../tour/TourButton.tsx';
import { PractiseButton } from '../practice/PractiseButton.tsx';
import { Box, Button, Flex, Heading, Link as Anchor, Text } from '@chakra-ui/react';
import { bothSides } from '@incremen/core/comb';
import { spreadNest } from '@incremen/core/brood';
import { Link } from 'react-router';
import { HiveDrawing } from '../../drawing/HiveDrawing.tsx';

const EXAMPLE = spreadNest(10, { bees: 8, eggs: 0.6, open: 1.2, capped: 2.6, beeBread: 0.8, honey: 2.4 }).map(
  (reading, i) => ({
    id: String(i),
    slot: i + 1,
    reading: i === 4 ? { ...reading, queenSeen: true } : (reading ?? bothSides({ drawn: 10 }, 0)),
    blank: 'drawn' as const,
  }),
);

/** The first thing that a new user sees: what to do, and what it will look like. */
export default function EmptyYard() {
  return (
    <Flex direction={{ base: 'column', md: 'row' }} gap={10} align="center" pt={{ md: 10 }}>
      <Box maxW="30rem">
        <Heading as="h1" fontSize="4xl" lineHeight="1.15" mb={3}>
          Put your first hives on their stands
        </Heading>
        <Text mb={5} fontSize="lg">
          Name a yard, say how many hives stand there and of what kind. Then count one: its frames are drawn
          as you read them, and the rest follows from that.
        </Text>
        <Flex gap={3} wrap="wrap">
          <Button asChild size="lg">
            <Link to="/setup">Set up a yard</Link>
          </Button>
          <Button asChild size="lg" variant="outline" bg="sheet">
            <Link to="/records/counts">Import counts</Link>
          </Button>
        </Flex>
        <Text mt={6} mb={2} fontWeight="600">
          Not yet? Look around first.
        </Text>
        <Flex gap={3} wrap="wrap">
          <TourButton />
          <PractiseButton />
        </Flex>
        <Text mt={6} maxW="30rem" color="inkSoft">
          A phone at the hives, or helpers?{' '}
          <Anchor asChild variant="underline" color="ink">
            <Link to="/people">Make yourself the owner</Link>
          </Anchor>{' '}
          first; that can wait.
        </Text>
      </Box>
      <Box aria-hidden="true" opacity={0.9}>
        <HiveDrawing
          scale={1.5}
          label=""
          queenColour="blue"
          boxes={[{ id: 'x', slots: 10, sizeId: 'langstroth-deep', role: 'brood', frames: EXAMPLE }]}
        />
      </Box>
    </Flex>
  );
}

import { Box, Button, Dialog, Flex, Heading, Portal, Text } from '@chakra-ui/react';
import { spreadNest } from '@incremen/core/brood';
import { bothSides } from '@incremen/core/comb';
import { Crown, Hammer, SearchCheck } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { HiveDrawing } from '../../drawing/HiveDrawing.tsx';
import { StepPicture } from '../../drawing/StepPicture.tsx';
import { WaySketch } from '../../drawing/WaySketch.tsx';

const NEST = spreadNest(10, { bees: 8, eggs: 0.6, open: 1.2, capped: 2.6, beeBread: 0.8, honey: 2.4 }).map(
  (reading, i) => ({
    id: String(i),
    slot: i + 1,
    reading: reading ?? bothSides({ drawn: 10 }, 0),
    blank: 'drawn' as const,
  }),
);

/** The round of the work, one picture each. */
const STOPS: readonly { readonly title: string; readonly says: string; readonly picture: ReactNode }[] = [
  {
    title: 'Count what you see',
    says: 'In a few numbers, or frame by frame. Each hive is then drawn as it hangs: stores above, brood below, bees as a soft glow. Counts age; what you see is the hive as it should be today.',
    picture: (
      <HiveDrawing
        scale={1.3}
        label="A hive as it is drawn"
        boxes={[{ id: 'x', slots: 10, sizeId: 'langstroth-deep', role: 'brood', frames: NEST }]}
      />
    ),
  },
  {
    title: 'Ask what can be done',
    says: 'Today says which hives must be opened, which may be, and which must be left alone, with the reason and the last day that it can wait.',
    picture: <SearchCheck size={96} strokeWidth={1.2} aria-hidden />,
  },
  {
    title: 'Plan the split',
    says: 'Choose a method, or say what you want of the yard. You see which frame goes where, what each part will have once the field bees are home, and which of your rules it meets. Change anything by hand.',
    picture: <WaySketch id="walk-away-halves" scale={1.8} />,
  },
  {
    title: 'Work it off, one step at a time',
    says: 'What to bring, then one step after the other in large letters; gloves stay on, and it works without a signal. If something goes differently, say so, and the rest is planned anew.',
    picture: (
      <Flex direction="column" align="center" gap={4}>
        <Hammer size={64} strokeWidth={1.2} aria-hidden />
        <StepPicture
          boxes={[
            { boxId: 'a', slots: 10, out: [5], into: [] },
            { boxId: 'b', slots: 5, out: [], into: [2] },
          ]}
        />
      </Flex>
    ),
  },
  {
    title: 'Look again on the right day',
    says: 'From the day of the split the dates follow: hands off while she flies, then one look for eggs. Say what you saw, and read what it means and what to do next.',
    picture: <Crown size={96} strokeWidth={1.2} aria-hidden />,
  },
];

/** A minute through the round of the work. It can be left at any picture. */
export default function Tour({ onClose }: { readonly onClose: () => void }) {
  const [at, setAt] = useState(0);
  const stop = STOPS[at];
  if (!stop) return null;
  const isLast = at === STOPS.length - 1;
  return (
    <Dialog.Root open onOpenChange={(e) => !e.open && onClose()} placement="center" size="lg">
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner p={3}>
          <Dialog.Content bg="sheet" p={{ base: 4, md: 6 }} aria-label="Around in five pictures">
            <Flex minH="190px" align="center" justify="center" mb={4} color="accent">
              {stop.picture}
            </Flex>
            <Box minH="9.5rem" aria-live="polite">
              <Heading as="h2" fontSize="2xl" mb={1}>
                {stop.title}
              </Heading>
              <Text fontSize="lg">{stop.says}</Text>
            </Box>
            <Flex justify="space-between" align="center" wrap="wrap" gap={3} mt={4}>
              <Button variant="ghost" onClick={onClose}>
                {isLast ? 'Close' : 'Leave the tour'}
              </Button>
              <Text color="inkSoft">
                {at + 1} of {STOPS.length}
              </Text>
              <Flex gap={2}>
                {at > 0 && (
                  <Button variant="outline" bg="sheet" onClick={() => setAt(at - 1)}>
                    Back
                  </Button>
                )}
                {!isLast && <Button onClick={() => setAt(at + 1)}>Next</Button>}
              </Flex>
            </Flex>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}

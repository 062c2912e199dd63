import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { addDays } from '@incremen/core/basics';
import { shareOf } from '@incremen/core/comb';
import {
  boxesOfColony,
  boxName,
  framesOfBox,
  framesOfColony,
  INSERT_WORDS,
  INSERTS,
  placeInWords,
  readingOf,
  type Box as HiveBox,
  type Colony,
  type Insert,
} from '@incremen/core/records';
import { useState } from 'react';
import { useTell } from '../../shared/telling/useTell.ts';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { DayField } from '../../shared/days/DayField.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { Select } from '../../ui/Select.tsx';

/** A comb with at least so much drone brood is a drone comb (handled apart, cut on a date). */
const DRONE_COMB = 0.3;
/** Drone brood that is capped now emerges within a fortnight at most (Winston 1987: 24 days, capped from day 10). */
const CUT_WITHIN = 10;

/** What takes slots and is no comb, and the drone combs with the day on which they are cut. */
export function BoxThings({ colony }: { readonly colony: Colony }) {
  const apiary = useApiary();
  const boxes = boxesOfColony(apiary, colony);
  return (
    <Box mt={8} display="grid" gap={6} maxW="44rem">
      <Box as="section" aria-label="In slots of their own">
        <SectionHeading>Feeders and boards in the slots</SectionHeading>
        {boxes.map((b) => (
          <Slots key={b.id} box={b} name={boxName(boxes, b.id)} />
        ))}
      </Box>
      <DroneCombs colony={colony} />
    </Box>
  );
}

function Slots({ box, name }: { readonly box: HiveBox; readonly name: string }) {
  const apiary = useApiary();
  const { tell, problems } = useTell();
  const taken = new Set([
    ...framesOfBox(apiary, box.id).map((f) => f.slot),
    ...box.inserts.map((n) => n.slot),
  ]);
  const free = Array.from({ length: box.slots }, (_, i) => i + 1).filter((s) => !taken.has(s));
  const [what, setWhat] = useState<Insert>('frame-feeder');
  const [slot, setSlot] = useState<number | null>(null);
  const at = slot ?? free[0];
  const set = (inserts: HiveBox['inserts'], kept: string) =>
    void tell({ type: 'setInserts', boxId: box.id, inserts }, kept);
  return (
    <Box mb={3}>
      <Text fontWeight="600">{name[0]?.toUpperCase() + name.slice(1)}</Text>
      {box.inserts.map((n) => (
        <Flex key={n.slot} gap={3} align="center">
          <Text>
            Slot {n.slot}: {INSERT_WORDS[n.what]}
          </Text>
          <Button
            size="sm"
            variant="outline"
            bg="sheet"
            aria-label={`Take out: ${INSERT_WORDS[n.what]}, slot ${n.slot}`}
            onClick={() =>
              set(
                box.inserts.filter((k) => k !== n),
                'Taken out',
              )
            }
          >
            Take out
          </Button>
        </Flex>
      ))}
      {at === undefined ? (
        <Text color="inkSoft">Every slot is taken.</Text>
      ) : (
        <Flex gap={2} wrap="wrap" align="center">
          <Select
            fit
            label={`What goes into the ${name}`}
            value={what}
            options={INSERTS.map((i) => [i, INSERT_WORDS[i]])}
            onChange={(i) => setWhat(i as Insert)}
          />
          <Select
            fit
            label={`Slot in the ${name}`}
            value={String(at)}
            options={free.map((s) => [String(s), `slot ${s}`])}
            onChange={(s) => setSlot(Number(s))}
          />
          <Button
            size="sm"
            variant="outline"
            bg="sheet"
            onClick={() => {
              setSlot(null);
              set([...box.inserts, { what, slot: at }], `${INSERT_WORDS[what]} in slot ${at}`);
            }}
          >
            Put it in
          </Button>
        </Flex>
      )}
      <ProblemList problems={problems} />
    </Box>
  );
}

function DroneCombs({ colony }: { readonly colony: Colony }) {
  const apiary = useApiary();
  const today = useToday();
  const { tell } = useTell();
  const combs = framesOfColony(apiary, colony).filter(
    (p) => p.frame.care.cutBy !== null || shareOf(readingOf(p), 'drone') >= DRONE_COMB,
  );
  if (combs.length === 0) return null;
  return (
    <Box as="section" aria-label="Drone combs">
      <SectionHeading>Drone combs</SectionHeading>
      {combs.map((p) => {
        const set = (day: string | null) =>
          void tell(
            {
              type: 'careForCombs',
              frameIds: [p.frame.id],
              day: today,
              change: { what: 'cut-by', day },
            },
            day === null ? 'No day set' : 'The day is in the agenda',
          );
        return (
          <Flex key={p.frame.id} gap={4} wrap="wrap" align="flex-end">
            <Text flex="1 1 200px">{placeInWords(apiary, colony, p.box, p.slot)}</Text>
            <DayField
              label="Cut or freeze by"
              value={p.frame.care.cutBy ?? ''}
              onChange={(day) => set(day === '' ? null : day)}
            />
            {p.frame.care.cutBy === null && (
              <Button size="sm" variant="outline" bg="sheet" onClick={() => set(addDays(today, CUT_WITHIN))}>
                In {CUT_WITHIN} days
              </Button>
            )}
          </Flex>
        );
      })}
    </Box>
  );
}

import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { isInspection } from '@incremen/core/followup';
import { dayInWords } from '@incremen/core/basics';
import { openFollowUps, type Yard } from '@incremen/core/records';
import type { ColonyState } from '@incremen/core/colony';
import { useDeferredValue } from 'react';
import { Link } from 'react-router';
import { useAppSelector } from '../../state/store.ts';
import { drawnBoxesOf } from '../../drawing/drawnBoxes.ts';
import { HiveDrawing, hiveInWords } from '../../drawing/HiveDrawing.tsx';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { BoardDay } from '../../shared/colonies/BoardDay.tsx';
import { queenColour } from '../../shared/colonies/ColonyCard.tsx';
import EmptyYard from '../../shared/colonies/EmptyYard.tsx';
import { LANES } from '../../shared/colonies/lanes.ts';
import { useColoniesOn } from '../../shared/colonies/useColoniesOn.ts';
import { YardTabs } from '../../shared/colonies/YardTabs.tsx';
import common from '../../ui/common.module.css';
import { YardTotals } from '../../shared/colonies/YardTotals.tsx';

/** All yards at a glance: what each amounts to, what is due, and its hives drawn small. */
export function YardsPage() {
  const apiary = useApiary();
  const offset = useDeferredValue(useAppSelector((s) => s.board.offset));
  const yards = Object.values(apiary.yard).toSorted((a, b) => a.name.localeCompare(b.name));
  if (yards.length === 0) return <EmptyYard />;
  return (
    <Box>
      <PageHeader title="All yards">
        <Button asChild variant="outline" bg="sheet">
          <Link to="/spares">Spares for the winter</Link>
        </Button>
        <YardTabs yards={yards} current={null} />
      </PageHeader>
      <BoardDay />
      <Box as="ul" listStyleType="none" display="grid" gap={5} mt={4}>
        {yards.map((y) => (
          <YardRow key={y.id} yard={y} offset={offset} />
        ))}
      </Box>
    </Box>
  );
}

function YardRow({ yard, offset }: { readonly yard: Yard; readonly offset: number | null }) {
  const apiary = useApiary();
  const today = useToday();
  const { states } = useColoniesOn(yard.id, offset);
  const here = new Set(states.map((s) => s.colony.id));
  const looks = openFollowUps(apiary).filter(
    (f) => isInspection(f) && f.colonyIds.some((id) => here.has(id)),
  );
  const due = looks.filter((f) => f.window.likely <= today);
  const next = looks.find((f) => f.window.likely > today);
  const urgent = states.filter((s) => s.notice.urgent);
  return (
    <Box as="li" borderTopWidth="2px" borderColor="line" pt={3}>
      <Flex align="baseline" gap={4} wrap="wrap">
        <Heading as="h2" fontSize="xl">
          <Link to={`/yards/${yard.id}`}>{yard.name}</Link>
        </Heading>
        <Link className={common.inlineLink} to={`/yards/${yard.id}/stands`}>
          Stands
        </Link>
        <Link className={common.inlineLink} to={`/yards/${yard.id}/season`}>
          The year
        </Link>
        <Link className={common.inlineLink} to={`/yards/${yard.id}/sheets`}>
          Sheets to print
        </Link>
        <Box color="inkSoft">
          <YardTotals states={states} />
        </Box>
      </Flex>
      <Flex columnGap={5} rowGap={0} wrap="wrap" mt={1}>
        {due.length > 0 && (
          <Text color="alarm" fontWeight="700">
            {count(due.length, 'inspection')} due
          </Text>
        )}
        {urgent.map((s) => (
          <Text key={s.colony.id} color="alarm">
            {s.colony.name}: {s.notice.words}
          </Text>
        ))}
        {due.length === 0 && urgent.length === 0 && (
          <Text color="inkSoft">
            Nothing urgent{next ? `; next inspection ${dayInWords(next.window.likely)}` : ''}.
          </Text>
        )}
      </Flex>
      <Flex columnGap={6} rowGap={3} wrap="wrap" mt={2} align="flex-end">
        {LANES.map(({ lane, title }) => {
          const inLane = states.filter((s) => s.lane === lane);
          return inLane.length === 0 ? null : (
            <Box key={lane}>
              <Flex gap={2} align="flex-end" wrap="wrap">
                {inLane.map((s) => (
                  <SmallHive key={s.colony.id} state={s} />
                ))}
              </Flex>
              <Text fontSize="sm" color="inkSoft" borderTopWidth="1px" borderColor="line" mt={1}>
                {title}, {inLane.length}
              </Text>
            </Box>
          );
        })}
      </Flex>
    </Box>
  );
}

function SmallHive({ state }: { readonly state: ColonyState }) {
  const apiary = useApiary();
  const { colony } = state;
  const boxes = drawnBoxesOf(apiary, colony, state.frames);
  return (
    <Link to={`/colonies/${colony.id}`}>
      <Text fontSize="sm" fontWeight="600" lineHeight="1.2">
        {colony.name}
      </Text>
      <HiveDrawing
        boxes={boxes}
        queenColour={queenColour(state)}
        label={hiveInWords(colony.name, boxes)}
        scale={0.45}
      />
    </Link>
  );
}

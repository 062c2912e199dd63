import { Box, Button, Flex, Input, Tabs, Text } from '@chakra-ui/react';
import { boxesOfColony, boxName, sharedBoxesOf, type Colony } from '@incremen/core';
import { Save, Undo2 } from 'lucide-react';
import { Link, useParams, useSearchParams } from 'react-router';
import { RouteError } from '../../app/RouteError.tsx';
import { useApiary, useOperation, useToday } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { SeenForm } from '../seen/SeenForm.tsx';
import { FrameMode } from './FrameMode.tsx';
import { forgetDraft } from './keptDraft.ts';
import { LineMode } from './LineMode.tsx';
import { QuickMode } from './QuickMode.tsx';
import { useCount } from './useCount.ts';

const MODES = [
  { id: 'frames', label: 'Frames' },
  { id: 'quick', label: 'Quick' },
  { id: 'line', label: 'Line' },
  { id: 'seen', label: 'Seen' },
] as const;

/** The recorder: frame after frame, in a few numbers, as a line of shorthand, and what was seen besides. */
export function CountPage() {
  const apiary = useApiary();
  const { colonyId = '' } = useParams();
  const colony = apiary.colony[colonyId];
  if (!colony || colony.endedOn !== null) return <RouteError missing />;
  return <Recorder key={colony.id} colony={colony} />;
}

function Recorder({ colony }: { readonly colony: Colony }) {
  const apiary = useApiary();
  const { units } = useOperation();
  const today = useToday();
  const [params, setParams] = useSearchParams();
  const mode = MODES.find((m) => m.id === params.get('by'))?.id ?? 'frames';
  const counting = useCount(colony);
  const { draft, act, seen, setSeen, day, setDay, problems, busy } = counting;
  const boxes = boxesOfColony(apiary, colony);
  const all = [...boxes, ...sharedBoxesOf(apiary, colony).filter((s) => !boxes.some((b) => b.id === s.id))];
  const boxLabel = (id: string) => (boxes.some((b) => b.id === id) ? boxName(boxes, id) : 'super in common');
  const frame = draft.frames[draft.at];
  const atFrame = problems.filter(
    (p) => p.path[0] === 'readings' && counting.readIds[Number(p.path[1])] === frame?.frameId,
  );
  return (
    <Tabs.Root
      value={mode}
      onValueChange={(e) => setParams({ by: e.value }, { replace: true })}
      variant="plain"
      lazyMount
      unmountOnExit
    >
      <PageHeader
        title={`Count ${colony.name}`}
        aside={frame && mode === 'frames' ? `${boxLabel(frame.boxId)}, frame ${frame.slot}` : undefined}
      >
        <Tabs.List gap={0} borderWidth="1px" borderRadius="lg" p="3px" bg="sunk" aria-label="How to count">
          {MODES.map((m) => (
            <Tabs.Trigger
              key={m.id}
              value={m.id}
              minH="40px"
              px={{ base: 1.5, md: 4 }}
              borderRadius="md"
              color="ink"
              _selected={{ bg: 'sheet', fontWeight: '700', boxShadow: 'xs' }}
            >
              {m.label}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Button
          variant="outline"
          bg="sheet"
          minH="48px"
          px={3}
          aria-label="Undo"
          onClick={() => (mode === 'seen' ? counting.undoSeen?.() : act({ do: 'undo' }))}
          disabled={mode === 'seen' ? counting.undoSeen === null : draft.past.length === 0}
        >
          <Undo2 size={20} aria-hidden />
        </Button>
        <Button
          minH="48px"
          px={{ base: 2.5, md: 4 }}
          aria-label={counting.saveLabel}
          onClick={() => void counting.save()}
          disabled={!counting.saysSomething}
          loading={busy}
        >
          <Save size={20} aria-hidden />
          <Box as="span" display={{ base: 'none', md: 'inline' }}>
            {counting.saveLabel}
          </Box>
          <Box as="span" display={{ md: 'none' }}>
            {counting.readIds.length}
          </Box>
        </Button>
      </PageHeader>
      <ProblemList problems={problems.filter((p) => p.path[0] !== 'day' && !atFrame.includes(p))} />
      <Tabs.Content value="frames" p={0}>
        {draft.frames.length === 0 ? (
          <Text>
            No frame hangs in this hive. <Link to={`/colonies/${colony.id}/hive`}>Put some in</Link>, or write
            down what you saw.
          </Text>
        ) : (
          <FrameMode draft={draft} act={act} boxes={all} boxLabel={boxLabel} problems={atFrame} />
        )}
      </Tabs.Content>
      <Tabs.Content value="quick" p={0}>
        <QuickMode draft={draft} act={act} boxes={all} />
      </Tabs.Content>
      <Tabs.Content value="line" p={0}>
        <LineMode draft={draft} act={act} boxes={all} />
      </Tabs.Content>
      <Tabs.Content value="seen" p={0}>
        <SeenForm
          seen={seen}
          onChange={setSeen}
          colonyName={colony.name}
          units={units}
          frames={draft.frames.map((f) => ({ id: f.frameId, name: `${boxLabel(f.boxId)}, frame ${f.slot}` }))}
        />
      </Tabs.Content>
      <Flex gap={4} mt={5} wrap="wrap" align="flex-end">
        <Text as="label" fontWeight="600" display="block">
          Counted on
          <Input
            type="date"
            bg="sheet"
            minH="44px"
            display="block"
            value={day}
            onChange={(e) => setDay(e.target.value)}
            aria-invalid={counting.dayProblems.length > 0}
          />
        </Text>
        {day !== today && (
          <Button variant="outline" bg="sheet" minH="44px" onClick={() => setDay(today)}>
            Today
          </Button>
        )}
        {counting.resumed && (
          <Text color="inkSoft" pb={2}>
            This count was begun earlier on this device and goes on where it stopped.{' '}
            <Link
              to={`/colonies/${colony.id}`}
              onClick={() => forgetDraft(colony.id)}
              style={{ textDecoration: 'underline' }}
            >
              Give it up
            </Link>
          </Text>
        )}
      </Flex>
      <Box mt={2}>
        <ProblemList problems={counting.dayProblems} />
      </Box>
    </Tabs.Root>
  );
}

import { Box, Button, Flex, Grid, Input, Text } from '@chakra-ui/react';
import { boxName, boxesOfColony, framesOfColony, type Colony, type Problem } from '@incremen/core';
import { Undo2 } from 'lucide-react';
import { useEffect, useReducer, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { HiveDrawing, hiveSize, type DrawnBox } from '../../drawing/HiveDrawing.tsx';
import { SLAT } from '../../drawing/Slat.tsx';
import { takeBack } from '../../mirror/actions.ts';
import { useApiary, useSend, useToday } from '../../mirror/hooks.ts';
import { useAppDispatch } from '../../app/store.ts';
import { RouteError } from '../../app/RouteError.tsx';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { toaster } from '../../ui/toaster.tsx';
import { actionOfKey, countStep, startCount, type CountDraft } from './countDraft.ts';
import { forgetDraft, keepDraft, keptDraft } from './keptDraft.ts';
import { FrameInHand } from './FrameInHand.tsx';
import { Questions } from './Questions.tsx';

/** The recorder: frame after frame, three taps or keys each. */
export function CountPage() {
  const apiary = useApiary();
  const { colonyId = '' } = useParams();
  const colony = apiary.colony[colonyId];
  if (!colony || colony.endedOn !== null) return <RouteError missing />;
  return <Recorder key={colony.id} colony={colony} />;
}

function Recorder({ colony }: { readonly colony: Colony }) {
  const apiary = useApiary();
  const today = useToday();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { send, problems, busy } = useSend();
  const [begun] = useState(() => {
    const placed = framesOfColony(apiary, colony);
    const fresh = startCount(
      placed.map((p) => ({
        frameId: p.frame.id,
        boxId: p.box.id,
        slot: p.slot,
        last: p.reading?.body ?? null,
      })),
    );
    const kept = keptDraft(
      colony.id,
      placed.map((p) => p.frame.id),
    );
    return {
      draft: kept ? { ...fresh, ...kept.draft } : fresh,
      day: kept?.day ?? today,
      note: kept?.note ?? '',
      resumed: kept !== undefined,
    };
  });
  const [draft, act] = useReducer(countStep, begun.draft);
  const [day, setDay] = useState(begun.day);
  const [note, setNote] = useState(begun.note);
  const boxes = boxesOfColony(apiary, colony);
  const read = draft.frames.filter((f) => f.reading !== null);

  useEffect(() => {
    if (read.length > 0 || note !== '') keepDraft(colony.id, day, note, draft);
  }, [colony.id, day, note, draft, read.length]);

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const typing =
        e.target instanceof HTMLElement && e.target.closest('input:not([type=radio]), textarea, select');
      if (typing || e.ctrlKey || e.metaKey || e.altKey) return;
      if (e.key === 'Enter' && e.target instanceof HTMLElement && e.target.closest('button, a')) return;
      const action = actionOfKey(draft, e.key);
      if (!action) return;
      e.preventDefault();
      act(action);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [draft]);

  async function save() {
    const sent = await send({
      type: 'recordCount',
      visitId: crypto.randomUUID(),
      colonyId: colony.id,
      day,
      note,
      readings: read.map((f) => ({ id: crypto.randomUUID(), frameId: f.frameId, body: f.reading as never })),
    });
    if (!sent.ok) return;
    forgetDraft(colony.id);
    toaster.create({
      title: `${colony.name}: ${count(read.length, 'frame')} counted`,
      action: { label: 'Take back', onClick: () => void dispatch(takeBack(sent.entryId)) },
    });
    await navigate(`/colonies/${colony.id}`);
  }

  const frame = draft.frames[draft.at];
  const dayProblems = problems.filter((p) => p.path[0] === 'day');
  return (
    <Box>
      <PageHeader
        title={`Count ${colony.name}`}
        aside={frame ? `${boxName(boxes, frame.boxId)}, frame ${frame.slot}` : undefined}
      >
        <Button
          variant="outline"
          bg="sheet"
          minH="44px"
          onClick={() => act({ do: 'undo' })}
          disabled={draft.past.length === 0}
        >
          <Undo2 size={18} aria-hidden /> Undo
        </Button>
        <Button minH="44px" onClick={() => void save()} disabled={read.length === 0} loading={busy}>
          Save {read.length} of {draft.frames.length}
        </Button>
      </PageHeader>
      {begun.resumed && (
        <Text mb={3} color="inkSoft">
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
      <Grid
        columnGap={{ base: 3, lg: 7 }}
        rowGap={{ base: 2, lg: 3 }}
        templateColumns={{ base: '1fr 128px', md: '200px 300px 1fr', lg: '230px 330px 1fr' }}
        templateRows={{ md: 'auto 1fr' }}
        templateAreas={{
          base: '"strip faces" "marks marks" "ask ask"',
          md: '"strip faces ask" "strip marks ask"',
        }}
        alignItems="start"
      >
        <Box gridArea="strip">
          <FramePicker
            draft={draft}
            boxes={drawn(draft, boxes)}
            go={(to) => act({ do: 'go', to })}
            label={(id) => boxName(boxes, id)}
          />
        </Box>
        <FrameInHand
          draft={draft}
          act={act}
          problems={framesProblems(
            problems,
            read.map((f) => f.frameId),
            frame?.frameId,
          )}
        />
        <Questions draft={draft} act={act} />
      </Grid>
      <Flex gap={4} mt={5} wrap="wrap" align="flex-start">
        <Box>
          <Text as="label" fontWeight="600" display="block">
            Counted on
            <Input
              type="date"
              bg="sheet"
              minH="44px"
              display="block"
              value={day}
              onChange={(e) => setDay(e.target.value)}
              aria-invalid={dayProblems.length > 0}
            />
          </Text>
          <ProblemList problems={dayProblems} />
        </Box>
        <Text as="label" fontWeight="600" flex="1 1 260px">
          Note
          <Input
            bg="sheet"
            minH="44px"
            display="block"
            value={note}
            onChange={(e) => setNote(e.target.value)}
            maxLength={4000}
          />
        </Text>
      </Flex>
      <Box mt={3}>
        <ProblemList problems={problems.filter((p) => p.path[0] !== 'day')} />
      </Box>
      <Text mt={4} color="inkSoft" fontSize="sm" display={{ base: 'none', md: 'block' }}>
        Keys: a letter for what it mostly is, then 1–4 for quarters of the frame, then 0–4 for quarters
        covered with bees. L takes the last reading, P the previous frame, Q marks the queen, U undoes, arrows
        move.
      </Text>
    </Box>
  );
}

function framesProblems(
  problems: readonly Problem[],
  readIds: readonly string[],
  current: string | undefined,
): Problem[] {
  return problems.filter((p) => p.path[0] === 'readings' && readIds[Number(p.path[1])] === current);
}

function drawn(draft: CountDraft, boxes: ReturnType<typeof boxesOfColony>): DrawnBox[] {
  return boxes.map((b) => ({
    id: b.id,
    slots: b.slots,
    sizeId: b.sizeId,
    role: b.role,
    frames: draft.frames
      .filter((f) => f.boxId === b.id)
      .map((f) => ({
        id: f.frameId,
        slot: f.slot,
        reading: f.reading,
        blank: 'drawn' as const,
        ...(f.frameId === draft.frames[draft.at]?.frameId ? { outline: 'var(--chakra-colors-accent)' } : {}),
      })),
  }));
}

/** The hive so far; a tap on a slat goes to its frame. On phones only the box in hand is shown. */
function FramePicker({
  draft,
  boxes,
  go,
  label,
}: {
  readonly draft: CountDraft;
  readonly boxes: readonly DrawnBox[];
  readonly go: (to: number) => void;
  readonly label: (boxId: string) => string;
}) {
  const current = draft.frames[draft.at];
  return (
    <Box display="grid" gap={3}>
      {boxes.toReversed().map((box) => {
        const first = draft.frames.findIndex((f) => f.boxId === box.id);
        const here = box.id === current?.boxId;
        const slot = here ? current.slot : 1;
        return (
          <Box
            key={box.id}
            display={{ base: here ? 'block' : 'none', lg: 'block' }}
            role="slider"
            tabIndex={0}
            aria-label={`Frame of the ${label(box.id)}`}
            aria-valuemin={1}
            aria-valuemax={box.slots}
            aria-valuenow={slot}
            aria-valuetext={here ? `frame ${slot}${current.reading ? ', read' : ''}` : 'not in hand'}
            cursor="pointer"
            onFocus={() => !here && first >= 0 && go(first)}
            onClick={(e) => {
              const at = draft.frames.findIndex((f) => f.boxId === box.id && f.slot === slotAt(e, box.slots));
              if (at >= 0) go(at);
            }}
          >
            <HiveDrawing boxes={[box]} label={`${label(box.id)} so far`} fill />
            <Grid
              aria-hidden
              templateColumns={`repeat(${box.slots}, 1fr)`}
              px={`${100 * sideShare(box.slots)}%`}
              textAlign="center"
              fontSize="xs"
            >
              {box.frames.map((f) => (
                <Box
                  key={f.id}
                  gridColumn={f.slot}
                  borderRadius="md"
                  color={f.reading ? 'ink' : 'inkSoft'}
                  {...(f.id === current?.frameId ? { bg: 'accent', color: 'paper', fontWeight: '700' } : {})}
                >
                  {f.slot}
                </Box>
              ))}
            </Grid>
          </Box>
        );
      })}
    </Box>
  );
}

/** The slot under a tap on the drawing of a box. */
function slotAt(e: React.MouseEvent<HTMLElement>, slots: number): number {
  const { left, width } = e.currentTarget.getBoundingClientRect();
  const side = sideShare(slots);
  return Math.ceil((((e.clientX - left) / width - side) / (1 - 2 * side)) * slots);
}

/** Share of the drawing's width that lies beside the outermost slats, on each side. */
function sideShare(slots: number): number {
  const { width } = hiveSize([{ id: '', slots, sizeId: 'langstroth-deep', role: 'brood', frames: [] }]);
  return (width - slots * SLAT.pitch) / 2 / width;
}

import { Box, Button, Flex, Heading, Input, Text } from '@chakra-ui/react';
import {
  colonyOfFrame,
  frameInWords,
  type Command,
  type WorkReport,
  type WorkStep,
} from '@incremen/core/records';
import { useId, useState } from 'react';
import { useApiary, useSend } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { FrameChoice } from './FrameChoice.tsx';
import { RepairPreview } from './RepairPreview.tsx';
import { useRepair } from './useRepair.ts';

/** What can turn out other than planned. */
const WHAT = [
  { id: 'frame-went', label: 'A frame went elsewhere, or stayed' },
  { id: 'queen-found', label: 'The queen was found' },
  { id: 'cell-reserved', label: 'A cell was chosen' },
  { id: 'cell-broken', label: 'A cell broke' },
  { id: 'virgin-seen', label: 'A virgin was seen' },
  { id: 'unit-added', label: 'One more nuc was made' },
] as const satisfies readonly { id: WorkReport['what']; label: string }[];

/** A unit of the plan, or a colony that frames may have gone to. */
export interface ReportUnit {
  readonly colonyId: string;
  readonly name: string;
}

/** What was really done, the plan that follows from it, and only then the change. */
export function ReportPanel({
  workId,
  current,
  units,
  onClose,
}: {
  readonly workId: string;
  /** The step that is to be done: its frame is the one that is meant, unless another is chosen. */
  readonly current: WorkStep | null;
  readonly units: readonly ReportUnit[];
  readonly onClose: () => void;
}) {
  const apiary = useApiary();
  const { send, problems, busy } = useSend();
  const frameNow = current?.frameIds.length === 1 ? (current.frameIds[0] ?? null) : null;
  const [what, setWhat] = useState<WorkReport['what']>(() => likelyWhat(current));
  const old = units.filter((u) => apiary.colony[u.colonyId]);
  const others = Object.values(apiary.colony)
    .filter((c) => c.endedOn === null && c.hiveId !== null && !units.some((u) => u.colonyId === c.id))
    .map((c) => ({ colonyId: c.id, name: c.name }));
  const [from, setFrom] = useState(
    (frameNow ? colonyOfFrame(apiary, frameNow)?.id : undefined) ?? old[0]?.colonyId ?? '',
  );
  const [frames, setFrames] = useState<readonly string[]>(frameNow ? [frameNow] : []);
  const [to, setTo] = useState<string | null>(null);
  const [name, setName] = useState('');
  const nameId = useId();
  const report = reportOf({ what, from, frames, to, name });
  const repair = useRepair(workId, report);
  const several = what === 'unit-added';
  const toggle = (id: string) => {
    if (several) setFrames(frames.includes(id) ? frames.filter((f) => f !== id) : [...frames, id]);
    else setFrames(frames.includes(id) ? [] : [id]);
  };

  async function takeOver(command: Command) {
    const sent = await send(command);
    if (sent.ok) onClose();
  }

  return (
    <Box as="section" aria-label="What you actually did" display="grid" gap={4}>
      <Heading as="h2" fontSize="xl">
        What did you actually do?
      </Heading>
      <Choice
        label="What happened"
        hideLabel
        value={what}
        options={WHAT}
        onChange={(id) => {
          setWhat(id);
          if (id === 'unit-added') setFrames([]);
        }}
      />
      {what !== 'virgin-seen' && (
        <Box>
          {old.length > 1 && (
            <Unit
              label="Hive that it comes from"
              units={old}
              value={from}
              onChange={(id) => {
                setFrom(id);
                setFrames([]);
              }}
            />
          )}
          <Text fontWeight="600" mt={2} mb={1}>
            {WHICH[what]}
          </Text>
          <FrameChoice colonyId={from} chosen={frames} onToggle={toggle} />
          <Text fontSize="sm" color="inkSoft" mt={1}>
            {frames.length === 1
              ? `${frameInWords(apiary, frames[0] ?? '')}: numbers as before the work.`
              : 'Numbers as before the work.'}
          </Text>
        </Box>
      )}
      {(what === 'frame-went' ||
        what === 'virgin-seen' ||
        (what === 'queen-found' && frames.length === 0)) && (
        <Unit
          label={what === 'frame-went' ? 'Hangs now in' : 'Seen in'}
          units={units.map((u) =>
            what === 'frame-went' && u.colonyId === from ? { ...u, name: `It stayed in ${u.name}` } : u,
          )}
          others={what === 'frame-went' ? others : []}
          value={to}
          onChange={setTo}
        />
      )}
      {several && (
        <Box>
          <Text as="label" {...{ htmlFor: nameId }} fontWeight="600" display="block" mb={1}>
            Name of the new nuc
          </Text>
          <Input
            id={nameId}
            bg="sheet"
            minH="48px"
            maxW="20rem"
            value={name}
            maxLength={80}
            onChange={(e) => setName(e.target.value)}
          />
        </Box>
      )}
      <ProblemList problems={[...repair.problems, ...problems]} />
      {repair.command && <RepairPreview workId={workId} command={repair.command} />}
      <Flex gap={2} wrap="wrap">
        <Button
          minH="56px"
          disabled={!repair.command}
          loading={busy || repair.busy}
          onClick={() => repair.command && void takeOver(repair.command)}
        >
          Yes, continue
        </Button>
        <Button variant="outline" bg="sheet" minH="56px" onClick={onClose}>
          Back to the steps
        </Button>
      </Flex>
    </Box>
  );
}

/** What is most likely to be told at a step. */
function likelyWhat(current: WorkStep | null): WorkReport['what'] {
  if (current?.frameIds.length === 1) return 'frame-went';
  return current?.task === 'keep-cell' ? 'cell-reserved' : 'queen-found';
}

const WHICH: Readonly<Record<Exclude<WorkReport['what'], 'virgin-seen'>, string>> = {
  'frame-went': 'Which frame?',
  'queen-found': 'On which frame? None: beside the frames.',
  'cell-reserved': 'On which frame? It is not carried and not shaken any more.',
  'cell-broken': 'On which frame?',
  'unit-added': 'Of which frames?',
};

function reportOf({
  what,
  from,
  frames,
  to,
  name,
}: {
  what: WorkReport['what'];
  from: string;
  frames: readonly string[];
  to: string | null;
  name: string;
}): WorkReport | null {
  const [frameId] = frames;
  switch (what) {
    case 'frame-went':
      return frameId && to ? { what, frameId, toColonyId: to, slot: null } : null;
    case 'queen-found':
      if (frameId) return { what, colonyId: from, frameId };
      return to ? { what, colonyId: to, frameId: null } : null;
    case 'cell-reserved':
    case 'cell-broken':
      return frameId ? { what, frameId } : null;
    case 'virgin-seen':
      return to ? { what, colonyId: to } : null;
    case 'unit-added':
      return frames.length > 0 && name.trim() !== ''
        ? { what, fromColonyId: from, name: name.trim(), frameIds: [...frames] }
        : null;
  }
}

function Unit({
  label,
  units,
  others = [],
  value,
  onChange,
}: {
  readonly label: string;
  readonly units: readonly ReportUnit[];
  /** Colonies that have no part in the plan. */
  readonly others?: readonly ReportUnit[];
  readonly value: string | null;
  readonly onChange: (colonyId: string) => void;
}) {
  const [more, setMore] = useState(false);
  const shown = more ? [...units, ...others] : units;
  return (
    <Box>
      <Choice
        label={label}
        value={value}
        options={shown.map((u) => ({ id: u.colonyId, label: u.name }))}
        onChange={onChange}
      />
      {others.length > 0 && !more && (
        <Button variant="ghost" mt={1} onClick={() => setMore(true)}>
          Another colony…
        </Button>
      )}
    </Box>
  );
}

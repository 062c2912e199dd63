import {
  boxesOfColony,
  boxesOfHive,
  framesOfColony,
  noEvidence,
  saysAnything,
  sharedFramesOf,
  type Apiary,
  type Colony,
  type Command,
} from '@incremen/core/records';
import type { Problem } from '@incremen/core/basics';
import { useLayoutEffect, useReducer, useState } from 'react';
import { useNavigate } from 'react-router';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { takeBack } from '../../mirror/actions.ts';
import { useApiary, useSend, useToday } from '../../mirror/hooks.ts';
import { afterPaint } from '../../ui/afterPaint.ts';
import { count } from '../../ui/format.ts';
import { toaster } from '../../ui/toaster.tsx';
import { forgetPhoto } from '../../shared/photos/keptPhotos.ts';
import { NO_CONDITIONS } from '../../shared/evidence/ConditionsFields.tsx';
import type { Seen } from '../../shared/evidence/SeenForm.tsx';
import { dayToCome } from '../../ui/dayToCome.ts';
import {
  countStep,
  quickProblems,
  startCount,
  stateOf,
  type CountDraft,
} from '../../shared/counting/countDraft.ts';
import { forgetDraft, keepDraft, keptDraft } from '../../shared/counting/keptDraft.ts';

/** Pictures that were taken away before the visit was saved are no longer needed by undo. */
function forgetPhotosLeftOut(past: readonly Seen[], saved: Seen): void {
  const kept = new Set(saved.photos.map((p) => p.id));
  for (const id of new Set(past.flatMap((s) => s.photos.map((p) => p.id)))) {
    if (!kept.has(id)) void forgetPhoto(id);
  }
}

/** Steps back that are kept of what was seen. */
const SEEN_MEMORY = 60;

/** A count of one colony under way: the draft, what was seen besides, and how to save both. */
export function useCount(colony: Colony) {
  const apiary = useApiary();
  const today = useToday();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const clockOffsetMs = useAppSelector((s) => s.mirror.clockOffsetMs);
  const { send, problems, busy } = useSend();
  const [begun] = useState(() => begin(apiary, colony, today));
  const [draft, act] = useReducer(countStep, begun.draft);
  const [day, setDay] = useState(begun.day);
  const [seen, changeSeen] = useState<Seen>(begun.seen);
  const [pastSeen, setPastSeen] = useState<readonly Seen[]>([]);
  const read = draft.frames.filter((f) => f.reading !== null);
  const estimated = draft.frames.filter((f) => f.from === 'spread').length;
  const more = seen.note !== '' || seen.photos.length > 0 || saysAnything(seen.evidence);
  const saysSomething = read.length > 0 || saysAnything(seen.evidence);
  const { openedAt } = begun;

  const worthKeeping = read.length > 0 || more || draft.text !== '';
  // With what is shown, not some time after it: a page that is closed in between would lose it.
  useLayoutEffect(() => {
    if (!worthKeeping) return undefined;
    return afterPaint(() => keepDraft(colony.id, { day, state: stateOf(draft), seen, openedAt }));
  }, [colony.id, day, draft, seen, openedAt, worthKeeping]);

  function setSeen(next: Seen) {
    // A note is typed letter by letter and taken back as a whole.
    const onlyNote =
      next.evidence === seen.evidence && next.photos === seen.photos && next.note !== seen.note;
    const noteBegun = onlyNote && pastSeen.length > 0 && pastSeen.at(-1)?.evidence === seen.evidence;
    if (!noteBegun) setPastSeen([...pastSeen, seen].slice(-SEEN_MEMORY));
    changeSeen(next);
  }

  function undoSeen() {
    const back = pastSeen.at(-1);
    if (!back) return;
    changeSeen(back);
    setPastSeen(pastSeen.slice(0, -1));
  }

  async function save() {
    const sent = await send(commandOf({ colony, day, today, draft, seen, openedAt, clockOffsetMs }));
    if (!sent.ok) return;
    forgetDraft(colony.id);
    forgetPhotosLeftOut(pastSeen, seen);
    toaster.create({
      title: `${colony.name}: ${read.length > 0 ? `${count(read.length, 'frame')} counted` : 'noted'}`,
      action: { label: 'Undo', onClick: () => void dispatch(takeBack(sent.entryId)) },
    });
    await navigate(`/colonies/${colony.id}`);
  }

  const future = dayToCome('The count', day, today);
  return {
    draft,
    act,
    day,
    setDay,
    seen,
    setSeen,
    undoSeen: pastSeen.length > 0 ? undoSeen : null,
    save,
    busy,
    resumed: begun.resumed,
    /** The frames that will be saved, in the order in which problems name them. */
    readIds: read.map((f) => f.frameId),
    saysSomething: saysSomething && future.length === 0 && quickProblems(draft).length === 0,
    saveLabel:
      estimated > 0
        ? `Save, ${count(estimated, 'frame')} estimated`
        : read.length > 0
          ? `Save ${read.length} of ${draft.frames.length}`
          : 'Save inspection',
    problems: problems.map(withoutBatch),
    dayProblems: [...problems.map(withoutBatch).filter((p) => p.path[0] === 'day'), ...future],
  };
}

/** The visit as one command: the count, what was seen besides, and the photos, all or nothing. */
function commandOf({
  colony,
  day,
  today,
  draft,
  seen,
  openedAt,
  clockOffsetMs,
}: Pick<Begun, 'draft' | 'day' | 'seen' | 'openedAt'> & {
  readonly colony: Colony;
  readonly today: string;
  readonly clockOffsetMs: number;
}): Command {
  const visitId = crypto.randomUUID();
  const now = Date.now();
  // A count written up later tells nothing of the time of day or how long the hive was open.
  const atTheHive = day === today;
  const { evidence, conditions, note } = seen;
  const minutesOpen = conditions.minutesOpen ?? (atTheHive ? minutesBetween(openedAt, now) : null);
  const counted: Command = {
    type: 'recordCount',
    visitId,
    colonyId: colony.id,
    day,
    note,
    time: atTheHive ? timeOf(new Date(now + clockOffsetMs)) : null,
    evidence: saysAnything(evidence) ? evidence : null,
    conditions: { ...conditions, minutesOpen },
    newIds: Array.from({ length: 12 }, () => crypto.randomUUID()),
    readings: draft.frames.flatMap((f) =>
      f.reading
        ? [{ id: crypto.randomUUID(), frameId: f.frameId, body: f.reading as never, replaces: f.lastId }]
        : [],
    ),
  };
  const photos = seen.photos.map((p): Command => ({
    type: 'addPhoto',
    photo: { ...p, visitId, takenOn: day, mediaType: 'image/jpeg', caption: '' },
  }));
  return photos.length > 0 ? { type: 'batch', commands: [counted, ...photos] as never } : counted;
}

/** Problems of a count that went with its photos name their place inside the batch. */
function withoutBatch(p: Problem): Problem {
  return p.path[0] === 'commands' ? { ...p, path: p.path.slice(2) } : p;
}

const minutesBetween = (from: number, to: number) =>
  Math.min(600, Math.max(0, Math.round((to - from) / 60_000)));
const two = (n: number) => String(n).padStart(2, '0');
const timeOf = (at: Date) => `${two(at.getHours())}:${two(at.getMinutes())}`;

interface Begun {
  readonly draft: CountDraft;
  readonly day: string;
  readonly seen: Seen;
  readonly openedAt: number;
  readonly resumed: boolean;
}

function begin(apiary: Apiary, colony: Colony, today: string): Begun {
  const placed = [...framesOfColony(apiary, colony), ...sharedFramesOf(apiary, colony)];
  const hive = colony.hiveId === null ? [] : boxesOfHive(apiary, colony.hiveId);
  const firstExcluder = hive.findIndex((b) => b.excluderBelow);
  const own = new Set([...boxesOfColony(apiary, colony).map((b) => b.id), ...placed.map((p) => p.box.id)]);
  const fresh = startCount(
    placed.map((p) => ({
      frameId: p.frame.id,
      boxId: p.box.id,
      slot: p.slot,
      last: p.reading?.body ?? null,
      lastId: p.reading?.id ?? null,
    })),
    hive.flatMap((b, i) =>
      own.has(b.id)
        ? [
            {
              id: b.id,
              sizeId: b.sizeId,
              brood: b.role === 'brood' && (firstExcluder < 0 || i < firstExcluder),
            },
          ]
        : [],
    ),
  );
  const kept = keptDraft(
    colony.id,
    placed.map((p) => p.frame.id),
  );
  return {
    draft: kept ? { ...fresh, ...kept.state } : fresh,
    day: kept?.day ?? today,
    seen: kept?.seen ?? {
      evidence: noEvidence(placed.length),
      conditions: NO_CONDITIONS,
      photos: [],
      note: '',
    },
    openedAt: kept?.openedAt ?? Date.now(),
    resumed: kept !== undefined,
  };
}

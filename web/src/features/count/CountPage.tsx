import { useUndoKeys } from '../../ui/useUndoKeys.ts';
import { useAwake } from '../../ui/useAwake.ts';
import { Box, Button, Text } from '@chakra-ui/react';
import {
  boxesOfColony,
  boxName,
  saysAnything,
  sharedBoxesOf,
  type Colony,
  type Evidence,
} from '@incremen/core/records';
import { assess } from '@incremen/core/assessment';
import type { Problem } from '@incremen/core/basics';
import { Suspense, useCallback, useDeferredValue, useMemo, type ReactNode } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { RouteError } from '../../ui/RouteError.tsx';
import { useApiary, useOperation, useToday } from '../../mirror/hooks.ts';
import { lazyPart } from '../../ui/lazyPart.tsx';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { useLatest } from '../../ui/useLatest.ts';
import { useSole } from '../../ui/useSole.ts';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { SeenForm } from '../../shared/evidence/SeenForm.tsx';
import { HandsPicker } from '../../shared/settings/HandsPicker.tsx';
import { CountFoot } from './CountFoot.tsx';
import { CountHead } from './CountHead.tsx';
import { FrameMode } from './FrameMode.tsx';
import { LineMode } from './LineMode.tsx';
import { MODES, PANEL_ID, tabId, type Mode } from './ModeTabs.tsx';
import { QuickMode } from './QuickMode.tsx';
import { useCount } from './useCount.ts';

/** The recorder: frame after frame, in a few numbers, as a line of shorthand, and what was seen besides. */
export function CountPage() {
  const apiary = useApiary();
  const { colonyId = '' } = useParams();
  const colony = apiary.colony[colonyId];
  const sole = useSole(`count.${colonyId}`);
  if (!colony || colony.endedOn !== null) return <RouteError missing />;
  if (sole.mine === false) return <CountedElsewhere colony={colony} onTake={sole.take} />;
  // A frame later it is known.
  return sole.mine === null ? null : <Recorder key={colony.id} colony={colony} />;
}

/** Two tabs on one count would each keep what they know over what the other knows. */
function CountedElsewhere({ colony, onTake }: { readonly colony: Colony; readonly onTake: () => void }) {
  return (
    <Box maxW="40rem">
      <PageHeader title={`Count ${colony.name}`} />
      <Text mb={4}>
        This hive is being counted in another tab or window of this browser. Go on there; or take it over
        here, with everything that was entered there.
      </Text>
      <Button minH="56px" onClick={onTake}>
        Count here
      </Button>
    </Box>
  );
}

const SeenVerdict = lazyPart(() => import('../../shared/verdict/SeenVerdict.tsx'));

/** The questions with the verdict on what was answered, once something was. */
function Judged({
  colony,
  day,
  evidence,
  children,
}: {
  readonly colony: Colony;
  readonly day: string;
  readonly evidence: Evidence;
  readonly children: ReactNode;
}) {
  // A tap is drawn before it is judged.
  const said = useDeferredValue(evidence);
  const judged = day !== '' && saysAnything(said) ? { colony, day, evidence: said } : null;
  return (
    <>
      <Suspense fallback={null}>{judged && <SeenVerdict {...judged} inShort />}</Suspense>
      {children}
      <Suspense fallback={null}>{judged && <SeenVerdict {...judged} />}</Suspense>
    </>
  );
}

const NONE: readonly Problem[] = [];

function Recorder({ colony }: { readonly colony: Colony }) {
  useAwake();
  const apiary = useApiary();
  const { units } = useOperation();
  const today = useToday();
  const [params, setParams] = useSearchParams();
  const mode = MODES.find((m) => m.id === params.get('by'))?.id ?? 'frames';
  const counting = useCount(colony);
  const { draft, act, seen, setSeen, day, setDay, problems } = counting;
  const { own, all } = useMemo(() => {
    const boxes = boxesOfColony(apiary, colony);
    const shared = sharedBoxesOf(apiary, colony).filter((s) => !boxes.some((b) => b.id === s.id));
    return { own: boxes, all: [...boxes, ...shared] };
  }, [apiary, colony]);
  const boxLabel = useCallback(
    (id: string) => (own.some((b) => b.id === id) ? boxName(own, id) : 'super in common'),
    [own],
  );
  const frameNames = useMemo(
    () => draft.frames.map((f) => ({ id: f.frameId, name: `${boxLabel(f.boxId)}, frame ${f.slot}` })),
    [draft.frames, boxLabel],
  );
  const boxNames = useMemo(() => own.map((b) => ({ id: b.id, name: boxName(own, b.id) })), [own]);
  // What the other pages say of this hive is said here too.
  const shut = useMemo(() => {
    const { may, why } = assess(apiary, colony, today).opening;
    return may ? null : why;
  }, [apiary, colony, today]);
  const frame = draft.frames[draft.at];
  // The words at the head follow the tap; they need not keep it waiting.
  const inHand = useDeferredValue(
    frame && mode === 'frames' ? `${boxLabel(frame.boxId)}, frame ${frame.slot}` : undefined,
  );
  const saveLabel = useDeferredValue(counting.saveLabel);
  const saveCount = useDeferredValue(counting.readIds.length);
  const atFrame = problems.filter(
    (p) => p.path[0] === 'readings' && counting.readIds[Number(p.path[1])] === frame?.frameId,
  );
  // The head and the foot are not drawn anew at every tap: what they call stays the same.
  const save = useLatest(() => void counting.save());
  const undo = useLatest(() => (mode === 'seen' ? counting.undoSeen?.() : act({ do: 'undo' })));
  const onMode = useLatest((to: Mode) => setParams({ by: to }, { replace: true }));
  const canUndo = mode === 'seen' ? counting.undoSeen !== null : draft.past.length > 0;
  useUndoKeys(canUndo ? undo : null, null);
  return (
    <>
      <CountHead
        title={`Count ${colony.name}`}
        inHand={inHand}
        mode={mode}
        onMode={onMode}
        onUndo={canUndo ? undo : null}
        onSave={save}
        saveLabel={saveLabel}
        saveCount={saveCount}
        canSave={counting.saysSomething}
        busy={counting.busy}
      />
      <HandsPicker />
      {shut !== null && (
        <Text mb={3} color="near">
          {shut} What you know of it, or see from outside, is entered with its day.
        </Text>
      )}
      <ProblemList problems={problems.filter((p) => p.path[0] !== 'day' && !atFrame.includes(p))} />
      <div role="tabpanel" id={PANEL_ID} aria-labelledby={tabId(mode)}>
        {mode === 'frames' &&
          (draft.frames.length === 0 ? (
            <Text>
              No frame hangs in this hive. <Link to={`/colonies/${colony.id}/hive`}>Put some in</Link>, or
              write down what you saw.
            </Text>
          ) : (
            <FrameMode
              draft={draft}
              act={act}
              boxes={all}
              boxLabel={boxLabel}
              problems={atFrame.length > 0 ? atFrame : NONE}
            />
          ))}
        {mode === 'quick' && <QuickMode draft={draft} act={act} boxes={all} />}
        {mode === 'line' && <LineMode draft={draft} act={act} boxes={all} />}
        {mode === 'seen' && (
          <Judged colony={colony} day={day} evidence={seen.evidence}>
            <SeenForm
              seen={seen}
              onChange={setSeen}
              colonyName={colony.name}
              units={units}
              frames={frameNames}
              boxes={boxNames}
            />
          </Judged>
        )}
      </div>
      <CountFoot
        colonyId={colony.id}
        day={day}
        today={today}
        resumed={counting.resumed}
        problems={counting.dayProblems.length > 0 ? counting.dayProblems : NONE}
        onDay={setDay}
      />
    </>
  );
}

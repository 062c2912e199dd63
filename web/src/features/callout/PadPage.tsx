import { useAwake } from '../../ui/useAwake.ts';
import { Box, Button, Text } from '@chakra-ui/react';
import {
  blanksInWords,
  unitsOfCallOut,
  type CallOut,
  type CallOutChange,
  type CallPlace,
} from '@incremen/core/records';
import { callOutLooks, storeFills } from '@incremen/core/callout';
import { Crown, Undo2 } from 'lucide-react';
import { useCallback, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { RouteError } from '../../ui/RouteError.tsx';
import { useApiary, useSend, useToday } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { Key } from '../../ui/Key.tsx';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { count } from '../../ui/format.ts';
import { CellsEditor } from '../../shared/evidence/CellsEditor.tsx';
import { useCountKeys } from '../../shared/counting/useCountKeys.ts';
import { Questions } from '../../shared/counting/Questions.tsx';
import { ClosingPanel } from '../../shared/work/ClosingPanel.tsx';
import { AllCalled } from './AllCalled.tsx';
import { PadAnswer } from './PadAnswer.tsx';
import { PadDone } from './PadDone.tsx';
import { PadSide } from './PadSide.tsx';
import { NONE, usePad } from './usePad.ts';
import { usePadKeys } from './usePadKeys.ts';
import styles from './PadPage.module.css';
import frameNameStyles from './frameName.module.css';
import marksStyles from '../../shared/counting/marks.module.css';

/** The call-out pad: what is on the frame in hand, and at once where it goes. */
export function PadPage() {
  useAwake();
  const { callOutId = '' } = useParams();
  const callOut = useApiary().callOut[callOutId];
  if (!callOut) return <RouteError missing />;
  if (callOut.status === 'done') return <PadDone callOut={callOut} />;
  if (callOut.status === 'dropped') {
    return (
      <Box>
        <PageHeader title={callOut.name} />
        <Text mb={4}>This break-up was given up. Nothing of it is in the records.</Text>
        <Button asChild>
          <Link to="/callout">Begin another</Link>
        </Button>
      </Box>
    );
  }
  return <Pad callOut={callOut} />;
}

function Pad({ callOut }: { readonly callOut: CallOut }) {
  const navigate = useNavigate();
  const { send, problems } = useSend();
  const { state, hand, advice, act, take } = usePad(callOut);
  const [cellsOpen, setCellsOpen] = useState(false);
  const [finishing, setFinishing] = useState(false);
  const { calls } = callOut.body;
  const change = useCallback(
    (c: CallOutChange) => void send({ type: 'changeCallOut', callOutId: callOut.id, change: c }),
    [send, callOut.id],
  );
  const giveUp = useCallback(
    () =>
      void send({ type: 'dropCallOut', callOutId: callOut.id }).then(
        (sent) => sent.ok && navigate('/callout'),
      ),
    [send, callOut.id, navigate],
  );
  const reading = hand?.draft.frames[0]?.reading ?? null;
  const place = useCallback(
    (to: CallPlace) => {
      if (!hand || !reading) return;
      setCellsOpen(false);
      const { frameId, giverId } = hand;
      change({
        what: 'call',
        call: { id: crypto.randomUUID(), frameId, giverId, reading: reading as never, to },
      });
    },
    [hand, reading, change],
  );
  const last = calls.at(-1);
  const takeBack = useCallback(() => last && change({ what: 'take-back', callId: last.id }), [last, change]);
  usePadKeys(reading ? advice : NONE, place, takeBack);
  useCountKeys(hand?.draft ?? null, act);

  if (finishing) return <Finishing callOut={callOut} onBack={() => setFinishing(false)} />;
  return (
    <Box>
      <PageHeader
        title={callOut.name}
        aside={`${count(calls.length, 'frame')} called, ${state.left.length} left`}
      >
        <Button variant="outline" bg="sheet" disabled={!last} onClick={takeBack}>
          <Undo2 size={18} aria-hidden /> Undo
        </Button>
        <Button variant={state.left.length === 0 ? 'solid' : 'outline'} onClick={() => setFinishing(true)}>
          Finish
        </Button>
      </PageHeader>
      <ProblemList problems={problems} />
      <div className={styles.pad}>
        <section className={styles.hand} aria-label="Frame in hand">
          {hand ? (
            <>
              <h2 className={frameNameStyles.frameName}>{hand.label}</h2>
              <PadAnswer
                callOut={callOut}
                advice={reading ? advice : NONE}
                waiting="Say what is on it: the answer comes at once."
                onPlace={place}
              />
              <Questions draft={hand.draft} act={act} />
              <div className={marksStyles.marks}>
                <Key on={reading?.queenSeen ?? false} onClick={() => act({ do: 'queen' })}>
                  <Crown size={18} aria-hidden /> Queen on it
                </Key>
                <Key
                  on={cellsOpen || (reading?.cells.length ?? 0) > 0}
                  expanded={cellsOpen}
                  onClick={() => setCellsOpen(!cellsOpen)}
                >
                  Cells
                </Key>
              </div>
              {cellsOpen && (
                <CellsEditor cells={reading?.cells ?? []} onChange={(cells) => act({ do: 'cells', cells })} />
              )}
            </>
          ) : (
            <AllCalled callOut={callOut} state={state} onChange={change} />
          )}
        </section>
        <PadSide
          callOut={callOut}
          state={state}
          inHand={hand?.frameId ?? null}
          onTake={take}
          onChange={change}
          onDrop={giveUp}
        />
      </div>
    </Box>
  );
}

/** Every unit that was filled, and every giver that stays, answers before the records change. */
function Finishing({ callOut, onBack }: { readonly callOut: CallOut; readonly onBack: () => void }) {
  const apiary = useApiary();
  const today = useToday();
  const { send, problems } = useSend();
  const { body } = callOut;
  const fills = useMemo(() => storeFills(apiary, callOut), [apiary, callOut]);
  const [fill, setFill] = useState<'store' | 'none'>('store');
  const nameOf = (key: string) =>
    body.units.find((u) => u.key === key)?.name ?? apiary.colony[key]?.name ?? '';
  return (
    <Box maxW="46rem">
      <PageHeader title={callOut.name} />
      <ProblemList problems={problems} />
      {fills.length > 0 && (
        <Box mb={5}>
          <Choice
            label="Free slots"
            value={fill}
            options={[
              { id: 'store', label: 'Filled from the store' },
              { id: 'none', label: 'Left free, behind a board' },
            ]}
            onChange={setFill}
          />
          <Text mt={2} color="inkSoft">
            {fills.map(({ key, boxId, frames }) => (
              <span key={`${key}${boxId}`}>
                {nameOf(key)}: {blanksInWords(frames)}.{' '}
              </span>
            ))}
            Beside the brood drawn comb, foundation outside.
          </Text>
        </Box>
      )}
      <ClosingPanel
        units={unitsOfCallOut(apiary, callOut)}
        onBack={onBack}
        onClosed={(closing) =>
          void send({
            type: 'finishCallOut',
            callOutId: callOut.id,
            day: today,
            ...(closing.length > 0 && { closing }),
            ...(fill === 'store' && fills.length > 0 && { fill: true }),
            visits: body.givers.map((g) => ({ colonyId: g.colonyId, visitId: crypto.randomUUID() })),
            looks: callOutLooks(body, today, () => crypto.randomUUID()),
          })
        }
      />
    </Box>
  );
}

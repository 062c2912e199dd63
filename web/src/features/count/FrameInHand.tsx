import clsx from 'clsx';
import { Box, Text } from '@chakra-ui/react';
import { CONTENT_NAMES, type ContentClass } from '@incremen/core/comb';
import type { Problem } from '@incremen/core/basics';
import { Brush, ChevronLeft, ChevronRight, Crown } from 'lucide-react';
import { memo, useState } from 'react';
import { Key } from '../../ui/Key.tsx';
import { onTap } from '../../ui/onTap.ts';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { ActionButton } from '../../shared/counting/ActionButton.tsx';
import { CellsEditor } from '../../shared/evidence/CellsEditor.tsx';
import { CombFace, sideInWords } from './CombFace.tsx';
import type { CountAction, CountDraft } from '../../shared/counting/countDraft.ts';
import marksStyles from '../../shared/counting/marks.module.css';
import styles from './FrameInHand.module.css';
import common from '../../ui/common.module.css';

const BACK: CountAction = { do: 'step', by: -1 };
const NEXT: CountAction = { do: 'step', by: 1 };
const QUEEN: CountAction = { do: 'queen' };
const BACK_ICON = <ChevronLeft size={22} aria-hidden />;
const NEXT_ICON = <ChevronRight size={22} aria-hidden />;
const QUEEN_WORDS = (
  <>
    <Crown size={18} aria-hidden /> Queen
  </>
);
const PAINT_WORDS = (
  <>
    <Brush size={18} aria-hidden /> Paint
  </>
);
const SIDE_NAMES = ['First side', 'Second side'] as const;

/** The frame in hand: both sides drawn large, and what can be marked or painted on it. */
export function FrameInHand({
  draft,
  drawn,
  act,
  problems,
}: {
  readonly draft: CountDraft;
  /** The same, perhaps a frame behind, for what is drawn. */
  readonly drawn: CountDraft;
  readonly act: (action: CountAction) => void;
  readonly problems: readonly Problem[];
}) {
  const [brush, setBrush] = useState<ContentClass | null>(null);
  const [cellsOpen, setCellsOpen] = useState(false);
  const reading = draft.frames[draft.at]?.reading ?? null;
  const cellCount = reading?.cells.reduce((n, c) => n + c.count, 0) ?? 0;
  const toggleCells = () => setCellsOpen(!cellsOpen);
  const toggleBrush = () => setBrush(brush ? null : 'capped');
  return (
    <>
      <Faces draft={drawn} brush={brush} act={act} />
      <div style={{ gridArea: 'marks' }}>
        <ProblemList problems={problems} />
        <div className={clsx(marksStyles.marks, marksStyles.row)}>
          <ActionButton size="mark" action={BACK} act={act} label="Frame before" disabled={draft.at === 0}>
            {BACK_ICON}
          </ActionButton>
          <ActionButton size="mark" action={QUEEN} act={act} on={reading?.queenSeen ?? false}>
            {QUEEN_WORDS}
          </ActionButton>
          <Key on={cellsOpen || cellCount > 0} expanded={cellsOpen} onClick={toggleCells}>
            {cellCount > 0 ? `Cells ${cellCount}` : 'Cells'}
          </Key>
          <Key on={brush !== null} onClick={toggleBrush}>
            {PAINT_WORDS}
          </Key>
          <ActionButton
            size="mark"
            action={NEXT}
            act={act}
            label="Next frame"
            disabled={draft.at === draft.frames.length - 1}
          >
            {NEXT_ICON}
          </ActionButton>
        </div>
        {brush && (
          <Box mt={2}>
            <Text color="inkSoft" fontSize="sm" mb={1}>
              Choose what to paint with, then tap or stroke the tenths.
            </Text>
            <div className={marksStyles.marks}>
              {(Object.keys(CONTENT_NAMES) as ContentClass[]).map((c) => (
                <Key key={c} on={brush === c} onClick={() => setBrush(c)}>
                  {CONTENT_NAMES[c]}
                </Key>
              ))}
            </div>
          </Box>
        )}
        {cellsOpen && (
          <Box mt={3} p={3} bg="sheet" borderWidth="1px" borderRadius="lg">
            <CellsEditor cells={reading?.cells ?? []} onChange={(cells) => act({ do: 'cells', cells })} />
          </Box>
        )}
      </div>
    </>
  );
}

/** Both sides of the frame; a tap on one reads it alone, with a brush in hand it paints. */
const Faces = memo(function Faces({
  draft,
  brush,
  act,
}: {
  readonly draft: CountDraft;
  readonly brush: ContentClass | null;
  readonly act: (action: CountAction) => void;
}) {
  const reading = draft.frames[draft.at]?.reading ?? null;
  const readSide = (i: 0 | 1) => act({ do: 'side', side: draft.side === i ? 'both' : i });
  return (
    <div className={styles.faces}>
      {([0, 1] as const).map((i) => {
        const face = (
          <CombFace
            side={reading?.sides[i] ?? null}
            name={SIDE_NAMES[i]}
            brush={brush}
            height={240}
            onPaint={(strip) => brush && act({ do: 'paint', side: i, strip, content: brush })}
          />
        );
        // While one paints, the face itself is what one taps on.
        return brush ? (
          <div key={i} className={styles.face}>
            {face}
          </div>
        ) : (
          <button
            key={i}
            type="button"
            className={styles.face}
            aria-pressed={draft.side === i}
            aria-label={`Read the ${SIDE_NAMES[i].toLowerCase()} alone`}
            {...onTap(() => readSide(i))}
          >
            {face}
            {draft.side !== 'both' && (draft.side === i ? 'this side' : 'other side')}
          </button>
        );
      })}
      {!brush && draft.side === 'both' && (
        <span className={styles.hint}>Both alike; tap one to read it alone</span>
      )}
      {!brush && reading && (
        <span className={common.forReaders}>
          {SIDE_NAMES.map((name, i) => sideInWords(name, reading.sides[i] ?? null)).join('. ')}
        </span>
      )}
    </div>
  );
});

import { Dictate } from './Dictate.tsx';
import { Box, Button, Grid, Text } from '@chakra-ui/react';
import {
  completeShorthand,
  parseShorthand,
  printShorthand,
  withSpoken,
  type Completion,
  type ShorthandProblem,
} from '@incremen/core/shorthand';
import type { Box as HiveBox } from '@incremen/core/records';
import { memo, useDeferredValue, useMemo, useRef, useState, type Dispatch } from 'react';
import { HiveDrawing } from '../../drawing/HiveDrawing.tsx';
import { Key } from '../../ui/Key.tsx';
import { useLatest } from '../../ui/useLatest.ts';
import { shorthandPlaces, type CountAction, type CountDraft } from '../../shared/counting/countDraft.ts';
import { drawnCount } from './FramePicker.tsx';
import { ShorthandHelp } from './ShorthandHelp.tsx';
import styles from './LineMode.module.css';

/** The count as a line of shorthand: read as it is typed, drawn beside it, mistakes shown at their letter. */
export function LineMode({
  draft,
  act,
  boxes,
}: {
  readonly draft: CountDraft;
  readonly act: Dispatch<CountAction>;
  readonly boxes: readonly HiveBox[];
}) {
  const area = useRef<HTMLTextAreaElement>(null);
  const [caret, setCaret] = useState(draft.text.length);
  // Letters show at once; what they mean follows in the next frame.
  const drawn = useDeferredValue(draft);
  const { problems } = useMemo(() => parseShorthand(drawn.text, shorthandPlaces(drawn)), [drawn]);
  const shownCaret = useDeferredValue(caret);
  const completions = useMemo(
    () => completeShorthand(drawn.text.slice(0, shownCaret)).slice(0, 12),
    [drawn, shownCaret],
  );
  const read = draft.frames.filter((f) => f.from === 'taps' && f.reading).length;

  function type(text: string) {
    act({ do: 'type', text });
  }
  function insert(what: string) {
    const text = draft.text.slice(0, caret) + what + draft.text.slice(caret);
    type(text);
    const to = caret + what.length;
    setCaret(to);
    requestAnimationFrame(() => {
      area.current?.focus();
      area.current?.setSelectionRange(to, to);
    });
  }

  const onPick = useLatest(insert);

  return (
    <Grid
      columnGap={7}
      rowGap={4}
      templateColumns={{ base: '1fr', md: 'minmax(0, 1fr) auto' }}
      alignItems="start"
    >
      <Box display="grid" gap={2} minW={0}>
        <Box position="relative" borderWidth="1px" borderRadius="lg" bg="sheet" {...TEXT}>
          <Marked text={drawn.text} problems={problems} />
          <textarea
            ref={area}
            aria-label="The count in shorthand"
            aria-describedby="shorthand-problems"
            aria-invalid={problems.length > 0}
            spellCheck={false}
            autoCapitalize="off"
            autoComplete="off"
            placeholder="h3 c *8; m *9; m *9 q; c6 *8; h *5"
            value={draft.text}
            onChange={(e) => {
              setCaret(e.target.selectionStart);
              type(e.target.value);
            }}
            onSelect={(e) => setCaret(e.currentTarget.selectionStart)}
          />
        </Box>
        <Dictate onSaid={(line) => type(withSpoken(draft.text, line))} />
        <Completions completions={completions} onPick={onPick} />
        <Box id="shorthand-problems" role="status" display="grid" gap={1}>
          {problems.slice(0, 4).map((p) => (
            <Text key={`${p.from}-${p.code}`}>
              <Box as="span" fontWeight="700" color="alarm">
                {drawn.text.slice(p.from, p.to).trim() || 'here'}
              </Box>
              : {p.message} {p.remedy}
            </Text>
          ))}
        </Box>
        {draft.text === '' && read > 0 && (
          <Button
            variant="outline"
            bg="sheet"
            justifySelf="start"
            onClick={() => {
              const readings = draft.frames.map((f) => (f.from === 'taps' ? f.reading : null));
              type(printShorthand(readings, shorthandPlaces(draft)));
            }}
          >
            Write down what was tapped
          </Button>
        )}
        {HELP}
      </Box>
      <DrawnLine draft={drawn} boxes={boxes} />
    </Grid>
  );
}

const Completions = memo(function Completions({
  completions,
  onPick,
}: {
  readonly completions: readonly Completion[];
  readonly onPick: (insert: string) => void;
}) {
  return (
    <div className={styles.completions} role="group" aria-label="What may come next">
      {completions.map((c) => (
        <Key key={c.insert} label={`Insert ${c.insert}: ${c.means}`} onClick={() => onPick(c.insert)}>
          <b>{c.insert.trim() || '␣'}</b>
          <span>{c.means}</span>
        </Key>
      ))}
    </div>
  );
});

const DrawnLine = memo(function DrawnLine({
  draft,
  boxes,
}: {
  readonly draft: CountDraft;
  readonly boxes: readonly HiveBox[];
}) {
  return <HiveDrawing boxes={drawnCount(draft, boxes, false)} label="What the line says" scale={1.2} />;
});

/** Drawn once: it does not change while one types. */
const HELP = <ShorthandHelp />;

/** The text and its marks lie on one another letter by letter. */
const TEXT = {
  fontSize: '1.15rem',
  lineHeight: '1.7',
  minH: '150px',
  css: {
    '& textarea, & pre': { font: 'inherit', lineHeight: 'inherit', letterSpacing: '0.03em', padding: '12px' },
    '& textarea': {
      position: 'absolute',
      inset: 0,
      width: '100%',
      height: '100%',
      background: 'transparent',
      resize: 'none',
      borderRadius: 'inherit',
    },
  },
} as const;

function Marked({
  text,
  problems,
}: {
  readonly text: string;
  readonly problems: readonly ShorthandProblem[];
}) {
  const pieces: React.ReactNode[] = [];
  let from = 0;
  for (const p of problems.toSorted((a, b) => a.from - b.from)) {
    if (p.from < from) continue;
    pieces.push(text.slice(from, p.from));
    pieces.push(
      <mark
        key={p.from}
        style={{
          background: 'var(--chakra-colors-alarm-soft)',
          color: 'transparent',
          borderBottom: '3px solid var(--chakra-colors-alarm)',
        }}
      >
        {text.slice(p.from, p.to)}
      </mark>,
    );
    from = p.to;
  }
  pieces.push(text.slice(from));
  return (
    <Box
      as="pre"
      aria-hidden
      minH="150px"
      whiteSpace="pre-wrap"
      overflowWrap="break-word"
      color="transparent"
      pointerEvents="none"
    >
      {pieces}
      {'\n'}
    </Box>
  );
}

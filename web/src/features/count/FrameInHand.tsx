import { Box, Button, Flex, Grid, Text } from '@chakra-ui/react';
import { CONTENT_NAMES, type ContentClass, type Problem } from '@incremen/core';
import { Brush, ChevronLeft, ChevronRight, Crown } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { SquareButton } from '../../ui/SquareButton.tsx';
import { CellsEditor } from './CellsEditor.tsx';
import { CombFace } from './CombFace.tsx';
import type { CountAction, CountDraft } from './countDraft.ts';

const SIDE_NAMES = ['First side', 'Second side'] as const;

/** The frame in hand: both sides drawn large, and what can be marked or painted on it. */
export function FrameInHand({
  draft,
  act,
  problems,
}: {
  readonly draft: CountDraft;
  readonly act: (action: CountAction) => void;
  readonly problems: readonly Problem[];
}) {
  const [brush, setBrush] = useState<ContentClass | null>(null);
  const [cellsOpen, setCellsOpen] = useState(false);
  const reading = draft.frames[draft.at]?.reading ?? null;
  const cellCount = reading?.cells.reduce((n, c) => n + c.count, 0) ?? 0;
  const readSide = (i: 0 | 1) => act({ do: 'side', side: draft.side === i ? 'both' : i });
  const go = (step: 1 | -1) => act({ do: 'go', to: draft.at + step });
  return (
    <>
      <Grid gridArea="faces" templateColumns="1fr 1fr" gap={1} justifyItems="center">
        {([0, 1] as const).map((i) => (
          <Box
            key={i}
            w="100%"
            borderRadius="lg"
            bg={draft.side === i ? 'accentSoft' : 'transparent'}
            textAlign="center"
            // The face itself is the larger target; the button under it is for keys and screen readers.
            onClick={() => !brush && readSide(i)}
          >
            <CombFace
              side={reading?.sides[i] ?? null}
              name={SIDE_NAMES[i]}
              brush={brush}
              height={240}
              onPaint={(strip) => brush && act({ do: 'paint', side: i, strip, content: brush })}
            />
            <Button
              variant="plain"
              minH="26px"
              h="26px"
              px={1}
              fontSize="xs"
              fontWeight={draft.side === i ? '700' : '400'}
              color={draft.side === i ? 'ink' : 'inkSoft'}
              aria-pressed={draft.side === i}
              aria-label={`Read the ${SIDE_NAMES[i].toLowerCase()} alone`}
              onClick={(e) => {
                e.stopPropagation();
                readSide(i);
              }}
            >
              {draft.side === 'both' ? 'both' : draft.side === i ? 'this side' : 'other side'}
            </Button>
          </Box>
        ))}
      </Grid>
      <Box gridArea="marks">
        <ProblemList problems={problems} />
        <Flex gap={{ base: 1.5, md: 2 }} wrap="wrap">
          <SquareButton label="Frame before" disabled={draft.at === 0} onClick={() => go(-1)}>
            <ChevronLeft size={22} aria-hidden />
          </SquareButton>
          <Toggle
            on={reading?.queenSeen ?? false}
            onClick={() => act({ do: 'queen' })}
            icon={<Crown size={18} aria-hidden />}
          >
            Queen
          </Toggle>
          <Toggle
            on={cellsOpen || cellCount > 0}
            expanded={cellsOpen}
            onClick={() => setCellsOpen(!cellsOpen)}
          >
            {cellCount > 0 ? `Cells ${cellCount}` : 'Cells'}
          </Toggle>
          <Toggle
            on={brush !== null}
            onClick={() => setBrush(brush ? null : 'capped')}
            icon={<Brush size={18} aria-hidden />}
          >
            Paint
          </Toggle>
          <SquareButton
            label="Next frame"
            disabled={draft.at === draft.frames.length - 1}
            onClick={() => go(1)}
          >
            <ChevronRight size={22} aria-hidden />
          </SquareButton>
        </Flex>
        {brush && (
          <Box mt={2}>
            <Text color="inkSoft" fontSize="sm" mb={1}>
              Choose what to paint with, then tap or stroke the tenths.
            </Text>
            <Flex wrap="wrap" gap={1}>
              {(Object.keys(CONTENT_NAMES) as ContentClass[]).map((c) => (
                <Button
                  key={c}
                  size="sm"
                  minH="44px"
                  variant={brush === c ? 'solid' : 'outline'}
                  aria-pressed={brush === c}
                  onClick={() => setBrush(c)}
                >
                  {CONTENT_NAMES[c]}
                </Button>
              ))}
            </Flex>
          </Box>
        )}
        {cellsOpen && (
          <Box mt={3} p={3} bg="sheet" borderWidth="1px" borderRadius="lg">
            <CellsEditor cells={reading?.cells ?? []} onChange={(cells) => act({ do: 'cells', cells })} />
          </Box>
        )}
      </Box>
    </>
  );
}

function Toggle({
  on,
  expanded,
  onClick,
  icon,
  children,
}: {
  readonly on: boolean;
  readonly expanded?: boolean;
  readonly onClick: () => void;
  readonly icon?: ReactNode;
  readonly children: ReactNode;
}) {
  return (
    <Button
      variant={on ? 'solid' : 'outline'}
      {...(on ? {} : { bg: 'sheet' })}
      minH="44px"
      px={{ base: 2, md: 3 }}
      onClick={onClick}
      {...(expanded === undefined ? { 'aria-pressed': on } : { 'aria-expanded': expanded })}
    >
      {icon} {children}
    </Button>
  );
}

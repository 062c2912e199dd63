import { Button, Flex } from '@chakra-ui/react';
import type { LedgerLine } from '@incremen/core/cells';
import {
  CELL_QUALITIES,
  CELL_QUALITY_WORDS,
  framesOfColony,
  placeInWords,
  type Cell,
  type CommandOf,
} from '@incremen/core/records';
import { useState } from 'react';
import { useTell } from '../../shared/telling/useTell.ts';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { Select } from '../../ui/Select.tsx';

type Change = CommandOf<'changeCells'>['change'];

/** What can be done with the cells of a line: follow each by itself; then reserve, cut out, break, see emerged. */
export function CellActions({ line }: { readonly line: LedgerLine }) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, busy } = useTell();
  const [cutting, setCutting] = useState(false);
  const { followed } = line;
  if (!followed) {
    if (!apiary.frame[line.frameId]) return null;
    const cells = Array.from({ length: Math.min(line.count, 20) }, (): Cell => ({
      id: crypto.randomUUID(),
      frameId: line.frameId,
      place: line.place ?? 'unsure',
      egg: line.egg,
      datedBy: line.datedBy,
      notedOn: today,
      quality: null,
      origin: 'unknown',
      reserved: false,
      fromColonyId: line.colonyId,
      fate: null,
      history: [],
    }));
    return (
      <Button
        size="sm"
        variant="outline"
        bg="sheet"
        loading={busy}
        onClick={() => void tell({ type: 'enterCells', cells }, 'Each cell is followed now')}
      >
        Follow each cell
      </Button>
    );
  }
  const change = (what: Change, kept: string) =>
    void tell({ type: 'changeCells', cellIds: [followed.id], day: today, change: what }, kept);
  const combs = Object.values(apiary.colony)
    .filter((c) => c.endedOn === null)
    .toSorted((a, b) => a.name.localeCompare(b.name))
    .flatMap((c) =>
      framesOfColony(apiary, c)
        .filter((f) => f.frame.id !== line.frameId)
        .map((f) => [f.frame.id, `${c.name}, ${placeInWords(apiary, c, f.box, f.slot)}`] as const),
    );
  return (
    <Flex gap={2} wrap="wrap" align="center">
      <Button
        size="sm"
        variant={followed.reserved ? 'solid' : 'outline'}
        aria-pressed={followed.reserved}
        onClick={() =>
          change(
            { what: 'reserve', reserved: !followed.reserved },
            followed.reserved ? 'No longer reserved' : 'Reserved: mark it on the comb',
          )
        }
      >
        {followed.reserved ? 'Reserved' : 'Reserve'}
      </Button>
      <Button size="sm" variant="outline" bg="sheet" onClick={() => setCutting(!cutting)}>
        Cut out…
      </Button>
      {(
        [
          ['emerged', 'Emerged'],
          ['broken', 'Broken'],
          ['torn', 'Torn'],
        ] as const
      ).map(([how, word]) => (
        <Button
          key={how}
          size="sm"
          variant="outline"
          bg="sheet"
          onClick={() => change({ what: 'fate', how }, `Cell: ${word.toLowerCase()}`)}
        >
          {word}
        </Button>
      ))}
      <Select
        fit
        label="What it looks like"
        value={followed.quality ?? ''}
        options={[
          ['', 'looks: not noted'],
          ...CELL_QUALITIES.map((q) => [q, CELL_QUALITY_WORDS[q]] as const),
        ]}
        onChange={(q) =>
          change({ what: 'quality', quality: q === '' ? null : (q as 'large') }, 'Cell described')
        }
      />
      {cutting && (
        <Select
          fit
          label="Pressed into which comb"
          value=""
          options={[['', 'pressed into…'], ...combs]}
          onChange={(toFrameId) => {
            if (toFrameId === '') return;
            setCutting(false);
            change({ what: 'cut-out', toFrameId }, 'Cut out and given');
          }}
        />
      )}
    </Flex>
  );
}

import { Box, Text } from '@chakra-ui/react';
import { boxesOfColony, type Colony } from '@incremen/core/records';
import {
  CELL_SCHOOLS,
  shareCells,
  type CellGift,
  type CellSchool,
  type LedgerLine,
} from '@incremen/core/cells';
import { useState } from 'react';
import { useApiary, useOperation } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { Stepper } from '../../ui/Stepper.tsx';
import { count } from '../../ui/format.ts';
import { ColonyChoice } from '../../shared/goals/ColonyChoice.tsx';
import styles from './ShareOut.module.css';

/** Cells shared out over parts: colonies that need one, and nucs that are still to be made. */
export function ShareOut({ lines }: { readonly lines: readonly LedgerLine[] }) {
  const apiary = useApiary();
  const { referenceSize } = useOperation();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [fresh, setFresh] = useState(2);
  const [school, setSchool] = useState<CellSchool>('two');
  const [keep, setKeep] = useState(1);
  const mothers = new Set(lines.map((l) => l.colonyId));
  const others = Object.values(apiary.colony).filter(
    (c) => c.endedOn === null && c.hiveId !== null && !mothers.has(c.id),
  );
  const sizeOf = (c: Colony) => boxesOfColony(apiary, c)[0]?.sizeId ?? referenceSize;
  const parts = [
    ...chosen.flatMap((id) => {
      const c = apiary.colony[id];
      return c ? [{ id, name: c.name, sizeId: sizeOf(c) }] : [];
    }),
    ...Array.from({ length: fresh }, (_, i) => ({
      id: `new ${i}`,
      name: `New nuc ${i + 1}`,
      sizeId: lines[0]?.sizeId ?? referenceSize,
    })),
  ];
  const shares = shareCells(lines, parts, school, keep);
  return (
    <>
      <Stepper label="new nucs to make" value={fresh} min={0} max={12} onChange={setFresh} />
      <Stepper label="cells left with the mother colony" value={keep} min={0} max={20} onChange={setKeep} />
      {others.length > 0 && (
        <ColonyChoice
          label="Colonies that need a cell"
          all="none of these"
          colonies={others}
          chosen={chosen}
          onChange={setChosen}
        />
      )}
      <Choice
        label="Cells for each part"
        value={school}
        options={CELL_SCHOOLS.map((s) => ({
          id: s.id,
          label: s.id === 'one' ? 'one' : s.id === 'two' ? 'two' : 'as many as there are',
          hint: s.why,
        }))}
        onChange={setSchool}
      />
      <Text color="inkSoft" fontSize="sm">
        {CELL_SCHOOLS.find((s) => s.id === school)?.why}
      </Text>
      <Box as="ul" aria-label="Shares" listStyleType="none" display="grid" gap={1}>
        {shares.gifts.map((g) => (
          <li key={`${g.part.id} ${g.line.frameId} ${g.how}`} className={styles.gift}>
            <b>{g.part.name}</b> {giftInWords(g)}
          </li>
        ))}
        {shares.short.map((p) => (
          <li key={p.id} className={styles.gift} data-short>
            <b>{p.name}</b> gets none: let it raise its own from eggs, or wait for ripe cells.
          </li>
        ))}
      </Box>
      {shares.gifts.length > 0 && (
        <Text fontSize="sm">
          {count(shares.left, 'cell')} left over. Bees are the limit, not cells: a part needs bees that stay,
          food and a box.
        </Text>
      )}
    </>
  );
}

const giftInWords = ({ line, count: n, how }: CellGift) =>
  how === 'frame'
    ? `the frame with ${count(n, 'cell')}: ${line.colony}, ${line.where}`
    : `${count(n, 'cell')} cut out of ${line.colony}, ${line.where}, pressed into drawn comb`;

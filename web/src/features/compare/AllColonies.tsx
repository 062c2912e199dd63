import { byName } from '@incremen/core/basics';
import { Box, Button, Text } from '@chakra-ui/react';
import { assess } from '@incremen/core/assessment';
import type { ColonyState } from '@incremen/core/colony';
import { hatchesWithin } from '@incremen/core/forecast';
import { nestOf, placeOf, type Apiary } from '@incremen/core/records';
import { Printer } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useApiary, useOperation, useToday } from '../../mirror/hooks.ts';
import { CompareButton } from '../../shared/colonies/CompareButton.tsx';
import { LANES } from '../../shared/colonies/lanes.ts';
import { MOST_COMPARED } from '../../state/boardSlice.ts';
import { DataTable, type Column } from '../../ui/DataTable.tsx';
import { ago, one } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import common from '../../ui/common.module.css';

/** Every colony in one table, as it is today; two to four of them go on to be drawn side by side. */
export function AllColonies({ picked: before }: { readonly picked: readonly string[] }) {
  const apiary = useApiary();
  const today = useToday();
  const { referenceSize } = useOperation();
  const [picked, setPicked] = useState(before);
  const states = useMemo(
    () =>
      Object.values(apiary.colony)
        .filter((c) => c.endedOn === null && c.hiveId !== null)
        .map((c) => assess(apiary, c, today))
        .toSorted((a, b) => byName(a.colony, b.colony)),
    [apiary, today],
  );
  const columns = useMemo((): readonly Column<ColonyState>[] => {
    const toggle = (id: string) =>
      setPicked((p) => (p.includes(id) ? p.filter((x) => x !== id) : [...p, id].slice(-MOST_COMPARED)));
    return [
      {
        id: 'pick',
        title: 'Compare',
        deeds: true,
        value: () => null,
        show: ({ colony: c }) => (
          <label className={common.pick}>
            <input
              type="checkbox"
              aria-label={`Compare ${c.name}`}
              checked={picked.includes(c.id)}
              onChange={() => toggle(c.id)}
            />
          </label>
        ),
      },
      ...columnsOf(apiary, referenceSize),
    ];
  }, [apiary, referenceSize, picked]);
  return (
    <Box maxW="76rem">
      <PageHeader title="All colonies" aside="As they are today, in frames of your size.">
        <Button variant="outline" bg="sheet" onClick={() => window.print()} aria-label="Print the table">
          <Printer size={18} aria-hidden />
        </Button>
        <CompareButton picked={picked} />
      </PageHeader>
      {states.length === 0 ? (
        <Text>
          No colony is here yet. <Link to="/setup">Set up a yard</Link> first.
        </Text>
      ) : (
        <DataTable
          label="Colonies"
          rows={states}
          columns={columns}
          rowId={(s) => s.colony.id}
          find="Find a colony"
          none=""
        />
      )}
    </Box>
  );
}

/** Nothing is known of a colony that was never counted. */
const counted = (n: (s: ColonyState) => number) => ({
  value: (s: ColonyState) => (s.countAgeDays === null ? null : n(s)),
  show: (s: ColonyState) => (s.countAgeDays === null ? '–' : one(n(s))),
  numeric: true,
});

const columnsOf = (apiary: Apiary, size: Parameters<typeof hatchesWithin>[2]): Column<ColonyState>[] => [
  {
    id: 'colony',
    title: 'Colony',
    value: (s) => s.colony.name,
    show: ({ colony: c }) => (
      <Link className={common.inlineLink} to={`/colonies/${c.id}`}>
        {c.name}
      </Link>
    ),
    names: true,
  },
  { id: 'yard', title: 'Yard', value: (s) => placeOf(apiary, s.colony).yard?.name ?? null },
  { id: 'group', title: 'Group', value: (s) => LANES.find((l) => l.lane === s.lane)?.title ?? null },
  { id: 'bees', title: 'Bees', ...counted((s) => s.strength.framesOfBees.likely) },
  { id: 'brood', title: 'Brood', ...counted((s) => s.strength.broodFrames.likely) },
  { id: 'stores', title: 'Stores', ...counted((s) => s.strength.storesFrames) },
  {
    id: 'emerge',
    title: 'Emerge in a week',
    ...counted((s) => hatchesWithin(nestOf(s.frames), 7, size)),
  },
  {
    id: 'queen',
    title: 'Queen',
    value: ({ queen }) =>
      queen.state === 'here'
        ? (queen.queen.birthYear ?? 'here')
        : queen.state === 'raising'
          ? 'raising'
          : null,
  },
  {
    id: 'counted',
    title: 'Counted',
    value: (s) => s.countAgeDays,
    show: (s) => (s.countAgeDays === null ? 'never' : ago(s.countAgeDays)),
  },
];

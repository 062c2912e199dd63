import { Box, Flex, Text } from '@chakra-ui/react';
import {
  CELL_KINDS,
  CELL_PLACES,
  type CellFinding,
  type CellKind,
  type CellPlace,
} from '@incremen/core/comb';
import { Minus, Plus } from 'lucide-react';
import { Key } from '../../ui/Key.tsx';
import { Select } from '../../ui/Select.tsx';

const NAMES: Readonly<Record<CellKind, string>> = {
  cup: 'empty cups',
  charged: 'cups with larva',
  open: 'drawn, open',
  capped: 'capped',
  emerged: 'emerged',
  torn: 'torn open',
};

const PLACE_NAMES: Readonly<Record<CellPlace, string>> = {
  face: 'on the face',
  'bottom-edge': 'on the bottom edge',
  'side-edge': 'on a side edge',
};

/** What queen cells are called in lists. */
export function cellName(kind: CellKind): string {
  return NAMES[kind];
}

/** Queen cells by kind, counted with plus and minus; where they hang and how old the larva is, if noted. */
export function CellsEditor({
  cells,
  onChange,
}: {
  readonly cells: readonly CellFinding[];
  readonly onChange: (cells: CellFinding[]) => void;
}) {
  const of = (kind: CellKind) => cells.find((c) => c.kind === kind);
  const put = (kind: CellKind, next: CellFinding | null) => {
    const others = cells.filter((c) => c.kind !== kind);
    onChange(next ? [...others, next] : others);
  };
  const setCount = (kind: CellKind, n: number) => put(kind, n > 0 ? { ...of(kind), kind, count: n } : null);
  return (
    <Box display="grid" gap={1}>
      {CELL_KINDS.map((kind) => {
        const found = of(kind);
        const n = found?.count ?? 0;
        return (
          <Box key={kind}>
            <Flex align="center" gap={2}>
              <Text flex="1">{NAMES[kind]}</Text>
              <Key
                label={`One less: ${NAMES[kind]}`}
                disabled={n === 0}
                onClick={() => setCount(kind, n - 1)}
              >
                <Minus size={18} aria-hidden />
              </Key>
              <Text w="2ch" textAlign="center" fontWeight="700" aria-live="polite">
                {n}
              </Text>
              <Key label={`One more: ${NAMES[kind]}`} onClick={() => setCount(kind, Math.min(200, n + 1))}>
                <Plus size={18} aria-hidden />
              </Key>
            </Flex>
            {found && (
              <Flex gap={2} pb={1}>
                <Select
                  label={`Where: ${NAMES[kind]}`}
                  value={found.place ?? ''}
                  options={[
                    ['', 'where, not noted'],
                    ...CELL_PLACES.map((p) => [p, PLACE_NAMES[p]] as const),
                  ]}
                  onChange={(place) => {
                    const { place: _place, ...rest } = found;
                    put(kind, place === '' ? rest : { ...rest, place: place as CellPlace });
                  }}
                />
                {kind === 'charged' && (
                  <Select
                    label="Age of the larva"
                    value={found.larvaAgeDays === undefined ? '' : String(found.larvaAgeDays)}
                    options={[
                      ['', 'larva, age not noted'],
                      ...[0, 1, 2, 3, 4, 5].map(
                        (d) => [String(d), d === 0 ? 'just hatched' : `larva ${d} days old`] as const,
                      ),
                    ]}
                    onChange={(age) => {
                      const { larvaAgeDays: _age, ...rest } = found;
                      put(kind, age === '' ? rest : { ...rest, larvaAgeDays: Number(age) });
                    }}
                  />
                )}
              </Flex>
            )}
          </Box>
        );
      })}
    </Box>
  );
}
